import { burin, lerp, type Point } from "./geometry";

/** The lines of a handle: x runs along it in mm, v from -1 at the slot to 1 at the back. */
interface Lines {
  y(x: number, v: number): number;
  along(v: number, from: number, to: number, n?: number): Point[];
}

/** What the texture of a cover is drawn with, and the stretch between the bolsters it is drawn on. */
export interface Ground {
  h: Lines;
  length: number;
  jigging: string | undefined;
  to: (points: Point[]) => Point[];
  px: number;
  fine: boolean;
  random: (low: number, high: number) => number;
  from: number;
  until: number;
  /** Whether neither a pin nor the shield is there. */
  isFree: (x: number, y: number) => boolean;
}

type Texture = (ground: Ground) => string[];

/** The lines of a texture the book names; none for one it calls plain. */
export const textured = (name: string, ground: Ground): string[] => TEXTURES[name]?.(ground) ?? [];

/** Covers as light as the metal of the ends. */
export const isLight = (name: string): boolean => name === "nacre" || name === "sheet-metal";

const freeOf = (points: Point[], isFree: Ground["isFree"]) => points.filter(([x, y]) => isFree(x, y));

/** One cut of a jigging as it runs about its middle, in mm, and how heavy it is. */
interface Cut {
  points: Point[];
  weight: number;
}

const EVEN_CUT: Cut = {
  points: [
    [-0.95, 0.38],
    [0, 0.04],
    [0.95, -0.36],
  ],
  weight: 1.45,
};

const CUTS: Record<string, Cut> = {
  "worm-groove": {
    points: [
      [-1.2, 0.15],
      [-0.6, -0.25],
      [0, 0.1],
      [0.6, -0.2],
      [1.1, 0.12],
    ],
    weight: 0.95,
  },
  seed: {
    points: [
      [-0.62, 0.05],
      [0, -0.05],
      [0.62, 0.05],
    ],
    weight: 2.3,
  },
  sawtooth: {
    points: [
      [0, -0.95],
      [0.25, 0],
      [0, 0.95],
    ],
    weight: 1.5,
  },
};

const crossCut = (long: number, lean: 1 | -1): Cut => ({
  points: [
    [-long, 0.55 * lean],
    [0, 0],
    [long, -0.55 * lean],
  ],
  weight: 1.9,
});

const jigged =
  (always?: string): Texture =>
  ({ h, jigging, to, px, fine, random, from, until, isFree }) => {
    const style = always ?? jigging ?? REGULAR;
    if (style === "none") return [];
    const rows = fine ? 11 : 7;
    const step = fine ? 2.3 : 2.8;
    const cuts: string[] = [];
    for (let r = 0; r < rows; r++) {
      const v = lerp(-0.8, 0.76, r / (rows - 1));
      for (let x = from + 0.6 + (r % 2) * (step / 2); x < until - 0.6; x += step) {
        const at = x + random(-0.14, 0.14);
        const y = h.y(at, v) + random(-0.06, 0.06);
        if (isFree(at, y)) cuts.push(cutAt([at, y], cutOf(style, random, r), (v + 0.8) / 1.56, to, px));
      }
    }
    return cuts;
  };

/** One cut, boldest in the lower third: light falls from upper left. */
function cutAt([x, y]: Point, { points, weight }: Cut, low: number, to: Ground["to"], px: number): string {
  const bold = 0.35 + 0.95 * Math.abs(low - 0.3) ** 1.1;
  const stroke = points.map(([dx, dy]): Point => [x + dx, y + dy]);
  return burin(to(stroke), (t) => px * weight * (0.5 + 0.9 * bold) * Math.sin(Math.PI * t) ** 0.5);
}

const cutOf = (style: string, random: Ground["random"], row: number): Cut =>
  style === "deep-cross" ? crossCut(random(0.9, 1.5), row % 2 === 0 ? 1 : -1) : (CUTS[style] ?? EVEN_CUT);

const bark: Texture = ({ h, to, px, random, from, until, isFree }) => {
  const ink: string[] = [];
  for (let r = 0; r < 10; r++) {
    const v = lerp(-0.84, 0.84, r / 9);
    for (let x = from; x < until - 2; ) {
      const long = random(3, 11);
      const phase = random(0, 6);
      const wave = Array.from({ length: 15 }, (_, i): Point => {
        const at = x + (long * i) / 14;
        return [at, h.y(at, v) + 0.32 * Math.sin(at * 0.55 + phase)];
      }).filter(([at]) => at < until);
      const kept = freeOf(wave, isFree);
      if (kept.length > 4)
        ink.push(burin(to(kept), (t) => px * (0.4 + 0.45 * (v + 0.84)) * Math.sin(Math.PI * t) ** 0.7));
      x += long + random(0.8, 2.8);
    }
  }
  return ink;
};

