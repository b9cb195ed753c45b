import type { Book, Sketch } from "../api/types";
import { type Along, type Blade, blade, drawBlade } from "./blade";
import { heightAt, type Map2, type Point, placed } from "./geometry";
import { bailLoop, drawHandle, type Handle, handleOf, type Shape } from "./handle";

/** How far blades of an end are opened, the first of them furthest, in degrees from closed. */
const OPENED = { A: [150, 42, 96, 62], B: [142, 36, 92, 58] } as const;

/** The same where both ends have a second blade: it stands up, so that the two do not cross. */
const UPRIGHT = { A: [152, 70, 104, 88], B: [144, 64, 98, 82] } as const;

/** A drawn knife with the places one points at. */
export interface OpenKnife {
  scale: number;
  blades: {
    shapes: Shape[];
    tip: Point;
    middle: Point;
    tang: Point;
    mirrored: boolean;
    /** From the pivot (0) to the point (1), from the edge (-1) to the back (1). */
    at: (along: number, across: number) => Point;
  }[];
  handle: Shape[];
  at: (t: number, v: number) => Point;
  left: Point;
  right: Point;
  box: { top: number; bottom: number };
}

interface Lain {
  /** Another blade of its end lies nearer. */
  isBehind: boolean;
  blade: Blade;
  turn: number;
  end: "A" | "B";
  pivot: Point;
}

/** How far the blades are drawn out. */
export type Pose = "open" | "half" | "closed";

/** The knife as large as the sheet allows, its closed length centred on it; from either side. */
export function drawOpen(
  sketch: Sketch,
  book: Book,
  width: number,
  height: number,
  most: number,
  pose: Pose = "open",
  isPile = false,
): OpenKnife {
  const handle = handleOf(sketch, book);
  const lain = laidAt(sketch, book, handle, pose);
  const side = (to: Map2): Map2 => (isPile ? (p) => flipped(to(p), width) : to);
  const [left, right, top, bottom] = bounds(handle, lain);
  const scale = Math.min(most, width / (right - left), height / (bottom - top));
  const origin: Point = [(width - (left + right) * scale) / 2, -top * scale];
  const whole = side(placed(scale, [0, 0], 0, false, origin));
  const px = Math.max(0.75, Math.min(1, scale / 4.4));
  return {
    scale,
    blades: lain.map((l, i) =>
      openBlade(l, sketch.blades[i], side(placed(scale, l.pivot, l.turn, l.end === "A", origin)), px, isPile),
    ),
    handle: drawHandle(handle, whole, px, true, sketch.frame !== undefined),
    at: (t, v) => whole([t * handle.length, handle.y(t * handle.length, v)]),
    left: whole([isPile ? handle.length : 0, handle.y(0.5 * handle.length, 1)]),
    right: whole([isPile ? 0 : handle.length, handle.y(0.5 * handle.length, 1)]),
    box: { top: 0, bottom: (bottom - top) * scale },
  };
}

/** Every blade at its pivot, turned as far as the pose asks; those of one end fan out. */
function laidAt(sketch: Sketch, book: Book, handle: Handle, pose: Pose): Lain[] {
  const used = { A: 0, B: 0 };
  const ends = sketch.blades.map((b) => b.end);
  const crowded = (["A", "B"] as const).every((end) => ends.filter((e) => e === end).length > 1);
  const turns = crowded ? UPRIGHT : OPENED;
  return sketch.blades.map((b) => ({
    blade: blade(
      book.blades.find((t) => t.id === b.type),
      b.lengthMm,
    ),
    isBehind: used[b.end] > 0,
    turn: turned(pose, turns[b.end][Math.min(used[b.end]++, 3)] as number),
    end: b.end,
    pivot: handle.pivot(b.end),
  }));
}

function openBlade(
  { blade, end, isBehind }: Lain,
  seen: Sketch["blades"][number] | undefined,
  to: Map2,
  px: number,
  isPile: boolean,
): OpenKnife["blades"][number] {
  const middle = blade.length * 0.78;
  // The nick is cut in the mark side; of blades side by side those behind the first have it in the pile side.
  const pull = isPile === isBehind ? seen?.pull : "none";
  return {
    shapes: drawBlade(blade, to, px, pull, seen?.type !== undefined, seen?.left?.along as Along | undefined),
    tip: to([blade.length, heightAt(blade.spine, blade.length)]),
    middle: to([middle, (heightAt(blade.spine, middle) + heightAt(blade.edge, middle)) / 2]),
    tang: to([blade.tang * 0.6, 0]),
    mirrored: (end === "A") !== isPile,
    at: (along, across) => {
      const x = along * blade.length;
      const [back, edge] = [heightAt(blade.spine, x), heightAt(blade.edge, x)];
      return to([x, (back + edge) / 2 + (across * (back - edge)) / 2]);
    },
  };
}

const HALF_OPEN = 90;

const turned = (pose: Pose, open: number) =>
  pose === "closed" ? 0 : pose === "half" ? Math.min(HALF_OPEN, open) : open;

const WIRE = 1.1;

const flipped = ([x, y]: Point, width: number): Point => [width - x, y];

function bounds(handle: Handle, lain: Lain[]): [number, number, number, number] {
  // The wire of a bail is as thick as it is drawn, on both sides of its middle.
  const loop = bailLoop(handle).map(([x, y]): Point => [x - WIRE, y]);
  const points = [...handle.outline(), ...loop];
  for (const l of lain) {
    const to = placed(1, l.pivot, l.turn, l.end === "A");
    points.push(...l.blade.spine.map(to), ...l.blade.edge.map(to));
  }
  const xs = points.map((p) => p[0]);
  const ys = points.map((p) => p[1]);
  return [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
}
