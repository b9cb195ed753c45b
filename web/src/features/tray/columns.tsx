import type { ReactNode } from "react";
import type { Book, ReadableEntry } from "../../api/types";
import { LengthFigure, money, titleBy, yearsWhole } from "../../format";
import type { School, Units } from "../../preferences";

/** What columns need to know beside the knife. */
export interface Shown {
  units: Units;
  school: School;
  book: Book;
}

/** A column of the tray as a table. */
export interface Column {
  id: string;
  label: string;
  /** What it is sorted by; nothing where the knife has none. */
  by: (k: ReadableEntry, shown: Shown) => string | number | undefined;
  shows: (k: ReadableEntry, shown: Shown) => ReactNode;
  isFigure?: boolean;
}

const text = (
  id: string,
  label: string,
  by: (k: ReadableEntry, shown: Shown) => string | undefined,
): Column => ({
  id,
  label,
  by,
  shows: by,
});

const handleOf = (k: ReadableEntry, { book }: Shown) =>
  book.questions.find((q) => q.id === "handle_material")?.answers.find((a) => a.id === k.sketch.handle)
    ?.label;

const worthOf = ({ summary: { low, high, currency } }: ReadableEntry) =>
  low === undefined || high === undefined || !currency
    ? undefined
    : `${money(low, currency)}\u2013${money(high, currency)}`;

export const COLUMNS: Column[] = [
  { id: "number", label: "No.", by: (k) => k.number, shows: (k) => k.number, isFigure: true },
  text("name", "Your name for it", (k) => k.title),
  text("pattern", "Pattern", (k, { school }) => titleBy(school, k.summary)),
  text("maker", "Maker", (k) => k.summary.maker),
  {
    id: "years",
    label: "Years",
    by: (k) => k.summary.span?.pieces[0]?.from,
    shows: (k) => k.summary.span && yearsWhole(k.summary.span),
    isFigure: true,
  },
  {
    id: "length",
    label: "Closed",
    by: (k) => (k.sketch.measured ? k.sketch.closedLengthMm : undefined),
    shows: (k, { units }) => k.sketch.measured && <LengthFigure mm={k.sketch.closedLengthMm} units={units} />,
    isFigure: true,
  },
  text("handle", "Handle", handleOf),
  {
    id: "blades",
    label: "Blades",
    by: (k) => k.sketch.blades.length || undefined,
    shows: (k) => k.sketch.blades.length || "",
    isFigure: true,
  },
  {
    id: "grade",
    label: "Grade",
    by: (k) => k.summary.grade.best && -k.summary.grade.best.worth,
    shows: (k) => k.summary.grade.best?.label,
  },
  { id: "worth", label: "Worth", by: (k) => k.summary.high, shows: worthOf, isFigure: true },
  text("box", "Box and papers", (k) => k.summary.box),
  text("place", "Where it lies", (k) => k.place),
  text("tags", "Tags", (k) => k.tags?.join(", ")),
  text("conflict", "Conflict", (k) => (k.summary.conflict ? "conflict" : undefined)),
];

/** Not shown until they are asked for. */
const EXTRA = ["blades", "box", "place", "tags", "conflict"];

export const USUAL = COLUMNS.map((c) => c.id).filter((id) => !EXTRA.includes(id));

/** Sorted by one column, the other way round when asked for; what has nothing there comes last either way. */
export function sorted(knives: ReadableEntry[], column: Column, isDown: boolean, shown: Shown) {
  const sign = isDown ? -1 : 1;
  return [...knives].sort((a, b) => {
    const [first, second] = [column.by(a, shown), column.by(b, shown)];
    if (first === undefined || second === undefined)
      return +(first === undefined) - +(second === undefined) || a.number - b.number;
    const step = typeof first === "string" ? first.localeCompare(`${second}`) : first - (second as number);
    return sign * step || a.number - b.number;
  });
}
