import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import type { BladeType, BolsterLayout, Book, ShieldForm, Sketch } from "../api/types";
import { blade, drawBlade } from "./blade";
import { drawClosed, reach } from "./closed";
import { placed } from "./geometry";
import { bailLoop, drawHandle, handleOf, type Shape } from "./handle";
import { drawOpen } from "./open";

/** A book as it ships. */
const shipped = (name: string) =>
  readFileSync(`../formats/src/main/resources/snikra/${name}.yaml`, "utf8").split("\n");

/** What the answers of a question are drawn as. */
function drawnAs(question: string): string[] {
  const lines = shipped("clue-book");
  const from = lines.indexOf(`  - id: ${question}`);
  const until = lines.findIndex((l, i) => i > from && l.startsWith("  - id: "));
  const named = lines.slice(from + 1, until).map((l) => /^ {8}drawnAs: (\S+)$/.exec(l)?.[1]);
  return [...new Set(named.filter((n) => n !== undefined))];
}

const SHIELDS = shipped("shapes")
  .map((l) => /^ {2}- \{id: ([\w-]+), (outline|ellipse): (.*)\}$/.exec(l))
  .filter((m) => m !== null)
  .map(([, id, kind, rows]) => ({
    id,
    outline: [],
    ellipse: [],
    [kind as string]: JSON.parse(rows as string),
  })) as unknown as ShieldForm[];

const LAYOUTS = shipped("patterns")
  .map((l) => /^ {2}- \{id: ([\w-]+), label: "[^"]*", recognise: "[^"]*"(.*)\}$/.exec(l))
  .filter((m) => m !== null)
  .map(([, id, rest]) => {
    const of = (key: string) => new RegExp(`${key}: ([\\w.]+)`).exec(rest ?? "")?.[1];
    return {
      id,
      front: Number(of("front") ?? 0),
      rear: Number(of("rear") ?? 0),
      form: of("form") ?? "bolster",
    };
  }) as BolsterLayout[];

