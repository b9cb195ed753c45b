import type { LedgerLot } from "../../api/types";

type Holding = LedgerLot["knives"][number];

/** One knife that went, with what was still out of pocket before and after. */
export interface Step {
  knife: Holding;
  went?: string;
  before: number;
  after: number;
}

/**
 * What brought money back, in the order in which it went; one of which nothing came back moves nothing.
 *
 * @param dateOf when an entry was
 */
export function stepsOf(lot: LedgerLot, dateOf: (entry: string) => string | undefined): Step[] {
  const gone = lot.knives
    .filter((k) => k.out !== undefined)
    .map((knife) => ({ knife, went: dateOf(knife.out as string) }))
    .sort((a, b) => (a.went ?? "").localeCompare(b.went ?? ""));
  let left = lot.cost;
  return gone.map(({ knife, went }) => {
    const before = left;
    left -= knife.back ?? 0;
    return { knife, went, before, after: left };
  });
}
