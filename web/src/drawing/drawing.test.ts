import { describe, expect, it } from "vitest";
import type { Book, Sketch } from "../api/types";
import { blade } from "./blade";
import { drawClosed, reach } from "./closed";
import { placed } from "./geometry";
import { drawHandle, Handle, type Shape } from "./handle";
import { drawOpen } from "./open";

const book = {
  frames: [
    {
      id: "even",
      name: "Even",
      recognise: "",
      heightRatio: 0.18,
      profile: [
        [0, 0, 0],
        [0.02, 0.06, -0.06],
        [0.1, 0.09, -0.09],
        [0.9, 0.09, -0.09],
        [0.98, 0.06, -0.06],
        [1, 0, 0],
      ],
    },
  ],
  blades: [
    {
      id: "spear",
      name: "Spear blade",
      alsoCalled: [],
      tool: false,
      recognise: "",
      profile: [
        [0, 0.09, -0.09],
        [0.6, 0.09, -0.09],
        [0.9, 0.05, -0.05],
        [1, 0, 0],
      ],
    },
  ],
} as unknown as Book;

const sketch = (more: Partial<Sketch> = {}): Sketch => ({
  frame: "even",
  back: { springs: 1, counted: false, tangs: [] },
  closedLengthMm: 90,
  measured: true,
  bolsters: "both-ends",
  handle: "bone-jigged",
  jigging: "seed",
  shield: "pinned",
  blades: [
    { type: "spear", end: "A", endSeen: true, lengthMm: 66, measured: true },
    { type: "spear", end: "B", endSeen: true, lengthMm: 45, measured: false },
  ],
  ...more,
});

const sound = (shapes: Shape[]) => {
  expect(shapes.length).toBeGreaterThan(0);
  for (const s of shapes) expect(s.d).not.toMatch(/NaN|Infinity|undefined/);
};

const MATERIALS =
  "bone-jigged bone-smooth stag ebony horn pearl hard-rubber celluloid casein phenolic acetal metal";
const JIGGINGS = "none deep-cross worm-groove seed sawtooth machine-regular";
const LAYOUTS = "both-ends front-only rear-only none shadow long-front tip";

describe("a handle", () => {
  it("is drawn soundly in every material, jigging and layout of bolsters", () => {
    const to = placed(4, [0, 0]);
    for (const handle of [undefined, ...MATERIALS.split(" ")])
      sound(drawHandle(new Handle(sketch({ handle }), book.frames[0]), to, 1, true));
    for (const jigging of JIGGINGS.split(" "))
      sound(drawHandle(new Handle(sketch({ jigging }), book.frames[0]), to, 1, false));
    for (const bolsters of [undefined, ...LAYOUTS.split(" ")])
      sound(drawHandle(new Handle(sketch({ bolsters }), book.frames[0]), to, 1, true));
  });

  it("has its main pivot at the right, where the mark side shows the nick", () => {
    const h = new Handle(sketch(), book.frames[0]);
    expect(h.pivot("A")[0]).toBeGreaterThan(h.pivot("B")[0]);
    expect(h.y(45, -1)).toBeLessThan(h.y(45, 1));
  });

  it("is dashed and bare until its outline has been looked at", () => {
    const shapes = drawHandle(
      new Handle(sketch({ frame: undefined }), undefined),
      placed(4, [0, 0]),
      1,
      true,
      false,
    );
    expect(shapes.some((s) => s.dashed)).toBe(true);
    expect(shapes).toHaveLength(2);
  });

  it("closed stays within what it says it reaches, however tall its outline", () => {
    for (const frame of ["even", "tall"]) {
      const tall = {
        ...book,
        frames: [
          ...book.frames,
          {
            ...book.frames[0],
            id: "tall",
            profile: [
              [0, 0.3, -0.12],
              [1, 0.3, -0.12],
            ],
          },
        ],
      } as unknown as Book;
      const one = sketch({ frame });
      const { above, below } = reach(one, tall);
      const ys = drawClosed(one, tall, placed(1, [0, 0]), 1).flatMap((s) =>
        [...s.d.matchAll(/-?[\d.]+ (-?[\d.]+)/g)].map((m) => Number(m[1])),
      );
      expect(Math.min(...ys)).toBeGreaterThanOrEqual(-above - 0.5);
      expect(Math.max(...ys)).toBeLessThanOrEqual(below + 1.5);
      expect(above).toBeLessThan(-Math.min(...ys) + 4);
    }
  });

  it("is lined the same way each time", () => {
    const once = drawClosed(sketch({ handle: "stag" }), book, placed(2, [0, 0]), 1);
    expect(drawClosed(sketch({ handle: "stag" }), book, placed(2, [0, 0]), 1)).toEqual(once);
  });
});

