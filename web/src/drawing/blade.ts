import type { BladeType } from "../api/types";
import { burin, cubic, heightAt, lerp, line, type Map2, type Point, path, seeded, smooth } from "./geometry";
import type { Shape } from "./handle";

/** A blade lying closed: its pivot at 0, its point towards +x, its spine up. */
export interface Blade {
  length: number;
  tang: number;
  spine: Point[];
  edge: Point[];
  /** The true outline where hooks, forks or holes go beyond two edges: the outer one, then holes. */
  rings: Point[][];
  /** Lines on its face that are no outline: a pivot, a hinge, a groove. */
  lines: Point[][];
  isTool: boolean;
  /** Where the nick is cut along it, half its length, and how far below the back; none on what has none. */
  nick: { x: number; half: number; drop: number } | undefined;
  teeth: BladeType["teeth"];
  texture: BladeType["texture"];
}

/** The nick of a blade nobody looked at. */
const USUAL_NICK = { at: 0.4, length: 0.16, drop: 0.03 };

const PLAIN: BladeType["profile"] = [
  [0, 0.085, -0.085],
  [0.7, 0.09, -0.09],
  [0.9, 0.055, -0.06],
  [1, 0, 0],
];

/** A blade of this form and length. The profile starts at the tang shoulder; the tang is ours. */
export function blade(type: BladeType | undefined, length: number): Blade {
  const rows = (type?.profile ?? PLAIN) as [number, number, number][];
  const tang = Math.min(12, length * 0.24);
  const long = length - tang * 0.35;
  const side = (column: 1 | 2) => smooth(rows.map((r): Point => [tang + r[0] * long, -r[column] * long]));
  const spine = side(1);
  const edge = side(2);
  const up = spine[0]?.[1] ?? -4;
  const down = edge[0]?.[1] ?? 4;
  const shoulder = [
    ...cubic([-4.6, up * 0.1], [-4.4, up * 0.6], [-1.5, up * 0.85], [3, up * 0.95], 10),
    ...line([3, up * 0.95], [tang, up], 6).slice(1),
  ];
  const kick = tang * 0.6;
  const under: Point[] = [
    ...line([-3.6, down * 0.86], [kick - 1.4, down * 0.9], 6),
    [kick - 0.7, down + 0.5],
    [kick + 0.6, down + 0.6],
    [kick + 1.1, down - 0.6],
    [kick + 1.8, down - 0.7],
    [Math.max(kick + 2.2, tang - 0.4), down - 0.1],
  ];
  const placed = (rows: number[][]) =>
    rows.map((p): Point => [tang + (p[0] as number) * long, -(p[1] as number) * long]);
  const nick = type ? type.nick : USUAL_NICK;
  return {
    length: tang + long,
    tang,
    spine: [...shoulder, ...spine.slice(1)],
    edge: [...under, ...edge],
    rings: (type?.rings ?? []).map(placed),
    lines: (type?.lines ?? []).map(placed),
    nick: nick && { x: tang + nick.at * long, half: (nick.length * long) / 2, drop: nick.drop * long },
    texture: type?.texture,
    isTool: (type?.kind ?? "blade") !== "blade",
    teeth: type?.teeth,
  };
}

/** How much of a blade is left at places along it: x in blade lengths, and the share of its height. */
export type Along = readonly (readonly [number, number])[];

/** The lines of an open blade. What is ground away is left blank inside the dashed full outline. */
export function drawBlade(
  b: Blade,
  map: Map2,
  px: number,
  pull: string | undefined,
  seen: boolean,
  along?: Along,
): Shape[] {
  const to = (points: Point[]) => points.map(map);
  const full = outline(b, to);
  if (!seen)
    return [
      { d: full, fill: "paper" },
      { d: full, stroke: px, dashed: true },
    ];
  const left = along ? worn(b, along) : b;
  const shapes: Shape[] = [{ d: full, fill: "paper" }];
  const lines =
    b.rings.length === 0
      ? [...shading(left, to, px), bevel(left, to, px), teeth(left, to, px), crossCuts(left, to, px)]
      : ringShading(b, to, px);
  shapes.push({ d: lines.join(""), fill: "ink" });
  if (pull === "long" || pull === "match-striker")
    shapes.push(...longPull(b, to, px, pull === "match-striker"));
  else if (pull !== "none") shapes.push(...nick(b, to, px));
  shapes.push(...b.lines.map((l) => ({ d: path(to(l), false), stroke: 0.8 * px })));
  if (along) shapes.push({ d: full, stroke: 0.8 * px, dashed: true });
  shapes.push({ d: outline(left, to), stroke: 1.15 * px });
  return shapes;
}

