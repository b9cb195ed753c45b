import type { BolsterLayout, Book, Frame, ShieldForm, Sketch } from "../api/types";
import { burin, cubic, heightAt, lerp, type Map2, type Point, path, seeded, smooth } from "./geometry";
import { isLight, textured } from "./texture";

/** One drawn shape: filled or stroked in a token of the sheet. */
export interface Shape {
  d: string;
  fill?: "paper" | "bone" | "ink";
  stroke?: number;
  dashed?: boolean;
}

const EVEN: Frame["profile"] = [
  [0, 0, 0],
  [0.01, 0.04, -0.04],
  [0.04, 0.075, -0.075],
  [0.08, 0.088, -0.088],
  [0.5, 0.092, -0.092],
  [0.92, 0.088, -0.088],
  [0.96, 0.075, -0.075],
  [0.99, 0.04, -0.04],
  [1, 0, 0],
];

/** One that was fixed and whose form nobody looked at is drawn as this. */
const USUAL_SHIELD = "bar";

/** A handle with the outline and the bolsters the book has for it. */
export const handleOf = (sketch: Sketch, book: Pick<Book, "frames" | "bolsters" | "shields">): Handle =>
  new Handle(sketch, {
    shield: book.shields.find((s) => s.id === (sketch.shieldShape ?? USUAL_SHIELD)),
    frame: book.frames.find((f) => f.id === sketch.frame),
    layout: book.bolsters.find((b) => b.id === sketch.bolsters),
  });

/**
 * A handle lying with its blade slot up and its mark side towards you, so that A is at the right: x runs
 * from B at 0 to A at the closed length; v runs from -1 at the slot to 1 at the back.
 */
export class Handle {
  readonly length: number;
  readonly boltA: number;
  readonly boltB: number;
  /** What its metal is like, where anyone looked. */
  readonly metal: BolsterLayout["form"] | undefined;
  /** The outline of its shield, where it has one. */
  readonly shield: ShieldForm | undefined;
  private readonly slot: Point[];
  private readonly back: Point[];

  constructor(
    readonly sketch: Sketch,
    { frame, layout, shield }: { frame?: Frame; layout?: BolsterLayout; shield?: ShieldForm },
  ) {
    this.shield = shield;
    this.length = sketch.closedLengthMm;
    this.metal = layout?.form;
    this.boltA = (layout?.front ?? 0) * this.length;
    this.boltB = (layout?.rear ?? 0) * this.length;
    const rows = (frame?.profile ?? EVEN) as [number, number, number][];
    const side = (column: 1 | 2) =>
      smooth(rows.map((r): Point => [(1 - r[0]) * this.length, r[column] * this.length]).reverse());
    this.back = side(1);
    this.slot = side(2);
  }

  y(x: number, v: number): number {
    return lerp(heightAt(this.slot, x), heightAt(this.back, x), (v + 1) / 2);
  }

  /** Where blades of an end turn. */
  pivot(end: "A" | "B"): Point {
    const inset = Math.min(7.4, this.length * 0.075);
    const x = end === "A" ? this.length - inset : inset;
    return [x, this.y(x, -0.12)];
  }

  along(v: number, from: number, to: number, n = 60): Point[] {
    return Array.from({ length: n + 1 }, (_, i) => {
      const x = lerp(from, to, i / n);
      return [x, this.y(x, v)] as const;
    });
  }

  across(x: number, bulge = 0, n = 18): Point[] {
    return Array.from({ length: n + 1 }, (_, i) => {
      const v = lerp(-1, 1, i / n);
      const at = x + bulge * (1 - v * v);
      return [at, this.y(at, v)] as const;
    });
  }

  outline(): Point[] {
    const xs = Array.from(
      { length: 161 },
      (_, i) => this.length * (0.5 - 0.5 * Math.cos((Math.PI * i) / 160)),
    );
    return [
      ...xs.map((x): Point => [x, this.y(x, -1)]),
      ...xs.reverse().map((x): Point => [x, this.y(x, 1)]),
    ];
  }
}

const SHIELD = { at: 0.46, halfWidth: 8.2, halfHeight: 2.5 };