const grained =
  (rows: number): Texture =>
  ({ h, length, to, px, from, until, isFree }) =>
    Array.from({ length: rows }, (_, r) => {
      const v = lerp(-0.8, 0.85, r / (rows - 1));
      const halves = [h.along(v, from, length * 0.46, 40), h.along(v, length * 0.46, until, 40)];
      return halves
        .map((half) => burin(to(freeOf(half, isFree)), () => px * (0.42 + 0.18 * (v + 0.8))))
        .join("");
    });

const layered: Texture = ({ h, to, px, from, until, isFree }) =>
  [0.9, 0.77, 0.64, 0.51, 0.38, 0.25].map((v, r) =>
    burin(to(freeOf(h.along(v, from, until, 70), isFree)), () => px * (0.85 - 0.1 * r)),
  );

/** Clear of both edges of the cover. */
const isOnCover = (h: Lines, x: number, y: number) =>
  Math.abs(y - h.y(x, 0)) < 0.92 * Math.abs(h.y(x, 1) - h.y(x, 0));

/** Sheet that was rolled while soft: streaks that drift along the handle, swell and end. */
const swirled: Texture = ({ h, to, px, fine, random, from, until, isFree }) => {
  const long = (until - from) / random(1.6, 2.2);
  const [slow, quick, lean] = [random(0, 6.3), random(0, 6.3), random(1.2, 2)];
  const drift = (x: number, v: number) =>
    0.26 * Math.sin((6.3 * (x - from)) / long + slow + lean * v) +
    0.1 * Math.sin((15 * (x - from)) / long + quick - lean * v);
  const rows = fine ? 9 : 6;
  return Array.from({ length: rows }, (_, r) => {
    const v = lerp(-0.95, 0.95, r / (rows - 1));
    const [phase, weight] = [random(0, 6.3), random(0.5, 0.95)];
    const line = Array.from({ length: 81 }, (_, i): Point => {
      const x = lerp(from, until, i / 80);
      return [x, h.y(x, v + drift(x, v))];
    }).filter(([x, y]) => isOnCover(h, x, y));
    return burin(
      to(freeOf(line, isFree)),
      (t) => px * weight * Math.max(0, 0.35 + 1.15 * Math.sin(16 * t + phase)),
    );
  });
};

/** Shell and its likeness: clouds of no form at all, hatched along the handle. */
const mottled: Texture = ({ h, to, px, fine, random, from, until, isFree }) => {
  const clouds = Math.round((until - from) / 3.4);
  const strokes = fine ? 7 : 4;
  return Array.from({ length: clouds }, (_, i) => {
    const x = lerp(from + 2, until - 2, (i + random(0.2, 0.8)) / clouds);
    const v = (i % 2 === 0 ? 0.42 : -0.42) + random(-0.22, 0.22);
    const [wide, high] = [random(1.7, 3.9), random(0.26, 0.48)];
    return Array.from({ length: strokes }, (_, s) => {
      const off = lerp(-0.92, 0.92, s / (strokes - 1));
      const reach = wide * Math.sqrt(1 - off * off) * random(0.7, 1.2);
      const at = x + random(-0.4, 0.4);
      const stroke = h
        .along(v + high * off, Math.max(from, at - reach), Math.min(until, at + reach), 14)
        .filter(([sx, sy]) => isOnCover(h, sx, sy));
      return burin(to(freeOf(stroke, isFree)), (t) => px * 0.95 * Math.sin(Math.PI * t) ** 0.6);
    }).join("");
  });
};

const sheen: Texture = ({ h, to, px, random, from, until }) =>
  [0.86, 0.7, 0.54].map((v, r) =>
    burin(
      to(h.along(v, lerp(from, until, random(0, 0.2)), lerp(from, until, random(0.6, 0.95)), 30)),
      (t) => px * (0.6 - 0.12 * r) * Math.sin(Math.PI * t) ** 0.5,
    ),
  );

const lined: Texture = ({ h, to, px, from, until }) =>
  [-0.66, 0.66].map((v) => burin(to(h.along(v, from + 2, until - 2, 40)), () => px * 0.7));

const flecked: Texture = ({ h, to, px, fine, random, from, until, isFree }) =>
  Array.from({ length: fine ? 46 : 18 }, () => {
    const x = random(from + 1, until - 2);
    const v = random(-0.7, 0.8);
    return !isFree(x, h.y(x, v))
      ? ""
      : burin(to(h.along(v, x, x + random(0.5, 1.5), 4)), (t) => px * 0.6 * Math.sin(Math.PI * t) ** 0.5);
  });

/** A moulded cover is jigged in one way on every knife. */
const REGULAR = "machine-regular";

const TEXTURES: Record<string, Texture> = {
  jigged: jigged(),
  "moulded-jigging": jigged(REGULAR),
  bark,
  "close-grain": grained(9),
  grain: grained(7),
  layers: layered,
  swirls: swirled,
  clouds: mottled,
  nacre: sheen,
  sheen,
  "sheet-metal": lined,
  flecks: flecked,
};
