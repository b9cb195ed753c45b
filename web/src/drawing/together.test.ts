import { expect, it } from "vitest";
import type { Book, Sketch } from "../api/types";
import { layTogether } from "./together";

const BOOK = { bolsters: [], shields: [], frames: [], blades: [] } as unknown as Book;

const knife = (mm: number) =>
  ({
    closedLengthMm: mm,
    measured: true,
    springs: 1,
    blades: [{ end: "A", lengthMm: 0.7 * mm }],
  }) as unknown as Sketch;

const lengthOf = ({ drawn }: ReturnType<typeof layTogether>["laid"][number]) =>
  drawn.right[0] - drawn.left[0];

it("draws all at one scale, so that twice as long is twice as wide", () => {
  const { laid, scale } = layTogether([knife(60), knife(120), knife(90)], BOOK, 1200, "closed", false);
  const [short, long, middle] = laid.map(lengthOf) as [number, number, number];
  expect(long / short).toBeCloseTo(2, 6);
  expect(middle / short).toBeCloseTo(1.5, 6);
  expect(laid.every((l) => l.drawn.scale === scale)).toBe(true);
});

it("lays none over another, nor beyond the room", () => {
  const { laid, height } = layTogether([90, 110, 80, 100].map(knife), BOOK, 1200, "open", false);
  const boxes = laid.map((l) => ({ x: l.x, top: l.y, bottom: l.y + l.drawn.box.bottom }));
  for (const b of boxes) expect(b.bottom).toBeLessThanOrEqual(height);
  for (const [i, a] of boxes.entries())
    for (const b of boxes.slice(i + 1))
      expect(a.x !== b.x || a.bottom <= b.top || b.bottom <= a.top).toBe(true);
});

it("lays two under one another where the room is narrow, and two of two always", () => {
  const narrow = layTogether([90, 110, 80].map(knife), BOOK, 360, "closed", false);
  expect(new Set(narrow.laid.map((l) => l.x)).size).toBe(1);
  const wide = layTogether([90, 110, 80].map(knife), BOOK, 1200, "closed", false);
  expect(new Set(wide.laid.map((l) => l.x)).size).toBe(2);
});

it("lays their heads on one another", () => {
  const { laid } = layTogether([knife(90), knife(110)], BOOK, 1200, "open", true);
  const heads = laid.map((l) => [l.x + l.drawn.left[0], l.y + l.drawn.left[1]]);
  expect(heads[0]?.[0]).toBeCloseTo(heads[1]?.[0] as number, 6);
  expect(heads[0]?.[1]).toBeCloseTo(heads[1]?.[1] as number, 6);
});
