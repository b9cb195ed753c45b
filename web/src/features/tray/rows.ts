import type { ReadableEntry } from "../../api/types";

/** Half life size: CSS pixels to a millimetre. */
export const SCALE = 1.89;

/** Room beside a knife in its compartment, and the least a compartment has. */
const BESIDE = 32;
const LEAST = 272;

/** How wide a compartment must be: as long as its knife, and wide enough for its words. */
export const widthOf = (k: ReadableEntry) => Math.max(LEAST, k.sketch.closedLengthMm * SCALE + BESIDE);

/** Knives laid out in rows, as many in each as there is room for; by the place of its first and the one after its last. */
export function rowsOf(knives: ReadableEntry[], room: number): { from: number; to: number }[] {
  const rows: { from: number; to: number }[] = [];
  let from = 0;
  let used = 0;
  knives.forEach((k, i) => {
    const wide = widthOf(k);
    if (i > from && used + wide > room) {
      rows.push({ from, to: i });
      from = i;
      used = 0;
    }
    used += wide;
  });
  if (from < knives.length) rows.push({ from, to: knives.length });
  return rows;
}
