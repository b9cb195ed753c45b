import type { BladeType } from "../api/types";
import { burin, cubic, heightAt, lerp, line, type Map2, type Point, path, seeded, smooth } from "./geometry";
import type { Shape } from "./handle";

/** A blade lying closed: its pivot at 0, its point towards +x, its spine up. */
export interface Blade {
  length: number;
  tang: number;
  spine: Point[];
  edge: Point[];
  tool: boolean;
}

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
  return {
    length: tang + long,
    tang,
    spine: [...shoulder, ...spine.slice(1)],
    edge: [...under, ...edge],
    tool: type?.tool ?? false,
  };
}

/** The lines of an open blade. */
export function drawBlade(b: Blade, map: Map2, px: number, pull: string | undefined, seen: boolean): Shape[] {
  const to = (points: Point[]) => points.map(map);
  const first = b.spine[0] as Point;
  const start = b.edge[0] as Point;
  const round = cubic(start, [-5.4, start[1] * 0.8], [-5.6, first[1] + 1], first, 8);
  const outline = path(to([...b.spine, ...[...b.edge].reverse(), ...round]));
  if (!seen)
    return [
      { d: outline, fill: "paper" },
      { d: outline, stroke: px, dashed: true },
    ];
  const shapes: Shape[] = [{ d: outline, fill: "paper" }];
  shapes.push({ d: [...shading(b, to, px), bevel(b, to, px)].join(""), fill: "ink" });
  if (pull === "long" || pull === "match-striker")
    shapes.push(...longPull(b, to, px, pull === "match-striker"));
  else if (pull !== "none" && b.length > 22) shapes.push(...nick(b, to, px));
  shapes.push({ d: outline, stroke: 1.15 * px });
  return shapes;
}

type To = (points: Point[]) => Point[];

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
    for (let i = 0; i <= 40; i++) {
      const x = lerp(b.tang + 0.5, until, i / 40);
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
  if (b.tool) return "";
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
  const x = b.length * 0.5;
  const y = heightAt(b.spine, x) + 1.25;
  const r = Math.min(3.4, b.length * 0.075);
  const top = line([x - r, y], [x + r, y], 10);
  const low = cubic([x + r, y], [x + r * 0.55, y + 1.4], [x - r * 0.55, y + 1.4], [x - r, y], 14);
  return [
    { d: path(to([...top, ...low])), fill: "paper", stroke: 0.6 * px },
    {
      d: burin(to(top.map(([a, c]): Point => [a, c + 0.2])), (t) => 1.4 * px * Math.sin(Math.PI * t) ** 0.5),
      fill: "ink",
    },
  ];
}
