import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { Link } from "react-router";
import { api } from "../../api/client";
import type { LedgerTold } from "../../api/types";
import { coins } from "../../format";
import { useKeys } from "../../keys";
import { Opened } from "../../ui/opened";
import { Page } from "../../ui/page";
import { usePageTitle } from "../../ui/page-title";
import { useToast } from "../../ui/toasts";
import { Entries, type EntryTold } from "./entries";
import { EntryForm } from "./entry-form";
import { FromStories } from "./from-stories";
import { Lots } from "./lots";

const LEDGER = { queryKey: ["ledger"], queryFn: () => api.ledger() };

/** What was paid, what came back, and what those that stayed have cost. */
export function LedgerPage() {
  const ledger = useQuery(LEDGER);
  usePageTitle("Ledger");
  return (
    <Opened of={ledger} failed="The ledger could not be opened." meanwhile="Opening the ledger.">
      {(told) => <Ledger told={told} />}
    </Opened>
  );
}

function Ledger({ told }: { told: LedgerTold }) {
  const { keep, attempt } = useAttempt();
  const [open, setOpen] = useState<EntryTold | "new">();
  const [looking, setLooking] = useState(false);
  const opener = useRef<HTMLElement | null>(null);
  useKeys({ "+": () => !open && !looking && setOpen("new") });
  const onOpen = (entry: EntryTold, from: HTMLElement) => {
    opener.current = from;
    setOpen(entry);
  };
  const taken = (now: LedgerTold, ids: string[]) =>
    attempt(
      async () => now,
      `${ids.length === 1 ? "1 entry" : `${ids.length} entries`} added.`,
      () => api.strikeLedgers(ids),
    );
  return (
    <Page>
      <Heading currency={told.currency} onLook={() => setLooking(true)} onAdd={() => setOpen("new")} />
      {told.entries.length === 0 ? <NothingYet /> : <Kept told={told} onOpen={onOpen} attempt={attempt} />}
      {looking && <FromStories onClose={() => setLooking(false)} onTaken={taken} />}
      {open && (
        <EntryForm
          told={told}
          corrected={open === "new" ? undefined : open}
          from={opener}
          onClose={() => setOpen(undefined)}
          onKept={keep}
        />
      )}
    </Page>
  );
}

function NothingYet() {
  return (
    <p className="voice mt-3 max-w-[44rem] text-ink3">
      Nothing yet. Enter what you bought as it came, ten for one price as well as one; what goes again takes
      its part off, until you see what those you kept have cost.
    </p>
  );
}

/** The lots, every entry, and the years. */
function Kept({
  told,
  onOpen,
  attempt,
}: {
  told: LedgerTold;
  onOpen: (entry: EntryTold, from: HTMLElement) => void;
  attempt: ReturnType<typeof useAttempt>["attempt"];
}) {
  const strike = (e: EntryTold) =>
    attempt(
      () => api.strikeLedger(e.id),
      "Struck out. It stays to be seen.",
      () => api.restoreLedger(e.id),
    );
  return (
    <>
      <Lots told={told} />
      <div className="mt-5 grid gap-x-8 gap-y-5 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <Entries
          told={told}
          onOpen={onOpen}
          onStrike={strike}
          onRestore={(e) => attempt(() => api.restoreLedger(e.id), "It stands again.")}
        />
        <Years told={told} />
      </div>
    </>
  );
}

/** Tries a change of the ledger; what it answers is the ledger then. */
function useAttempt() {
  const queries = useQueryClient();
  const toast = useToast();
  const keep = (told: LedgerTold) => queries.setQueryData(LEDGER.queryKey, told);
  const attempt = async (done: () => Promise<LedgerTold>, text: string, undo?: () => Promise<LedgerTold>) => {
    try {
      keep(await done());
      toast(text, undo && (() => attempt(undo, "As it was before.")));
    } catch (e) {
      toast(`That could not be done. ${(e as Error).message}`);
    }
  };
  return { keep, attempt };
}

function Heading({ currency, onLook, onAdd }: { currency: string; onLook: () => void; onAdd: () => void }) {
  return (
    <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-ink pb-1">
      <h1 className="text-[1.5625rem]/[1.75rem] tracking-tight">Ledger</h1>
      <p className="text-ink2">in {currency}, exact to the smallest coin</p>
      <Link to="/schedules" className="ml-auto min-h-6 underline">
        Schedules
      </Link>
      <button type="button" className="press" onClick={onLook}>
        From stories
      </button>
      <button type="button" className="press" onClick={onAdd}>
        Add an entry
      </button>
    </div>
  );
}

function Years({ told: { years, currency } }: { told: LedgerTold }) {
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
          {years.toReversed().map((y) => (
            <OneYear key={y.year} year={y} currency={currency} />
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

function OneYear({ year: y, currency }: { year: LedgerTold["years"][number]; currency: string }) {
  return (
    <tr className="border-b border-rule">
      <td className="num py-1">{y.year}</td>
      <td className="num text-right">{coins(y.spent, currency)}</td>
      <td className="num text-right">{coins(y.back, currency)}</td>
      <td className={`num text-right ${y.gain < 0 ? "text-lead" : ""}`}>{coins(y.gain, currency)}</td>
      <td className="text-right">
        <a className="inline-block min-h-6 underline" href={`/api/ledger/years/${y.year}`} download>
          Save<span className="sr-only"> what went in {y.year} as a table</span>
        </a>
      </td>
    </tr>
  );
}
