import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api } from "../../api/client";
import type { LedgerTold } from "../../api/types";
import { coins } from "../../format";
import { kindOf } from "../ledger/draft";

interface Line {
  key: string;
  text: string;
}

/** When a knife came and went and what it cost, as the ledger has it: one by one, the first first. */
export function linesOf(told: LedgerTold, knife: string): Line[] {
  const entries = new Map(told.entries.map((e) => [e.id, e.entry]));
  const held = told.lots.flatMap((l) => l.knives).filter((h) => h.knife === knife);
  return held
    .flatMap((h) => [
      { entry: h.lot, said: `cost ${coins(h.cost, told.currency)}` },
      { entry: h.out, said: h.back === undefined ? "" : `came back ${coins(h.back, told.currency)}` },
    ])
    .flatMap(({ entry, said }) => {
      const of = entry === undefined ? undefined : entries.get(entry);
      if (!entry || !of) return [];
      const among = of.in.length > 1 && of.in.some((p) => p.knife === knife) ? `one of ${of.in.length}` : "";
      const text = [`${kindOf(of.kind).label} ${of.date}`, of.who, among, said].filter(Boolean).join(", ");
      return [{ key: `${entry} ${said}`, text, date: of.date }];
    })
    .sort((a, b) => a.date.localeCompare(b.date));
}

/** What the ledger knows of a knife; nothing where it knows nothing. */
export function FromLedger({ knife }: { knife: string }) {
  const told = useQuery({ queryKey: ["ledger"], queryFn: () => api.ledger() });
  if (told.isError) return <p className="text-lead">The ledger could not be opened. {told.error.message}</p>;
  const lines = told.data ? linesOf(told.data, knife) : [];
  if (lines.length === 0) return null;
  return (
    <section aria-label="In the ledger" className="my-2">
      <p className="text-ink2">
        In the{" "}
        <Link to="/ledger" className="underline">
          ledger
        </Link>
      </p>
      <ul>
        {lines.map((l) => (
          <li key={l.key} className="num">
            {l.text}.
          </li>
        ))}
      </ul>
    </section>
  );
}
