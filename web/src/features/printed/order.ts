import type { Leaf } from "../../api/types";

export type Order = "number" | "maker" | "year" | "place";

export const ORDERS: { id: Order; label: string }[] = [
  { id: "number", label: "by number" },
  { id: "maker", label: "by maker" },
  { id: "year", label: "by year" },
  { id: "place", label: "by place" },
];

export interface Chapter {
  /** What the leaves of it have in common; nothing where they stand by number or year. */
  name: string | undefined;
  leaves: Leaf[];
}

const first = (leaf: Leaf) => leaf.knife.summary?.span?.pieces[0]?.from ?? Number.POSITIVE_INFINITY;

const byYear = (a: Leaf, b: Leaf) => first(a) - first(b) || a.knife.number - b.knife.number;

const OF: Record<"maker" | "place", { of: (leaf: Leaf) => string | undefined; none: string }> = {
  maker: { of: (l) => l.knife.summary?.maker, none: "Maker not known" },
  place: { of: (l) => l.knife.place, none: "No place said" },
};

/** The leaves in chapters, those of which the reader would ask nothing more last. */
export function chapters(leaves: Leaf[], order: Order): Chapter[] {
  if (order === "number") return [{ name: undefined, leaves }];
  if (order === "year") return [{ name: undefined, leaves: leaves.toSorted(byYear) }];
  const { of, none } = OF[order];
  const named = new Map<string, Leaf[]>();
  for (const leaf of leaves) {
    const name = of(leaf) ?? "";
    named.set(name, [...(named.get(name) ?? []), leaf]);
  }
  return [...named]
    .toSorted(([a], [b]) => Number(a === "") - Number(b === "") || a.localeCompare(b))
    .map(([name, held]) => ({ name: name || none, leaves: held.toSorted(byYear) }));
}