function outline(b: Blade, to: (points: Point[]) => Point[]): string {
  const first = b.spine[0] as Point;
  const start = b.edge[0] as Point;
  const round = cubic(start, [-5.4, start[1] * 0.8], [-5.6, first[1] + 1], first, 8);
  const [outer, ...holes] = b.rings;
  if (!outer) return path(to([...b.spine, ...[...b.edge].reverse(), ...round]));
  const tang = (points: Point[]) => points.filter((p) => p[0] <= b.tang);
  const rim = [...tang(b.spine), ...outer, ...tang(b.edge).reverse(), ...round];
  return [rim, ...holes].map((points) => path(to(points))).join("");
}

// The edge as it is now: its height is the share that is left of the full one.
function worn(b: Blade, along: Along): Blade {
  const long = b.length - b.tang;
  const share = (x: number) => {
    const t = (x - b.tang) / long;
    const next = along.findIndex(([at]) => at >= t);
    const after = along[next < 0 ? along.length - 1 : next] as readonly [number, number];
    const before = along[Math.max(0, (next < 0 ? along.length : next) - 1)] as readonly [number, number];
    if (after[0] === before[0]) return after[1];
    return lerp(before[1], after[1], Math.max(0, Math.min(1, (t - before[0]) / (after[0] - before[0]))));
  };
  const edge = b.edge.map(([x, y]): Point => {
    if (x <= b.tang) return [x, y];
    const s = heightAt(b.spine, x);
    return [x, s + (y - s) * share(x)];
  });
  return { ...b, edge };
}

function teeth(b: Blade, to: To, px: number): string {
  if (!b.teeth) return "";
  const { from, to: until, count, side, kind, depth } = b.teeth;
  const long = b.length - b.tang;
  const deep = (side === "spine" ? 1 : -1) * depth * long;
  const half = (long * (until - from)) / count / 2;
  const at = (x: number): Point => [x, heightAt(side === "spine" ? b.spine : b.edge, x)];
  return Array.from({ length: count }, (_, i) => {
    const x = b.tang + long * lerp(from, until, (i + 0.5) / count);
    const [a, z] = [at(x - half), at(x + half)];
    const cut =
      kind === "scallop"
        ? cubic(a, [a[0], a[1] + 1.3 * deep], [z[0], z[1] + 1.3 * deep], z, 8)
        : [at(x), [x + half / 2, at(x)[1] + deep] as Point];
    return burin(to(cut), () => 0.7 * px);
  }).join("");
}

/** Cuts across one another over the face, as on a file. */
function crossCuts(b: Blade, to: To, px: number): string {
  if (!b.texture) return "";
  const long = b.length - b.tang;
  const [from, until] = [b.tang + long * b.texture.from, b.tang + long * b.texture.to];
  const ink: string[] = [];
  for (let x = from; x < until; x += 1.2)
    for (const lean of [1, -1]) {
      const high = heightAt(b.edge, x) - heightAt(b.spine, x);
      const across = (t: number): Point => {
        const along = x + lean * high * 0.25 * (2 * t - 1);
        return [along, lerp(heightAt(b.spine, along), heightAt(b.edge, along), lerp(0.14, 0.86, t))];
      };
      ink.push(burin(to([across(0), across(0.5), across(1)]), () => 0.4 * px));
    }
  return ink.join("");
}

type To = (points: Point[]) => Point[];

/** Steps of a stroke along a blade; its sides are straight enough for these. */
const STEPS = 28;

// Lines parallel to the back of a tool with hooks, forks or holes, as far as there is steel.
function ringShading(b: Blade, to: To, px: number): string[] {
  const ink: string[] = [];
  const until = Math.max(...(b.rings[0] as Point[]).map((p) => p[0]));
  for (let i = 0, d = 0.4; i < 5; i++, d += 0.35 + 0.2 * i) {
    let stroke: Point[] = [];
    const end = () => {
      if (stroke.length > 2) ink.push(burin(to(stroke), (t) => px * (0.8 - 0.12 * i) * (1 - 0.4 * t)));
      stroke = [];
    };
    for (let k = 0; k <= 2 * STEPS; k++) {
      const x = lerp(b.tang, until, k / (2 * STEPS));
      const [top, low] = steelAt(b.rings, x);
      if (top === undefined || low === undefined || top + d > low - 0.5) end();
      else stroke.push([x, top + d]);
    }
    end();
  }
  return ink;
}

