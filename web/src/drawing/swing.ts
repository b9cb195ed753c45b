import { lerp, type Point } from "./geometry";

/** How long a blade takes to swing to its new place. */
export const SWING_MS = 320;

/** Two places of one thing that say where it lies. */
export type Laid = readonly [Point, Point];

/**
 * An SVG transform that shows what is drawn at `to` on its way from where it lay before: turned the
 * short way round and scaled about its first place, by a share `t` of the way.
 */
export function onItsWay(from: Laid, to: Laid, t: number): string {
  const [turn, size] = between(to, from);
  const rest = 1 - t;
  const angle = turn * rest;
  const scale = size ** rest;
  const at: Point = [lerp(from[0][0], to[0][0], t), lerp(from[0][1], to[0][1], t)];
  const c = Math.cos(angle) * scale;
  const s = Math.sin(angle) * scale;
  const [x, y] = to[0];
  const move = [at[0] - c * x + s * y, at[1] - s * x - c * y];
  return `matrix(${[c, s, -s, c, ...move].map((v) => v.toFixed(4)).join(" ")})`;
}

// The turn, in radians from -pi to pi, and the ratio that take one to the other.
function between(from: Laid, to: Laid): [number, number] {
  const along = ([a, b]: Laid): Point => [b[0] - a[0], b[1] - a[1]];
  const [u, v] = [along(from), along(to)];
  const turn = Math.atan2(u[0] * v[1] - u[1] * v[0], u[0] * v[0] + u[1] * v[1]);
  return [turn, Math.hypot(...v) / (Math.hypot(...u) || 1) || 1];
}

/** Slow at both ends. */
export const eased = (t: number) => t * t * (3 - 2 * t);