const book = {
  bolsters: LAYOUTS,
  shields: SHIELDS,
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
      nick: { at: 0.3, length: 0.2, drop: 0.03 },
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
  handle: "jigged",
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

const JIGGINGS = "none deep-cross worm-groove seed sawtooth machine-regular";

describe("a handle", () => {
  const to = placed(4, [0, 0]);
  const drawn = (more: Partial<Sketch>, fine = true) => drawHandle(handleOf(sketch(more), book), to, 1, fine);
  const text = (shapes: Shape[]) => shapes.map((s) => s.d).join("");

  it("is drawn soundly in every jigging, and without anything known", () => {
    sound(drawn({ handle: undefined, bolsters: undefined }));
    for (const jigging of JIGGINGS.split(" ")) sound(drawn({ jigging }, false));
  });

  it("has lines of its own in every texture the book names, but for the plain one", () => {
    const textures = drawnAs("handle_material");
    const drawings = textures.map((handle) => text(drawn({ handle, jigging: "seed" })));
    expect(textures).toContain("plain");
    drawings.forEach((d, i) => {
      if (textures[i] !== "plain")
        expect(d.length, textures[i]).toBeGreaterThan(text(drawn({ handle: "plain" })).length);
    });
    // Nacre and sheen are lines of one kind on covers of two colours.
    expect(new Set(drawings).size).toBe(textures.length);
  });

  it("has every shield of the book in a form of its own", () => {
    expect(SHIELDS.map((s) => s.id)).toEqual(expect.arrayContaining(["bar", "lozenge", "round"]));
    const forms = SHIELDS.map(({ id }) => text(drawn({ shieldShape: id })));
    expect(new Set(forms).size).toBe(SHIELDS.length);
    expect(text(drawn({ shieldShape: "none" }))).toBe(text(drawn({ shield: "none" })));
  });

  it("has every layout of bolsters of the book in a form of its own, but for two that leave it bare", () => {
    expect(LAYOUTS.map((l) => l.id)).toContain("collar");
    const bare = text(drawn({ bolsters: undefined, handle: undefined }));
    const forms = LAYOUTS.map(({ id }) => text(drawn({ bolsters: id, handle: undefined })));
    LAYOUTS.forEach(({ id }, i) => {
      if (id === "none" || id === "shadow") expect(forms[i]).toBe(bare);
    });
    expect(new Set(forms).size).toBe(LAYOUTS.length - 1);
  });

  it("takes the length of its bolsters from the book", () => {
    const long = { ...book, bolsters: LAYOUTS.map((l) => ({ ...l, front: 2 * l.front })) };
    expect(handleOf(sketch(), long).boltA).toBeCloseTo(2 * handleOf(sketch(), book).boltA, 9);
  });

  it("has a pin as near to either end of its cover, and that of the spring near the back", () => {
    for (const bolsters of ["both-ends", "front-only", "none"]) {
      const h = handleOf(sketch({ bolsters, shield: "none" }), book);
      const circles = drawHandle(h, placed(1, [0, 0]), 1, true)
        .map((s) => /^M(-?[\d.]+) (-?[\d.]+)a([\d.]+) /.exec(s.d)?.slice(1).map(Number))
        .filter((c) => c !== undefined)
        .map(([x, y, r]) => [(x as number) + (r as number), y as number] as const);
      const [first, last, spring] = circles;
      if (!first || !last || !spring) throw new Error("three pins are drawn");
      expect(circles).toHaveLength(3);
      expect(first[0] - h.boltB).toBeCloseTo(h.length - h.boltA - last[0], 1);
      expect(first[0] - h.boltB).toBeLessThan(0.2 * (h.length - h.boltA - h.boltB));
      expect(spring[1]).toBeGreaterThan(h.y(spring[0], 0.6));
    }
  });

  it("has a bail whose legs lie on the end they turn at", () => {
    const h = handleOf(sketch({ bail: "wire" }), book);
    const loop = bailLoop(h);
    expect(loop[0]?.[0]).toBe(h.pivot("B")[0]);
    expect(loop.at(-1)?.[0]).toBe(h.pivot("B")[0]);
    expect(Math.min(...loop.map(([x]) => x))).toBeLessThan(-4);
  });

  it("has its main pivot at the right, where the mark side shows the nick", () => {
    const h = handleOf(sketch(), book);
    expect(h.pivot("A")[0]).toBeGreaterThan(h.pivot("B")[0]);
    expect(h.y(45, -1)).toBeLessThan(h.y(45, 1));
  });

  it("is dashed and bare until its outline has been looked at", () => {
    const shapes = drawHandle(
      handleOf(sketch({ frame: undefined }), book),
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
    const once = drawClosed(sketch({ handle: "bark" }), book, placed(2, [0, 0]), 1);
    expect(drawClosed(sketch({ handle: "bark" }), book, placed(2, [0, 0]), 1)).toEqual(once);
  });
});

describe("a blade", () => {
  it("is as long from pivot to point as it was measured, but for its tang", () => {
    const b = blade(book.blades[0], 66);
    expect(b.length).toBeGreaterThan(66);
    expect(b.length).toBeLessThan(66 + b.tang);
    expect(b.spine.at(-1)?.[0]).toBeCloseTo(b.length, 6);
  });

  it("loses height where it is worn, and only there", () => {
    const b = blade(book.blades[0], 66);
    // The outline as it is now is drawn last; its edge is what lies lowest.
    const lowest = (along: [number, number][], from: number, to: number) => {
      const d = drawBlade(b, placed(1, [0, 0]), 1, "none", true, along).at(-1)?.d ?? "";
      const points = [...d.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map(
        (m) => [Number(m[1]), Number(m[2])] as const,
      );
      return Math.max(...points.filter(([x]) => x > from && x < to).map(([, y]) => y));
    };
    const worn: [number, number][] = [
      [0, 1],
      [0.5, 1],
      [0.7, 0.5],
      [1, 0.5],
    ];
    const whole: [number, number][] = [
      [0, 1],
      [1, 1],
    ];
    expect(lowest(worn, 20, 36)).toBeCloseTo(lowest(whole, 20, 36), 1);
    expect(lowest(worn, 52, 62)).toBeLessThan(lowest(whole, 52, 62) - 1.5);
  });

  it("of an unknown kind is drawn all the same", () => {
    expect(blade(undefined, 40).spine.flat().every(Number.isFinite)).toBe(true);
  });
});

describe("what the book says of a blade", () => {
  const type = {
    ...(book.blades[0] as BladeType),
    nick: { at: 0.3, length: 0.2, drop: 0.03 },
    teeth: { kind: "saw", side: "edge", from: 0.1, to: 0.9, count: 8, depth: 0.02 },
    texture: { kind: "cross-cut", from: 0.2, to: 0.8 },
    lines: [
      [
        [0.4, 0],
        [0.45, 0.02],
        [0.5, 0],
      ],
    ],
  } as BladeType;
  const as = (more: Partial<BladeType>) =>
    drawBlade(blade({ ...type, ...more } as BladeType, 66), placed(4, [0, 0]), 1, undefined, true);
  const whole = as({});

  it.each<[string, Partial<BladeType>]>([
    ["where its nick is", { nick: { at: 0.5, length: 0.2, drop: 0.03 } }],
    ["how long its nick is", { nick: { at: 0.3, length: 0.1, drop: 0.03 } }],
    ["how far below the back", { nick: { at: 0.3, length: 0.2, drop: 0.06 } }],
    ["that it has none", { nick: undefined }],
    ["how deep its teeth are", { teeth: { ...type.teeth, depth: 0.04 } as BladeType["teeth"] }],
    ["of which kind they are", { teeth: { ...type.teeth, kind: "scallop" } as BladeType["teeth"] }],
    ["how far it is cut across", { texture: { kind: "cross-cut", from: 0.2, to: 0.5 } }],
    ["what lines are on it", { lines: [] }],
  ])("is drawn: %s", (_, more) => {
    sound(as(more));
    expect(as(more)).not.toEqual(whole);
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

  it("has the nick of a blade behind another in the pile side", () => {
    const [a] = sketch().blades;
    if (!a) throw new Error("the sketch needs a blade");
    const many = (isPile: boolean) =>
      drawOpen(sketch({ blades: [a, a] }), book, 500, 200, 9, "open", isPile).blades.map(
        (b) => b.shapes.length,
      );
    const [near, far] = many(false) as [number, number];
    expect(near).toBeGreaterThan(far);
    expect(many(true)).toEqual([far, near]);
  });

  it("is drawn no larger than asked", () => {
    expect(drawOpen(sketch(), book, 5000, 5000, 4.6).scale).toBe(4.6);
  });
});