/** The lines of a handle. `px` is the weight of a line on the sheet, `fine` asks for the engraver's detail. */
export function drawHandle(h: Handle, map: Map2, px: number, fine: boolean, seen = true): Shape[] {
  const to = (points: Point[]) => points.map(map);
  const outline = path(to(h.outline()));
  if (!seen)
    return [
      { d: outline, fill: "paper" },
      { d: outline, stroke: px, dashed: true },
    ];
  const from = h.boltB;
  const until = h.length - h.boltA;
  const cover = [...h.along(-1, from, until, 80), ...h.along(1, from, until, 80).reverse()];
  const ink = [...covering(h, to, px, fine), ...bolsters(h, to, px, fine), edge(h, to, px)];
  const shapes: Shape[] = [{ d: outline, fill: "paper" }];
  if (h.sketch.handle && !isLight(h.sketch.handle)) shapes.push({ d: path(to(cover)), fill: "bone" });
  shapes.push({ d: ink.join(""), fill: "ink" }, ...pins(h, map, px), ...shield(h, map, px));
  const back = Array.from({ length: 121 }, (_, i) => {
    const x = h.length * (0.5 - 0.5 * Math.cos((Math.PI * i) / 120));
    return [x, h.y(x, 1)] as const;
  });
  shapes.push({ d: outline, stroke: 1.1 * px });
  shapes.push({ d: burin(to(back), (t) => px * (1 + 1.1 * Math.sin(Math.PI * t) ** 0.5)), fill: "ink" });
  if (bailLoop(h).length > 0) shapes.push(...bail(h, to, px));
  return shapes;
}

type To = (points: Point[]) => Point[];

function edge(h: Handle, to: To, px: number): string {
  return burin(to(h.along(0.95, h.boltB + 0.8, h.length - h.boltA - 0.8, 90)), () => px * 0.8);
}

function bolsters(h: Handle, to: To, px: number, fine: boolean): string[] {
  const a = h.length - h.boltA;
  return [
    ...(h.boltB > 0 ? [...rounded(h, to, px, fine, 1.1, h.boltB - 0.6), joint(h, to, px, h.boltB)] : []),
    ...(h.boltA > 0 ? [...rounded(h, to, px, fine, a + 0.6, h.length - 1.1), joint(h, to, px, a)] : []),
    ...(h.metal === "band" ? [joint(h, to, px, h.length - 1.2)] : []),
  ];
}

const LOWER = [0.955, 0.9, 0.842, 0.78, 0.715, 0.645, 0.57, 0.49, 0.4];
const LOWER_SMALL = [0.93, 0.82, 0.68, 0.52];
const UPPER = [-0.955, -0.895, -0.825];

/** Light on a metal end: heavy towards the back, a little at the slot; of pressed sheet half as deep. */
function rounded(h: Handle, to: To, px: number, fine: boolean, from: number, until: number): string[] {
  const fade = (t: number) => Math.min(1, t * 3, (1 - t) * 4) ** 0.7;
  const depth = h.metal === "pressed" ? 0.6 : 1;
  const lower = fine ? LOWER : LOWER_SMALL;
  const upper = fine ? UPPER : UPPER.slice(0, 1);
  const line = (v: number, weight: number) =>
    burin(to(h.along(v, from, until, 40)), (t) => px * depth * weight * fade(t));
  return [
    ...lower.map((v, i) => line(v, 1.02 - (0.75 * i) / lower.length)),
    ...upper.map((v, i) => line(v, 0.7 - 0.2 * i)),
  ];
}

/** Where metal and cover meet: one line; in pressed sheet no more than a bend of it. */
function joint(h: Handle, to: To, px: number, x: number): string {
  const weight = h.metal === "pressed" ? 0.5 : 1.1;
  return burin(to(h.across(x)), (t) => px * weight * (0.75 + 0.4 * t));
}

const hasShield = (h: Handle) => Boolean(h.shield && h.sketch.shield && h.sketch.shield !== "none");

