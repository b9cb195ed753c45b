/** A place on a photograph, in pixels of the copy that is shown. */
export interface Point {
  x: number;
  y: number;
}

export type Mode = "scale" | "distance" | "outline";

interface Pair {
  from: Point;
  to: Point;
}

/** What has been clicked so far; `half` is the first place of a pair. */
export interface Clicks {
  known: Pair[];
  distances: Pair[];
  outline: Point[];
  half: Point | undefined;
}

export const EMPTY: Clicks = { known: [], distances: [], outline: [], half: undefined };

/** The clicks with one more. */
export function clicked(clicks: Clicks, mode: Mode, p: Point): Clicks {
  if (mode === "outline") return { ...clicks, outline: [...clicks.outline, p], half: undefined };
  if (!clicks.half) return { ...clicks, half: p };
  const pair = { from: clicks.half, to: p };
  return mode === "scale"
    ? { ...clicks, known: [...clicks.known, pair], half: undefined }
    : { ...clicks, distances: [...clicks.distances, pair], half: undefined };
}

/** What to ask of the server: nothing without a scale. The tip of an outline is furthest from its tang. */
export function toMeasure(clicks: Clicks, length: string) {
  if (clicks.known.length === 0) return undefined;
  const [tang] = clicks.outline;
  const far = (p: Point) => (tang ? Math.hypot(p.x - tang.x, p.y - tang.y) : 0);
  const tip = [...clicks.outline].sort((a, b) => far(b) - far(a))[0];
  return {
    known: clicks.known.map((k) => ({ ...k, length })),
    distances: clicks.distances,
    outline: clicks.outline,
    tang,
    tip,
  };
}
