import type { Book, Sketch } from "../api/types";
import { burin, heightAt, type Map2, type Point, path } from "./geometry";
import { drawHandle, type Handle, handleOf, type Shape } from "./handle";

/** By how much a closed main stands above the slot, in millimetres. */
const PROUD = 1.9;

/** A closed knife for the tray: what stands above the slot, then the handle. */
export function drawClosed(sketch: Sketch, book: Book, map: Map2, px: number): Shape[] {
  const h = handleOf(sketch, book);
  const seen = sketch.frame !== undefined;
  const blades = seen
    ? sketch.blades.flatMap((b, i) =>
        proud(h, b, book.blades.find((t) => t.id === b.type)?.profile, i, map, px),
      )
    : [];
  return [...blades, ...drawHandle(h, map, px, false, seen)];
}

/** How far a closed knife reaches above and below the line it is drawn along, in millimetres. */
export function reach(sketch: Sketch, book: Book): { above: number; below: number } {
  const h = handleOf(sketch, book);
  let above = 0;
  let below = 0;
  for (let i = 0; i <= 60; i++) {
    const x = (h.length * i) / 60;
    above = Math.max(above, -h.y(x, -1) + PROUD);
    below = Math.max(below, h.y(x, 1));
  }
  return { above, below };
}

// A closed blade stands proud of the slot by as much as its own spine is high there.
function proud(
  h: Handle,
  blade: Sketch["blades"][number],
  profile: number[][] | undefined,
  place: number,
  map: Map2,
  px: number,
): Shape[] {
  const spine = (profile ?? []).map((r): Point => [r[0] as number, r[1] as number]);
  const top = Math.max(0.01, ...spine.map((p) => p[1]));
  const stands = place === 0 ? PROUD : 1.35;
  const points: Point[] = [];
  for (let i = 0; i <= 60; i++) {
    const t = i / 60;
    const x = blade.end === "A" ? h.length - 3 - t * blade.lengthMm : 3 + t * blade.lengthMm;
    const full = spine.length > 0 ? Math.max(0, heightAt(spine, t)) / top : 1;
    const high = stands * Math.min(1, t / 0.05) ** 0.6 * full * Math.min(1, (1 - t) / 0.02);
    points.push([x, h.y(x, -1) - high]);
  }
  const base = points.map(([x]): Point => [x, h.y(x, 0)]).reverse();
  const from = 26;
  const pull = points.slice(from, from + 5).map(([x, y]): Point => [x, y + 0.65]);
  const shapes: Shape[] = [
    { d: path([...points, ...base].map(map)), fill: "paper" },
    { d: path(points.map(map), false), stroke: 0.9 * px },
  ];
  if (place === 0)
    shapes.push({ d: burin(pull.map(map), (t) => 1.7 * px * Math.sin(Math.PI * t) ** 0.6), fill: "ink" });
  return shapes;
}
