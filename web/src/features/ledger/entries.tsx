import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import type { LedgerEntry, LedgerTold } from "../../api/types";
import { coins } from "../../format";
import { kindOf } from "./draft";
import { useNames } from "./names";

export type EntryTold = LedgerTold["entries"][number];

/** Every entry, the latest first; corrected ones with what they were, struck out ones struck through. */
export function Entries({ told, ...ways }: Ways & { told: LedgerTold }) {
  const names = useNames();
  const pieces = new Map(told.entries.flatMap((e) => e.entry.in).map((p) => [p.id, p]));
  const nameOf = (piece: string) => names.nameOf(pieces.get(piece) ?? {});
  const entries = told.entries.toSorted((a, b) => b.entry.date.localeCompare(a.entry.date));
  return (
    <section aria-labelledby="entries-name">
      <h2 id="entries-name" className="text-[1.1875rem]/[1.375rem]">
        Entries
      </h2>
      <ul className="mt-1 border-t border-ink">
        {entries.map((e) => (
          <li key={e.id} className="border-b border-rule py-1">
            <div className="flex flex-wrap items-baseline gap-x-3">
              <span className={e.struck ? "text-ink2 line-through" : ""}>{inWords(e.entry, nameOf)}</span>
              <WaysOf entry={e} {...ways} />
            </div>
            {e.revision > 1 && <Before entry={e} nameOf={nameOf} />}
          </li>
        ))}
      </ul>
    </section>
  );
}

interface Ways {
  onOpen: (entry: EntryTold, from: HTMLElement) => void;
  onStrike: (entry: EntryTold) => void;
  onRestore: (entry: EntryTold) => void;
}

function WaysOf({ entry, onOpen, onStrike, onRestore }: Ways & { entry: EntryTold }) {
  const way = "min-h-6 underline";
  return (
    <span className="ml-auto flex gap-3">
      {entry.struck ? (
        <button type="button" className={way} onClick={() => onRestore(entry)}>
          Let it stand
        </button>
      ) : (
        <>
          <button type="button" className={way} onClick={(click) => onOpen(entry, click.currentTarget)}>
            Correct
          </button>
          <button type="button" className={way} onClick={() => onStrike(entry)}>
            Strike out
          </button>
        </>
      )}
    </span>
  );
}

/** An entry in a line. */
export function inWords(e: LedgerEntry, nameOf: (piece: string) => string): string {
  const many = [
    e.in.length > 0 && `${called(e.in.map((p) => nameOf(p.id)))} came`,
    e.out.length > 0 && `${called(e.out.map((g) => nameOf(g.piece)))} went`,
  ].filter(Boolean);
  const paid = [
    e.price !== undefined && coins(e.price, e.currency),
    e.postage !== undefined && `postage ${coins(e.postage, e.currency)}`,
    e.fees !== undefined && `fees ${coins(e.fees, e.currency)}`,
  ].filter(Boolean);
  return [`${e.date} ${kindOf(e.kind).label}`, e.who, many.join(", "), ...paid].filter(Boolean).join("; ");
}

const called = (names: string[]) => (names.length > 2 ? `${names.length} knives` : names.join(" and "));

function Before({ entry, nameOf }: { entry: EntryTold; nameOf: (piece: string) => string }) {
  const [isOpen, setOpen] = useState(false);
  const history = useQuery({
    queryKey: ["ledger-history", entry.id, entry.revision],
    queryFn: () => api.ledgerHistory(entry.id),
    enabled: isOpen,
  });
  return (
    <details onToggle={(t) => setOpen(t.currentTarget.open)}>
      <summary className="min-h-6 cursor-pointer text-[0.8125rem] text-ink2">
        Written {entry.revision} times: what it was
      </summary>
      {history.isError && <p role="alert">{history.error.message}</p>}
      <ol className="text-[0.8125rem] text-ink2">
        {history.data?.slice(0, -1).map((r) => (
          <li key={r.revision} className={r.struck ? "line-through" : ""}>
            {inWords(r.entry, nameOf)}
          </li>
        ))}
      </ol>
    </details>
  );
}
