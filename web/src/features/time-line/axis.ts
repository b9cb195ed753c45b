import type { TimeBar } from "../../api/types";

/** The years a time line shows, in whole decades with some room at both ends. */
export interface Axis {
  first: number;
  last: number;
}

const ROOM = 5;

export function axisOf(bars: TimeBar[]): Axis {
  const from = Math.min(...bars.map(({ bar }) => bar.from - bar.give));
  const to = Math.max(...bars.map(({ bar }) => bar.to + bar.give));
  return { first: Math.floor((from - ROOM) / 10) * 10, last: Math.ceil((to + ROOM) / 10) * 10 };
}

/** Where a year stands, in hundredths of the width. */
export const place = (year: number, { first, last }: Axis): number => (100 * (year - first)) / (last - first);

/** From and to as they are laid out, for a box that stands in the width. */
export const across = (from: number, to: number, axis: Axis) => ({
  left: `${place(Math.max(from, axis.first), axis)}%`,
  right: `${100 - place(Math.min(to, axis.last), axis)}%`,
});
