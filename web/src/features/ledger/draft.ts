import type { LedgerEntry } from "../../api/types";

export type Kind = LedgerEntry["kind"];
type Piece = LedgerEntry["in"][number];

/** What can happen, in the order in which it is offered. */
export const KINDS: {
  id: Kind;
  label: string;
  comes: boolean;
  goes: boolean;
  with: string;
  priced: boolean;
}[] = [
  { id: "bought", label: "Bought", comes: true, goes: false, with: "From whom", priced: true },
  { id: "sold", label: "Sold", comes: false, goes: true, with: "To whom", priced: true },
  { id: "swapped", label: "Swapped", comes: true, goes: true, with: "With whom", priced: true },
  { id: "got", label: "Given to me", comes: true, goes: false, with: "By whom", priced: false },
  { id: "inherited", label: "Inherited", comes: true, goes: false, with: "From whom", priced: false },
  { id: "found", label: "Found", comes: true, goes: false, with: "Where", priced: false },
  { id: "returned", label: "Given back", comes: false, goes: true, with: "To whom", priced: true },
  { id: "gave", label: "Given away", comes: false, goes: true, with: "To whom", priced: false },
  { id: "lost", label: "Lost", comes: false, goes: true, with: "How", priced: false },
];

export const kindOf = (id: Kind) => KINDS.find((k) => k.id === id) ?? (KINDS[0] as (typeof KINDS)[number]);

const piece = (): Piece => ({ id: crypto.randomUUID() });

/** A new entry as it begins: one knife bought today. */
export const blank = (today: string, currency: string): LedgerEntry => ({
  kind: "bought",
  date: today,
  currency,
  in: [piece()],
  out: [],
});

/** The same entry as another kind: what does not belong to it is let go. */
export function as(entry: LedgerEntry, kind: Kind): LedgerEntry {
  const to = kindOf(kind);
  return {
    ...entry,
    kind,
    price: to.priced ? entry.price : undefined,
    in: to.comes ? (entry.in.length > 0 ? entry.in : [piece()]) : [],
    out: to.goes ? entry.out : [],
  };
}

/** The entry with so many more knives that have no name yet. */
export const withMore = (entry: LedgerEntry, many: number): LedgerEntry => ({
  ...entry,
  in: [...entry.in, ...Array.from({ length: many }, piece)],
});

/** The entry with a knife gone, or still here. */
export const withGone = (entry: LedgerEntry, id: string, isGone: boolean): LedgerEntry => ({
  ...entry,
  out: isGone ? [...entry.out, { piece: id }] : entry.out.filter((g) => g.piece !== id),
});
