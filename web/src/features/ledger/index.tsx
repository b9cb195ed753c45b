import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { Link } from "react-router";
import { api } from "../../api/client";
import type { LedgerTold } from "../../api/types";
import { coins } from "../../format";
import { useKeys } from "../../keys";
import { Failed } from "../../ui/failed";
import { useToast } from "../../ui/toasts";
import { Entries, type EntryTold } from "./entries";
import { EntryForm } from "./entry-form";
import { LotRule } from "./lot-rule";
import { useNames } from "./names";

const LEDGER = { queryKey: ["ledger"], queryFn: () => api.ledger() };

/** What was paid, what came back, and what those that stayed have cost. */
export function LedgerPage() {
  const queries = useQueryClient();
  const toast = useToast();
  const ledger = useQuery(LEDGER);
  const [open, setOpen] = useState<EntryTold | "new">();
  const opener = useRef<HTMLElement | null>(null);
  useKeys({ "+": () => !open && setOpen("new") });
  useEffect(() => {
    document.title = "Ledger \u2013 Snikra";
  }, []);
  const keep = (told: LedgerTold) => queries.setQueryData(LEDGER.queryKey, told);
  const attempt = async (done: () => Promise<LedgerTold>, text: string, undo?: () => Promise<LedgerTold>) => {
    try {
      keep(await done());
      toast(text, undo && (() => attempt(undo, "As it was before.")));
    } catch (e) {
      toast(`That could not be done. ${(e as Error).message}`);
    }
  };
  if (ledger.isError)
    return (
      <Failed what="The ledger could not be opened." error={ledger.error} onAgain={() => ledger.refetch()} />
    );
  if (ledger.isPending) return <p className="voice p-6 text-ink3">Opening the ledger.</p>;
  const { data } = ledger;
  return (
    <main className="px-4 pt-3 pb-8 lg:px-6">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-ink pb-1">
        <h1 className="text-[1.5625rem]/[1.75rem] tracking-tight">Ledger</h1>
        <p className="text-ink2">in {data.currency}, exact to the smallest coin</p>
        <Link to="/schedules" className="ml-auto min-h-6 underline">
          Schedules
        </Link>
        <button type="button" className="press" onClick={() => setOpen("new")}>
          Add an entry
        </button>
      </div>
      {data.entries.length === 0 ? (
        <p className="voice mt-3 max-w-[44rem] text-ink3">
          Nothing yet. Enter what you bought as it came, ten for one price as well as one; what goes again
          takes its part off, until you see what those you kept have cost.
        </p>
      ) : (
        <>
          <Lots told={data} />
          <div className="mt-5 grid gap-x-8 gap-y-5 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
            <Entries
              told={data}
              onOpen={(entry, from) => {
                opener.current = from;
                setOpen(entry);
              }}
              onStrike={(e) =>
                attempt(
                  () => api.strikeLedger(e.id),
                  "Struck out. It stays to be seen.",
                  () => api.restoreLedger(e.id),
                )
              }
              onRestore={(e) => attempt(() => api.restoreLedger(e.id), "It stands again.")}
            />
            <Years told={data} />
          </div>
        </>
      )}
      {open && (
        <EntryForm
          told={data}
          corrected={open === "new" ? undefined : open}
          from={opener}
          onClose={() => setOpen(undefined)}
          onKept={keep}
        />
      )}
    </main>
  );
}

function Lots({ told }: { told: LedgerTold }) {
  const { nameOf } = useNames();
  const most = Math.max(...told.lots.map((l) => l.cost), 1);
  const least = Math.min(...told.lots.map((l) => l.net), 0);
  const entryOf = (id: string) => told.entries.find((e) => e.id === id)?.entry;
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
            {told.lots.toReversed().map((lot) => {
              const entry = entryOf(lot.entry);
              const kept = lot.knives.filter((h) => h.out === undefined);
              return (
                <tr key={lot.entry} className="border-b border-rule align-top">
                  <td className="py-1 pr-4">
                    <span className="num">{entry?.date}</span> {entry?.who}
                    <span className="block text-[0.8125rem] text-ink2">
                      {lot.knives.length === 1
                        ? lot.knives.map(nameOf)
                        : `${lot.knives.length} knives, ${lot.kept} here`}
                      {kept.length === 1 && lot.knives.length > 1 && `: ${kept.map(nameOf)}`}
                    </span>
                  </td>
                  <td className="pr-4 max-sm:hidden">
                    <LotRule lot={lot} most={most} least={least} currency={told.currency} />
                  </td>
                  <td className="num pl-2 text-right">{coins(lot.cost, told.currency)}</td>
                  <td className="num pl-2 text-right">{coins(lot.back, told.currency)}</td>
                  <td className="text-right">
                    <span className={lot.net < 0 ? "num font-semibold" : "num text-blue"}>
                      {coins(lot.net, told.currency)}
                    </span>
                    <span className="block text-[0.8125rem] text-ink2">{leftFor(lot.kept, lot.net)}</span>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </section>
  );
}

const leftFor = (kept: number, net: number): string => {
  if (kept === 0) return net < 0 ? "gained, none here" : net > 0 ? "lost, none here" : "none here";
  const those = kept === 1 ? "the one here" : `the ${kept} here`;
  return net < 0 ? `${those} cost less than nothing` : `for ${those}`;
};

function Years({ told }: { told: LedgerTold }) {
  return (
    <section aria-labelledby="years-name">
      <h2 id="years-name" className="text-[1.1875rem]/[1.375rem]">
        By year
      </h2>
      <table className="mt-1 w-full">
        <thead className="text-ink2">
          <tr className="border-b border-ink">
            <th className="py-1 text-left font-normal">Year</th>
            <th className="text-right font-normal">Spent</th>
            <th className="text-right font-normal">Came back</th>
            <th className="text-right font-normal">Gained</th>
            <th className="text-right font-normal">
              <span className="sr-only">Table</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {told.years.toReversed().map((y) => (
            <tr key={y.year} className="border-b border-rule">
              <td className="num py-1">{y.year}</td>
              <td className="num text-right">{coins(y.spent, told.currency)}</td>
              <td className="num text-right">{coins(y.back, told.currency)}</td>
              <td className={`num text-right ${y.gain < 0 ? "text-lead" : ""}`}>
                {coins(y.gain, told.currency)}
              </td>
              <td className="text-right">
                <a className="inline-block min-h-6 underline" href={`/api/ledger/years/${y.year}`} download>
                  Save<span className="sr-only"> what went in {y.year} as a table</span>
                </a>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[0.8125rem] text-ink2">
        Gained is what came back less what it had cost, for what was sold, given back or lost that year. What
        of it is taxed differs by country: ask someone licensed there.
      </p>
    </section>
  );
}
