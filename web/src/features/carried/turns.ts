import type { ReadableEntry, TrayEntry } from "../../api/types";

export type Carried = NonNullable<ReadableEntry["summary"]["carried"]>;
export type CarriedEntry = ReadableEntry & { summary: { carried: Carried } };

const isCarried = (k: TrayEntry): k is CarriedEntry =>
  k.summary?.carried !== undefined && k.sketch !== undefined;

const DAY = 86_400_000;

/** Whole days from one day to another, both as formats write them. */
const daysBetween = (from: string, to: string) =>
  Math.max(0, Math.round((Date.parse(to) - Date.parse(from)) / DAY));

/** All the days a knife was carried, those of now with it. */
export const daysCarried = ({ pocket }: Carried, today: string) =>
  pocket.days + (pocket.since ? daysBetween(pocket.since, today) : 0);

/** How long it has rested, for one that is put away. */
export const daysRested = ({ pocket }: Carried, today: string) => daysBetween(pocket.last, today);

/** Those in the pocket, the longest there first, and those whose turn comes, the longest at rest first. */
export function turns(tray: TrayEntry[]): { now: CarriedEntry[]; next: CarriedEntry[] } {
  const all = tray.filter(isCarried);
  const by = (day: (c: Carried) => string) => (a: CarriedEntry, b: CarriedEntry) =>
    day(a.summary.carried).localeCompare(day(b.summary.carried)) || a.number - b.number;
  return {
    now: all.filter((k) => k.summary.carried.pocket.since).sort(by((c) => c.pocket.since ?? "")),
    next: all.filter((k) => !k.summary.carried.pocket.since).sort(by((c) => c.pocket.last)),
  };
}