// Where the topmost steel begins and ends at one place along a tool.
function steelAt(rings: Point[][], x: number): number[] {
  const crossings: number[] = [];
  for (const ring of rings)
    ring.forEach((p, i) => {
      const q = ring[(i + 1) % ring.length] as Point;
      if (p[0] <= x !== q[0] <= x) crossings.push(lerp(p[1], q[1], (x - p[0]) / (q[0] - p[0])));
    });
  return crossings.sort((a, c) => a - c).slice(0, 2);
}

// Lines parallel to the spine, close in its shadow and opening towards the edge.
function shading(b: Blade, to: To, px: number): string[] {
  const random = seeded(Math.round(b.length * 10));
  const ink: string[] = [];
  const high = heightAt(b.edge, b.length * 0.5) - heightAt(b.spine, b.length * 0.5);
  const deep = high * 0.6;
  for (let d = 0.45; d < deep; ) {
    const f = d / deep;
    const until = lerp(b.length * 0.97, b.length * 0.5, f ** 1.25) + random(-1.2, 1.2);
    const stroke: Point[] = [];
    for (let i = 0; i <= STEPS; i++) {
      const x = lerp(b.tang + 0.5, until, i / STEPS);
      const s = heightAt(b.spine, x);
      const e = heightAt(b.edge, x);
      const y = s + d * (0.35 + 0.65 * Math.min(1, (e - s) / high));
      if (y < e - 1.2) stroke.push([x, y]);
    }
    ink.push(burin(to(stroke), (t) => px * (0.9 - 0.6 * f) * Math.min(1, t * 9) * (1 - t) ** 0.55));
    d += 0.42 + 0.65 * f;
  }
  return ink;
}

// The ground edge, and the plunge where it begins.
function bevel(b: Blade, to: To, px: number): string {
  if (b.isTool) return "";
  const from = b.tang + 1;
  const stroke: Point[] = [];
  for (let i = 0; i < 60; i++) {
    const x = lerp(from, b.length - 0.3, i / 59);
    const e = heightAt(b.edge, x);
    stroke.push([x, Math.max(lerp(e, e - 1, Math.min(1, i / 5)), heightAt(b.spine, x) + 0.25)]);
  }
  const top = heightAt(b.spine, b.tang);
  const low = heightAt(b.edge, b.tang);
  const plunge = cubic(
    [b.tang + 0.3, top],
    [b.tang - 0.8, lerp(top, low, 0.35)],
    [b.tang + 0.2, lerp(top, low, 0.75)],
    [b.tang + 1.6, low],
    14,
  );
  return burin(to(stroke), () => px * 0.62) + burin(to(plunge), (t) => px * (0.95 - 0.3 * t));
}

function longPull(b: Blade, to: To, px: number, struck: boolean): Shape[] {
  const from = b.tang + 2;
  const until = b.length * 0.6;
  const lineAt = (off: number) =>
    Array.from({ length: 21 }, (_, i): Point => {
      const x = lerp(from, until, i / 20);
      return [x, heightAt(b.spine, x) + off];
    });
  const shapes: Shape[] = [
    { d: path(to([...lineAt(1.3), ...lineAt(2.1).reverse()])), fill: "paper", stroke: 0.6 * px },
    { d: burin(to(lineAt(1.45)), () => 1.15 * px), fill: "ink" },
  ];
  if (struck) {
    const teeth: string[] = [];
    for (let x = from + 0.6; x < until; x += 0.9)
      teeth.push(
        burin(
          to([
            [x, heightAt(b.spine, x) + 1.3],
            [x + 0.3, heightAt(b.spine, x) + 2.1],
          ]),
          () => 0.6 * px,
        ),
      );
    shapes.push({ d: teeth.join(""), fill: "ink" });
  }
  return shapes;
}

function nick(b: Blade, to: To, px: number): Shape[] {
  if (!b.nick) return [];
  const { x, half: r, drop } = b.nick;
  const y = heightAt(b.spine, x) + drop;
  const deep = Math.min(1.4, 0.45 * r);
  const top = line([x - r, y], [x + r, y], 10);
  const low = cubic([x + r, y], [x + r * 0.55, y + deep], [x - r * 0.55, y + deep], [x - r, y], 14);
  return [
    { d: path(to([...top, ...low])), fill: "paper", stroke: 0.6 * px },
    {
      d: burin(to(top.map(([a, c]): Point => [a, c + 0.2])), (t) => 1.4 * px * Math.sin(Math.PI * t) ** 0.5),
      fill: "ink",
    },
  ];
}
