import { Fragment, useState } from "react";
import type { LedgerLot, LedgerTold } from "../../api/types";
import { coins } from "../../format";
import { LotPicture } from "./lot-picture";
import { LotRule } from "./lot-rule";
import { stepsOf } from "./lot-steps";
import { useNames } from "./names";

/** What came together, what came back of it, and what that left. */
export function Lots({ told }: { told: LedgerTold }) {
  const most = Math.max(...told.lots.map((l) => l.cost), 1);
  const least = Math.min(...told.lots.map((l) => l.net), 0);
  return (
    <section aria-labelledby="lots-name" className="mt-3">
      <h2 id="lots-name" className="text-[1.1875rem]/[1.375rem]">
        What came, and what is left of it
      </h2>
      <div className="overflow-x-auto">
        <table className="mt-1 w-full sm:min-w-[38rem]">
          <thead className="text-left text-ink2">
            <tr className="border-b border-ink">
              <th className="py-1 font-normal">When, from whom</th>
              <th className="w-[34%] font-normal max-sm:hidden">
                <span className="sr-only">As a rule</span>
              </th>
              <th className="text-right font-normal">Paid</th>
              <th className="text-right font-normal">Came back</th>
              <th className="text-right font-normal">Left</th>
            </tr>
          </thead>
          <tbody>
            {told.lots.toReversed().map((lot) => (
              <Lot key={lot.entry} lot={lot} told={told} most={most} least={least} />
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

function Lot({ lot, told, most, least }: { lot: LedgerLot; told: LedgerTold; most: number; least: number }) {
  const [open, setOpen] = useState(false);
  const entryOf = (id: string) => told.entries.find((e) => e.id === id)?.entry;
  const entry = entryOf(lot.entry);
  const steps = stepsOf(lot, (id) => entryOf(id)?.date);
  return (
    <Fragment>
      <tr className={`align-top ${open ? "" : "border-b border-rule"}`}>
        <td className="py-1 pr-4">
          <span className="num">{entry?.date}</span> {entry?.who}
          <What lot={lot} open={open} onOpen={() => setOpen(!open)} />
        </td>
        <td className="pr-4 max-sm:hidden">
          <LotRule lot={lot} steps={steps} most={most} least={least} currency={told.currency} />
        </td>
        <td className="num pl-2 text-right whitespace-nowrap">{coins(lot.cost, told.currency)}</td>
        <td className="num pl-2 text-right whitespace-nowrap">{coins(lot.back, told.currency)}</td>
        <td className="text-right">
          <span
            className={
              lot.net < 0 ? "num font-semibold whitespace-nowrap" : "num text-blue whitespace-nowrap"
            }
          >
            {coins(lot.net, told.currency)}
          </span>
          <span className="block text-[0.8125rem] text-ink2">{leftFor(lot.kept, lot.net)}</span>
        </td>
      </tr>
      {open && (
        <tr className="border-b border-rule">
          <td colSpan={5}>
            <LotPicture lot={lot} steps={steps} currency={told.currency} />
          </td>
        </tr>
      )}
    </Fragment>
  );
}

// What came; of several, the way to see them one by one.
function What({ lot, open, onOpen }: { lot: LedgerLot; open: boolean; onOpen: () => void }) {
  const { nameOf } = useNames();
  if (lot.knives.length === 1)
    return <span className="block text-[0.8125rem] text-ink2">{lot.knives.map(nameOf)}</span>;
  const kept = lot.knives.filter((h) => h.out === undefined);
  return (
    <button
      type="button"
      aria-expanded={open}
      className="block min-h-6 text-left text-[0.8125rem] text-ink2 underline"
      onClick={onOpen}
    >
      {lot.knives.length} knives, {lot.kept} here
      {kept.length === 1 && `: ${kept.map(nameOf).join()}`}
      <span className="sr-only">, one by one</span>
    </button>
  );
}

const leftFor = (kept: number, net: number): string => {
  if (kept === 0) return net < 0 ? "gained, none here" : net > 0 ? "lost, none here" : "none here";
  const those = kept === 1 ? "the one here" : `the ${kept} here`;
  return net < 0 ? `${those} cost less than nothing` : `for ${those}`;
};