function blocked(h: Handle, x: number, y: number): boolean {
  const sx = SHIELD.at * h.length;
  if (
    hasShield(h) &&
    Math.abs(x - sx) < SHIELD.halfWidth + 1.1 &&
    Math.abs(y - h.y(x, 0)) < SHIELD.halfHeight + 0.8
  )
    return true;
  return pinPlaces(h).some(([px, py]) => Math.hypot(x - px, y - py) < 1.6);
}

/** Two pins near the ends of the cover, and that of the spring near the back; pressed sheet has none. */
function pinPlaces(h: Handle): Point[] {
  if (h.metal === "pressed") return [];
  const at = (t: number, v: number): Point => {
    const x = lerp(h.boltB, h.length - h.boltA, t);
    return [x, h.y(x, v)];
  };
  return [at(0.11, 0.05), at(0.89, 0.05), at(0.5, 0.72)];
}

/** The stuff of the cover; where that itself is metal, it is drawn so before anyone said of which. */
const textureOf = (h: Handle) => h.sketch.handle ?? (h.metal === "cover" ? "sheet-metal" : undefined);

function covering(h: Handle, to: To, px: number, fine: boolean): string[] {
  return textured(textureOf(h) ?? "", {
    h,
    length: h.length,
    jigging: h.sketch.jigging,
    to,
    px,
    fine,
    random: seeded(Math.round(h.length * 8)),
    from: h.boltB + 1.2,
    until: h.length - h.boltA - 1.2,
    isFree: (x, y) => !blocked(h, x, y),
  });
}

/** Where a bail runs, behind the handle; no way where there is none. */
/** How far a bail stands out beyond its end, in millimetres. */
const BAIL = 8;

/** The middle of its wire: a leg from its pin along the bolster, round beyond the end, and back. */
export function bailLoop(h: Handle): Point[] {
  if (!h.sketch.bail || h.sketch.bail === "none") return [];
  const [x, y] = h.pivot("B");
  return [
    [x, y - 1.6],
    ...cubic([0, y - 3], [-BAIL * 1.3, y - 4.6], [-BAIL * 1.3, y + 4.6], [0, y + 3], 30),
    [x, y + 1.6],
  ];
}

function bail(h: Handle, to: To, px: number): Shape[] {
  const thick = (h.sketch.bail === "wire" ? 3.4 : 5.6) * px;
  return [{ d: burin(to(bailLoop(h)), () => thick), fill: "paper", stroke: 0.9 * px }];
}

function circle([x, y]: Point, r: number): string {
  return `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;
}

function pins(h: Handle, map: Map2, px: number): Shape[] {
  const scale = Math.abs(map([1, 0])[0] - map([0, 0])[0]);
  return pinPlaces(h).map((p) => ({ d: circle(map(p), 0.8 * scale), fill: "paper", stroke: 0.85 * px }));
}

const ellipse = (wide: number, high: number): Point[] =>
  Array.from({ length: 40 }, (_, i) => {
    const t = (2 * Math.PI * i) / 40;
    return [wide * Math.cos(t), high * Math.sin(t)] as const;
  });

function shield(h: Handle, map: Map2, px: number): Shape[] {
  const kind = h.sketch.shield;
  if (!h.shield || !hasShield(h)) return [];
  const { outline, ellipse: round } = h.shield;
  const cx = SHIELD.at * h.length;
  const rows =
    round.length === 2 ? ellipse(round[0] as number, round[1] as number) : (outline as unknown as Point[]);
  const at = (x: number, y: number): Point => map([cx + x, h.y(cx + x, 0) + y]);
  const rim = (less: number) =>
    rows.map(([x, y]) => at(x * (SHIELD.halfWidth - less), y * (SHIELD.halfHeight - less * 0.8)));
  const scale = Math.abs(map([1, 0])[0] - map([0, 0])[0]);
  const shapes: Shape[] = [
    { d: path(rim(0)), fill: "paper", stroke: 1.05 * px },
    { d: path(rim(0.6)), stroke: 0.45 * px },
  ];
  const widest = Math.max(...rows.map((r) => r[0]));
  if (kind !== "glued")
    for (const x of [-0.62, 0.62])
      shapes.push({
        d: circle(at(x * widest * SHIELD.halfWidth, 0), 0.55 * scale),
        fill: "paper",
        stroke: 0.7 * px,
      });
  return shapes;
}
