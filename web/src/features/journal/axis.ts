import type { JournalEntry } from "../../api/types";

/** The years all entries are drawn over, with a little room at both ends. */
export function axisOf(entries: JournalEntry[]) {
  const marked = entries.flatMap((e) => [
    ...(e.opinion.span?.pieces.flatMap((p) => [p.from, p.to]) ?? []),
    ...(e.own?.from === undefined ? [] : [e.own.from, e.own.to as number]),
  ]);
  return { from: Math.min(...marked) - 5, to: Math.max(...marked) + 5 };
}
