/** Plane geometry for line drawings. Lengths in millimetres, y downwards. */

export type Point = readonly [x: number, y: number];
export type Map2 = (p: Point) => Point;

export const lerp = (a: number, b: number, t: number) => a + (b - a) * t;

/** Points along a straight line, both ends included. */
export function line(a: Point, b: Point, n = 10): Point[] {
  return Array.from({ length: n + 1 }, (_, i) => [lerp(a[0], b[0], i / n), lerp(a[1], b[1], i / n)] as const);
}

/** Points along a cubic curve, both ends included. */
export function cubic(p0: Point, p1: Point, p2: Point, p3: Point, n = 24): Point[] {
  return Array.from({ length: n + 1 }, (_, i) => {
    const t = i / n;
    const m = 1 - t;
    const at = (k: 0 | 1) => m ** 3 * p0[k] + 3 * m * m * t * p1[k] + 3 * m * t * t * p2[k] + t ** 3 * p3[k];
    return [at(0), at(1)] as const;
  });
}

/** A smooth line through the points, by distance along it (centripetal), so that crowded rows stay smooth. */
export function smooth(points: readonly Point[], per = 6): Point[] {
  if (points.length < 3) return [...points];
  const out: Point[] = [points[0] as Point];
  for (let i = 0; i < points.length - 1; i++) {
    const p1 = points[i] as Point;
    const p2 = points[i + 1] as Point;
    const p0 = points[i - 1] ?? mirror(p1, p2);
    const p3 = points[i + 2] ?? mirror(p2, p1);
    for (let k = 1; k <= per; k++) out.push(between(p0, p1, p2, p3, k / per));
  }
  return out;
}

const mirror = (at: Point, other: Point): Point => [2 * at[0] - other[0], 2 * at[1] - other[1]];
const knot = (a: Point, b: Point) => Math.max(1e-6, Math.hypot(b[0] - a[0], b[1] - a[1]) ** 0.5);

function between(p0: Point, p1: Point, p2: Point, p3: Point, u: number): Point {
  const t1 = knot(p0, p1);
  const t2 = t1 + knot(p1, p2);
  const t3 = t2 + knot(p2, p3);
  const t = lerp(t1, t2, u);
  const mix = (a: Point, b: Point, ta: number, tb: number): Point => {
    const w = (t - ta) / (tb - ta);
    return [lerp(a[0], b[0], w), lerp(a[1], b[1], w)];
  };
  const a1 = mix(p0, p1, 0, t1);
  const a2 = mix(p1, p2, t1, t2);
  const a3 = mix(p2, p3, t2, t3);
  return mix(mix(a1, a2, 0, t2), mix(a2, a3, t1, t3), t1, t2);
}

/** Height of a curve that runs forward in x; beyond its ends the end's height. */
export function heightAt(curve: readonly Point[], x: number): number {
  let low = 0;
  let high = curve.length - 1;
  if (x <= (curve[low] as Point)[0]) return (curve[low] as Point)[1];
  if (x >= (curve[high] as Point)[0]) return (curve[high] as Point)[1];
  while (high - low > 1) {
    const mid = (low + high) >> 1;
    if ((curve[mid] as Point)[0] <= x) low = mid;
    else high = mid;
  }
  const [x0, y0] = curve[low] as Point;
  const [x1, y1] = curve[high] as Point;
  return x1 === x0 ? y0 : lerp(y0, y1, (x - x0) / (x1 - x0));
}

/** Turns about the origin (degrees, anticlockwise on the sheet), mirrors, moves and scales. */
export function placed(scale: number, move: Point, turn = 0, mirrored = false, at: Point = [0, 0]): Map2 {
  const c = Math.cos((turn * Math.PI) / 180);
  const s = Math.sin((turn * Math.PI) / 180);
  return ([x, y]) => {
    const turnedX = x * c + y * s;
    const turnedY = -x * s + y * c;
    return [at[0] + ((mirrored ? -turnedX : turnedX) + move[0]) * scale, at[1] + (turnedY + move[1]) * scale];
  };
}

/** A hundred ends of a number: whole numbers are written much faster than broken ones. */
const HUNDREDTHS = Array.from({ length: 100 }, (_, i) => (i / 100).toString().slice(1));

/** A number to two places, without the noughts at its end. */
export function short(v: number): string {
  const hundredths = Math.round(Math.abs(v) * 100);
  const whole = Math.floor(hundredths / 100);
  const written = whole + (HUNDREDTHS[hundredths - 100 * whole] as string);
  return v < 0 && hundredths > 0 ? `-${written}` : written;
}

/** An SVG path through the points. */
export function path(points: readonly Point[], closed = true): string {
  return points.length === 0
    ? ""
    : `M${points.map(([x, y]) => `${short(x)} ${short(y)}`).join("L")}${closed ? "Z" : ""}`;
}

/** A burin line: the outline of a stroke whose width runs with t from 0 to 1. */
export function burin(points: readonly Point[], width: (t: number) => number): string {
  const n = points.length;
  if (n < 2) return "";
  const left: Point[] = [];
  const right: Point[] = [];
  points.forEach(([x, y], i) => {
    const [x0, y0] = points[Math.max(0, i - 1)] as Point;
    const [x1, y1] = points[Math.min(n - 1, i + 1)] as Point;
    const l = Math.hypot(x1 - x0, y1 - y0) || 1;
    const h = Math.max(0, width(i / (n - 1))) / 2;
    left.push([x - ((y1 - y0) / l) * h, y + ((x1 - x0) / l) * h]);
    right.push([x + ((y1 - y0) / l) * h, y - ((x1 - x0) / l) * h]);
  });
  return path([...left, ...right.reverse()]);
}

/** A small generator with a seed, so that a knife is lined the same way each time it is drawn. */
export function seeded(seed: number): (low: number, high: number) => number {
  let a = (seed * 2654435761) >>> 0;
  return (low, high) => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return low + (high - low) * (((t ^ (t >>> 14)) >>> 0) / 4294967296);
  };
}
