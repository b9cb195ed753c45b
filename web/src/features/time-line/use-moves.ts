import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import { useOwnReferences } from "../../api/own";
import type { TimeBar, YearsMoved } from "../../api/types";

/** The years of a bar, as they stand or as they are moved. */
export type Years = Pick<TimeBar["bar"], "from" | "to" | "give">;

/** A bar with a name that stays its own however its years are moved. */
export type Keyed = TimeBar & { key: string };

/** What says the same of other years is told apart by its place. */
export function keyed(bars: TimeBar[]): Keyed[] {
  const met = new Map<string, number>();
  return bars.map((bar) => {
    const name = `${bar.bar.kind} ${bar.bar.what}`;
    const nth = met.get(name) ?? 0;
    met.set(name, nth + 1);
    return { ...bar, key: `${name} ${nth}` };
  });
}

/** Whether one put it on file oneself. */
export const isOwn = (bar: TimeBar): boolean => bar.mark !== undefined || bar.fact !== undefined;

const yearsOf = ({ bar: { from, to, give } }: TimeBar): Years => ({ from, to, give });

const isSame = (one: Years, other: Years) =>
  one.from === other.from && one.to === other.to && one.give === other.give;

/** Bars that were moved and are not kept yet, the one in hand, and what it would make of the time line. */
export function useMoves(maker: string, bars: Keyed[]) {
  const [moved, setMoved] = useState<Record<string, Years>>({});
  const [inHand, setInHand] = useState<string>();
  const { turn, undo } = useOwnReferences();
  const bar = bars.find((b) => b.key === inHand);
  const years = bar && (moved[bar.key] ?? yearsOf(bar));
  const isMoved = bar !== undefined && years !== undefined && !isSame(years, yearsOf(bar));
  const asked: YearsMoved | undefined = bar &&
    years && { maker, mark: bar.mark, fact: bar.mark ? undefined : bar.fact, ...years };
  const look = useQuery({
    queryKey: ["years-look", asked],
    queryFn: ({ signal }) => api.lookMoved(asked as YearsMoved, signal),
    enabled: isMoved,
    placeholderData: keepPreviousData,
    retry: false,
  });
  const without = (key: string) => setMoved(({ [key]: _, ...rest }) => rest);
  return {
    inHand: bar,
    years,
    isMoved,
    take: (of: Keyed) => setInHand(of.key),
    move: (of: Keyed, to: Partial<Years>) => {
      setInHand(of.key);
      setMoved((now) => ({ ...now, [of.key]: { ...(now[of.key] ?? yearsOf(of)), ...to } }));
    },
    at: (of: Keyed): Years => moved[of.key] ?? yearsOf(of),
    does: isMoved ? look.data : undefined,
    putBack: () => bar && without(bar.key),
    keep: async () => {
      if (!asked || !isMoved || look.data?.problems.length) return;
      const keeping = api.moveYears(asked);
      await turn(keeping, `${bar.bar.what} stands at its new years.`, undo);
      // What could not be kept stays as it was moved.
      await keeping.then(
        () => without(bar.key),
        () => {},
      );
    },
  };
}

export type Moves = ReturnType<typeof useMoves>;
