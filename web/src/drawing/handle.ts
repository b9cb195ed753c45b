import type { BolsterLayout, Book, Frame, ShieldForm, Sketch } from "../api/types";
import { burin, cubic, heightAt, lerp, type Map2, type Point, path, seeded, smooth } from "./geometry";

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
  if (h.sketch.handle && !LIGHT.includes(h.sketch.handle)) shapes.push({ d: path(to(cover)), fill: "bone" });
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

/** The stuff of the handle: cuts for jigged bone, bark for stag, grain for wood, and so on. */
function covering(h: Handle, to: To, px: number, fine: boolean): string[] {
  const random = seeded(Math.round(h.length * 8));
  const from = h.boltB + 1.2;
  const until = h.length - h.boltA - 1.2;
  const clear = (points: Point[]) => points.filter(([x, y]) => !blocked(h, x, y));
  // Where the cover itself is metal, it is drawn so before anyone said of which.
  const stuff = h.sketch.handle ?? (h.metal === "cover" ? "sheet-metal" : "");
  return TEXTURES[stuff]?.({ h, to, px, fine, random, from, until, clear }) ?? [];
}

/** What a texture is drawn with: the handle, the sheet, and the stretch between the bolsters. */
interface Ground {
  h: Handle;
  to: To;
  px: number;
  fine: boolean;
  random: Random;
  from: number;
  until: number;
  clear: (points: Point[]) => Point[];
}

type Texture = (ground: Ground) => string[];

const grained =
  (lines: number): Texture =>
  ({ h, to, px, from, until, clear }) =>
    grain(h, to, px, lines, from, until, clear);

const layered: Texture = ({ h, to, px, from, until, clear }) =>
  [0.9, 0.77, 0.64, 0.51, 0.38, 0.25].map((v, r) =>
    burin(to(clear(h.along(v, from, until, 70))), () => px * (0.85 - 0.1 * r)),
  );

/** Clear of both edges of the cover. */
const isOnCover = (h: Handle, x: number, y: number) =>
  Math.abs(y - h.y(x, 0)) < 0.92 * Math.abs(h.y(x, 1) - h.y(x, 0));

/** Sheet that was rolled while soft: streaks that drift along the handle, swell and end. */
const swirled: Texture = ({ h, to, px, fine, random, from, until, clear }) => {
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
    return burin(to(clear(line)), (t) => px * weight * Math.max(0, 0.35 + 1.15 * Math.sin(16 * t + phase)));
  });
};

/** Shell and its likeness: clouds of no form at all, hatched along the handle. */
const mottled: Texture = ({ h, to, px, fine, random, from, until, clear }) => {
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
      return burin(to(clear(stroke)), (t) => px * 0.95 * Math.sin(Math.PI * t) ** 0.6);
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

const flecked: Texture = ({ h, to, px, fine, random, from, until }) =>
  Array.from({ length: fine ? 46 : 18 }, () => {
    const x = random(from + 1, until - 2);
    const v = random(-0.7, 0.8);
    return blocked(h, x, h.y(x, v))
      ? ""
      : burin(to(h.along(v, x, x + random(0.5, 1.5), 4)), (t) => px * 0.6 * Math.sin(Math.PI * t) ** 0.5);
  });

/** The textures the book names; what it calls plain has none. */
const TEXTURES: Record<string, Texture> = {
  jigged: ({ h, ...ground }) => jigging(h, ground, h.sketch.jigging ?? REGULAR_CUTS),
  "moulded-jigging": ({ h, ...ground }) => jigging(h, ground, REGULAR_CUTS),
  bark: ({ h, to, px, random, from, until, clear }) => bark(h, to, px, random, from, until, clear),
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

const REGULAR_CUTS = "machine-regular";

/** Covers as light as the metal of the ends. */
const LIGHT = ["nacre", "sheet-metal"];

type Random = (low: number, high: number) => number;

function jigging(h: Handle, ground: Omit<Ground, "h">, style: string) {
  const { to, px, fine, random, from, until } = ground;
  const rows = fine ? 11 : 7;
  const step = fine ? 2.3 : 2.8;
  if (style === "none") return [];
  const cuts: string[] = [];
  for (let r = 0; r < rows; r++) {
    const v = lerp(-0.8, 0.76, r / (rows - 1));
    for (let x = from + 0.6 + (r % 2) * (step / 2); x < until - 0.6; x += step) {
      const at = x + random(-0.14, 0.14);
      const y = h.y(at, v) + random(-0.06, 0.06);
      if (!blocked(h, at, y)) cuts.push(cut(style, at, y, (v + 0.8) / 1.56, to, px, random, r));
    }
  }
  return cuts;
}

// Light falls from upper left: cuts are boldest in the lower third.
function cut(
  style: string,
  x: number,
  y: number,
  low: number,
  to: To,
  px: number,
  random: Random,
  row: number,
) {
  const bold = 0.35 + 0.95 * Math.abs(low - 0.3) ** 1.1;
  const { weight, points } =
    style === "deep-cross" ? crossCut(random(0.9, 1.5), row % 2 === 0 ? 1 : -1) : (CUTS[style] ?? REGULAR);
  const stroke = points.map(([dx, dy]): Point => [x + dx, y + dy]);
  return burin(to(stroke), (t) => px * weight * (0.5 + 0.9 * bold) * Math.sin(Math.PI * t) ** 0.5);
}

/** One cut of a jigging as it runs about its middle, in mm, and how heavy it is. */
interface Cut {
  points: Point[];
  weight: number;
}

const REGULAR: Cut = {
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

function bark(
  h: Handle,
  to: To,
  px: number,
  random: Random,
  from: number,
  until: number,
  clear: (p: Point[]) => Point[],
) {
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
      const kept = clear(wave);
      if (kept.length > 4)
        ink.push(burin(to(kept), (t) => px * (0.4 + 0.45 * (v + 0.84)) * Math.sin(Math.PI * t) ** 0.7));
      x += long + random(0.8, 2.8);
    }
  }
  return ink;
}

function grain(
  h: Handle,
  to: To,
  px: number,
  rows: number,
  from: number,
  until: number,
  clear: (p: Point[]) => Point[],
) {
  return Array.from({ length: rows }, (_, r) => {
    const v = lerp(-0.8, 0.85, r / (rows - 1));
    const halves = [h.along(v, from, h.length * 0.46, 40), h.along(v, h.length * 0.46, until, 40)];
    return halves.map((half) => burin(to(clear(half)), () => px * (0.42 + 0.18 * (v + 0.8)))).join("");
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
