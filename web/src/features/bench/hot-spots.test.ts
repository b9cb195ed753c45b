import { expect, test } from "vitest";
import type { Book, Sketch, Verdict } from "../../api/types";
import { drawOpen, type Pose } from "../../drawing/open";
import { spaced, spotsOf } from "./hot-spots";
import { type FaceOf, NARROW, NARROW_SMALL, type Room, WIDE, WIDE_SMALL } from "./plate";

const even = [
  [0, 0, 0],
  [0.02, 0.06, -0.06],
  [0.1, 0.09, -0.09],
  [0.9, 0.09, -0.09],
  [1, 0, 0],
];

const BOOK = {
  bolsters: [],
  shields: [],
  frames: [{ id: "even", name: "Even", recognise: "", heightRatio: 0.18, profile: even }],
  blades: [
    { id: "spear", name: "Spear blade", alsoCalled: [], tool: false, recognise: "", profile: even.slice(2) },
  ],
} as unknown as Book;

const ends = (...all: ("A" | "B")[]): Sketch["blades"] =>
  all.map((end, i) => ({
    type: i === 3 ? undefined : "spear",
    end,
    endSeen: true,
    lengthMm: 62 - 9 * i,
    measured: true,
  }));

const knife = (blades: Sketch["blades"]): Sketch => ({
  frame: "even",
  closedLengthMm: 90,
  measured: true,
  blades,
  back: { springs: 1, counted: true, tangs: [] },
});

const PROGRESS = [
  { station: "blades", looked: 2, of: 4, conflict: false },
  { station: "marks", looked: 1, of: 4, conflict: false },
  { station: "shield", looked: 1, of: 4, conflict: true },
  { station: "handle", looked: 0, of: 7, conflict: false },
];

function pointed(
  blades: Sketch["blades"],
  {
    room = WIDE,
    width = 836,
    pose = "open",
    isPile = false,
    station = "pattern",
    face = { blade: 1, side: "mark" },
  }: { room?: Room; width?: number; pose?: Pose; isPile?: boolean; station?: string; face?: FaceOf } = {},
) {
  const sketch = knife(blades);
  const drawn = drawOpen(
    sketch,
    BOOK,
    width - room.left - room.right,
    room.height - room.top - room.below,
    4.6,
    pose,
    isPile,
  );
  const verdict = { sketch, progress: PROGRESS } as unknown as Verdict;
  return { spots: spotsOf({ drawn, room, verdict, book: BOOK, station, face }), drawn };
}

const KNIVES = [ends("A"), ends("A", "A"), ends("A", "B"), ends("A", "B", "B"), ends("A", "A", "B", "B")];

test("numbers go from the blades over the tangs to the handle", () => {
  const { spots } = pointed(ends("A", "A", "B", "B"));
  expect(spots.map((s) => s.number)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10]);
  expect(spots.map((s) => s.label)).toEqual([
    "Spear",
    "Spear",
    "Spear",
    "Blade",
    "tang",
    "tang 2",
    "tang 3",
    "Frame",
    "Shield",
    "Handle",
  ]);
  expect(spots[3]?.quiet).toBe("not yet looked");
});

test("a spot shows whether its station is in hand, in conflict, looked at or open", () => {
  const state = (label: string, station: string) =>
    pointed(ends("A", "B"), { station }).spots.find((s) => s.label === label)?.state;
  expect(state("Shield", "pattern")).toBe("conflict");
  expect(state("Shield", "shield")).toBe("now");
  expect(state("Handle", "pattern")).toBe("open");
  expect(state("tang", "pattern")).toBe("seen");
  expect(state("Frame", "pattern")).toBe("open");
  expect(state("Spear", "blades")).toBe("now");
});

test("at the marks the tang in hand says which side, the others do not", () => {
  const { spots } = pointed(ends("A", "B"), { station: "marks", face: { blade: 2, side: "pile" } });
  const tangs = spots.filter((s) => s.station === "marks");
  expect(tangs.map((s) => s.quiet)).toEqual([undefined, "pile side"]);
  expect(tangs.map((s) => s.state)).toEqual(["seen", "now"]);
  expect(tangs.map((s) => s.face?.blade)).toEqual([1, 2]);
});

test.each([
  ["wide", WIDE, 836],
  ["wide and small", WIDE_SMALL, 836],
  ["narrow", NARROW, 358],
  ["narrow and small", NARROW_SMALL, 358],
] as const)("%s: discs lie on the sheet", (_, room, width) => {
  for (const blades of KNIVES)
    for (const isPile of [false, true])
      for (const { disc } of pointed(blades, { room, width, isPile }).spots) {
        expect(disc[0] + room.left).toBeGreaterThan(8);
        expect(disc[0] + room.left).toBeLessThan(width - 8);
        expect(disc[1] + room.top).toBeGreaterThan(8);
        expect(disc[1] + room.top).toBeLessThan(room.height - 8);
      }
});

test("discs of one kind never lie on one another", () => {
  for (const room of [WIDE, WIDE_SMALL])
    for (const blades of KNIVES) {
      const { spots } = pointed(blades, { room });
      for (const a of spots)
        for (const b of spots.filter((o) => o.number > a.number && o.station === a.station))
          expect(Math.hypot(a.disc[0] - b.disc[0], a.disc[1] - b.disc[1])).toBeGreaterThan(18);
      const under = spots.slice(-3).map((s) => s.disc[0]);
      for (let i = 1; i < 3; i++)
        expect((under[i] as number) - (under[i - 1] as number)).toBeGreaterThanOrEqual(83.9);
    }
});

test("places are moved apart as little as leaves room, and keep their order", () => {
  expect(spaced([0, 100, 200], 84)).toEqual([0, 100, 200]);
  expect(spaced([0, 50, 60], 84)).toEqual([0, 84, 168]);
  expect(spaced([60, 50, 0], 30)).toEqual([80, 50, 0]);
});
