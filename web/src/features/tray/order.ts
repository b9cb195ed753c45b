import type { ReadableEntry } from "../../api/types";

/** In what order knives lie in the tray. What an order cannot place comes last. */
export const ORDERS = [
  { id: "shortest", label: "shortest first", by: (k: ReadableEntry) => k.sketch.closedLengthMm },
  { id: "longest", label: "longest first", by: (k: ReadableEntry) => -k.sketch.closedLengthMm },
  { id: "oldest", label: "oldest first", by: (k: ReadableEntry) => k.summary.span?.pieces[0]?.from },
  { id: "newest", label: "newest first", by: (k: ReadableEntry) => minus(k.summary.span?.pieces.at(-1)?.to) },
  { id: "worth", label: "worth most first", by: (k: ReadableEntry) => minus(k.summary.high) },
  { id: "number", label: "by number", by: (k: ReadableEntry) => k.number },
  { id: "last", label: "last come first", by: (k: ReadableEntry) => -k.number },
] as const;

export type Order = (typeof ORDERS)[number]["id"];

const minus = (value: number | undefined) => (value === undefined ? undefined : -value);

export function inOrder(knives: ReadableEntry[], order: Order): ReadableEntry[] {
  const by = (ORDERS.find((o) => o.id === order) ?? ORDERS[0]).by;
  const place = (k: ReadableEntry) => by(k) ?? Number.POSITIVE_INFINITY;
  return [...knives].sort((a, b) => {
    const [first, second] = [place(a), place(b)];
    return first === second ? a.number - b.number : first - second;
  });
}