describe("a blade", () => {
  it("is as long from pivot to point as it was measured, but for its tang", () => {
    const b = blade(book.blades[0], 66);
    expect(b.length).toBeGreaterThan(66);
    expect(b.length).toBeLessThan(66 + b.tang);
    expect(b.spine.at(-1)?.[0]).toBeCloseTo(b.length, 6);
  });

  it("of an unknown kind is drawn all the same", () => {
    expect(blade(undefined, 40).spine.flat().every(Number.isFinite)).toBe(true);
  });
});

describe("an open knife", () => {
  it("stays within the sheet it is given", () => {
    for (const count of [0, 1, 2, 4, 8]) {
      const blades = Array.from({ length: count }, (_, i) => ({
        type: "spear",
        end: i % 2 ? ("B" as const) : ("A" as const),
        endSeen: true,
        lengthMm: 60 - 5 * i,
        measured: true,
      }));
      const drawn = drawOpen(sketch({ blades }), book, 500, 200, 9);
      expect(drawn.blades).toHaveLength(count);
      expect(drawn.box.bottom).toBeLessThanOrEqual(200.001);
      for (const b of drawn.blades) {
        sound(b.shapes);
        expect(b.tip[0]).toBeGreaterThanOrEqual(-1);
        expect(b.tip[0]).toBeLessThanOrEqual(501);
        expect(b.tip[1]).toBeGreaterThanOrEqual(-1);
      }
    }
  });

  it("leaves room for a bail at the end without a blade", () => {
    const blades = sketch().blades.slice(0, 1);
    const leftmost = (bail?: string) => {
      const drawn = drawOpen(sketch({ blades, bail }), book, 500, 200, 9);
      return Math.min(
        ...drawn.handle.flatMap((s) => [...s.d.matchAll(/[ML](-?[\d.]+)/g)].map((m) => Number(m[1]))),
      );
    };
    expect(leftmost()).toBeGreaterThanOrEqual(-1);
    expect(leftmost("wire")).toBeGreaterThanOrEqual(-1);
    expect(drawOpen(sketch({ blades, bail: "wire" }), book, 500, 200, 9).left[0]).toBeGreaterThan(
      drawOpen(sketch({ blades }), book, 500, 200, 9).left[0],
    );
  });

  it("opens the main blade to the right and one of the other end to the left", () => {
    const drawn = drawOpen(sketch(), book, 500, 200, 9);
    expect(drawn.blades[0]?.tip[0]).toBeGreaterThan(drawn.right[0]);
    expect(drawn.blades[1]?.tip[0]).toBeLessThan(drawn.left[0]);
  });

  it("shows the pull of each blade, and none on the pile side", () => {
    const shapesOf = (pull: string, isPile = false) => {
      const [a, b] = sketch().blades;
      if (!a || !b) throw new Error("the sketch needs two blades");
      return drawOpen(sketch({ blades: [a, { ...b, pull }] }), book, 500, 200, 9, "open", isPile).blades.map(
        (each) => each.shapes.length,
      );
    };
    expect(shapesOf("match-striker")[1]).toBeGreaterThan(shapesOf("none")[1] as number);
    expect(shapesOf("match-striker")[0]).toBe(shapesOf("none")[0]);
    expect(shapesOf("match-striker", true)).toEqual(shapesOf("none", true));
  });

  it("is drawn no larger than asked", () => {
    expect(drawOpen(sketch(), book, 5000, 5000, 4.6).scale).toBe(4.6);
  });
});
