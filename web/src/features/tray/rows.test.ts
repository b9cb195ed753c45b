import { expect, test } from "vitest";
import type { ReadableEntry } from "../../api/types";
import { rowsOf, SCALE, widthOf } from "./rows";

const knife = (mm: number) => ({ sketch: { closedLengthMm: mm } }) as unknown as ReadableEntry;

test("a compartment is as wide as its knife, and never too narrow for its words", () => {
  expect(widthOf(knife(20))).toBe(272);
  expect(widthOf(knife(200))).toBe(200 * SCALE + 32);
});

test("as many lie in a row as there is room for, and each knife in one row", () => {
  const knives = Array.from({ length: 25 }, (_, i) => knife(60 + 8 * i));
  for (const room of [300, 900, 1232, 2000]) {
    const rows = rowsOf(knives, room);
    expect(rows.flatMap((r) => knives.slice(r.from, r.to))).toEqual(knives);
    rows.forEach((r, i) => {
      const used = knives.slice(r.from, r.to).reduce((sum, k) => sum + widthOf(k), 0);
      if (r.to - r.from > 1) expect(used).toBeLessThanOrEqual(room);
      const next = knives[r.to];
      if (next && i < rows.length - 1) expect(used + widthOf(next)).toBeGreaterThan(room);
    });
  }
});

test("a knife wider than the page has a row of its own", () => {
  expect(rowsOf([knife(400), knife(400)], 300)).toEqual([
    { from: 0, to: 1 },
    { from: 1, to: 2 },
  ]);
  expect(rowsOf([], 300)).toEqual([]);
});
