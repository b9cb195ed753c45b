import { useRef } from "react";
import type { LedgerEntry, LedgerTold } from "../../api/types";
import { coins } from "../../format";
import { MoneyEntry } from "../bench/stations/money-entry";
import { withGone, withMore } from "./draft";
import type { EntryTold } from "./entries";
import { useNames } from "./names";

/** How what was paid is shared out among the knives. */
interface Sharing {
  entry: LedgerEntry;
  shares: Record<string, number>;
  onChange: (to: (entry: LedgerEntry) => LedgerEntry) => void;
}

const shareLabel = (entry: LedgerEntry) => (entry.sharing === "by-value" ? "Worth" : "Its part");

function ShareHead({ entry, before, after }: { entry: LedgerEntry; before: number; after: number }) {
  return (
    <thead className="text-left text-[0.78125rem]/4 text-ink2">
      <tr>
        <td colSpan={before} />
        <th className="pl-3 font-normal">{shareLabel(entry)}</th>
        <td colSpan={after} />
      </tr>
    </thead>
  );
}

/** The knives that came, a line each; Enter in the last begins another. */
export function Came({ entry, shares, currency, onChange }: Sharing & { currency: string }) {
  const { all } = useNames();
  const table = useRef<HTMLTableElement>(null);
  const isShared = entry.sharing === "by-value" || entry.sharing === "by-hand";
  const more = (many: number) => {
    onChange((now) => withMore(now, many));
    requestAnimationFrame(() =>
      table.current?.querySelector<HTMLInputElement>("tr:last-child input")?.focus(),
    );
  };
  return (
    <>
      <table ref={table} className="mt-3 w-full" aria-label="Knives that came">
        {isShared && <ShareHead entry={entry} before={2} after={2} />}
        <tbody>
          {entry.in.map((p, i) => (
            <CameRow
              key={p.id}
              piece={p}
              n={i + 1}
              {...{ entry, shares, currency, onChange }}
              onEnd={i === entry.in.length - 1 ? () => more(1) : undefined}
            />
          ))}
        </tbody>
      </table>
      <datalist id="ledger-knives">
        {all.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
      <p className="mt-1 flex gap-3">
        <button type="button" className="press" onClick={() => more(1)}>
          One more
        </button>
        <button type="button" className="press" onClick={() => more(5)}>
          Five more
        </button>
      </p>
    </>
  );
}

/** One of them: which it is, and what it has of the whole. */
function CameRow({
  piece: p,
  n,
  entry,
  shares,
  currency,
  onChange,
  onEnd,
}: Sharing & {
  piece: LedgerEntry["in"][number];
  n: number;
  currency: string;
  /** What Enter does, in the last. */
  onEnd: (() => void) | undefined;
}) {
  const { idOf, nameOf } = useNames();
  const isShared = entry.sharing === "by-value" || entry.sharing === "by-hand";
  const set = (what: Partial<LedgerEntry["in"][number]>) =>
    onChange((now) => ({ ...now, in: now.in.map((o) => (o.id === p.id ? { ...o, ...what } : o)) }));
  return (
    <tr className="border-b border-rule">
      <td className="w-8 num text-ink2">{n}</td>
      <td className="min-w-[7rem]">
        <input
          className="entry"
          aria-label={`Knife ${n}`}
          placeholder="a name, or a knife of the tray"
          list="ledger-knives"
          maxLength={120}
          defaultValue={p.knife || p.name ? nameOf(p) : ""}
          onChange={(e) => {
            const knife = idOf(e.target.value);
            set({ knife, name: knife ? undefined : e.target.value.trim() || undefined });
          }}
          onKeyDown={(e) => {
            if (e.key !== "Enter" || !onEnd) return;
            e.preventDefault();
            onEnd();
          }}
        />
      </td>
      {isShared && (
        <td className="w-32 pl-3 max-sm:w-20 max-sm:pl-1 [&_label]:sr-only">
          <MoneyEntry
            label={`${shareLabel(entry)}, knife ${n}`}
            amount={p.share}
            currency={entry.currency}
            problem={undefined}
            onChange={(share) => set({ share })}
          />
        </td>
      )}
      <td className="num w-28 text-right max-sm:w-16 max-sm:text-[0.8125rem]">
        {shares[p.id] !== undefined && coins(shares[p.id] as number, currency)}
      </td>
      <td className="w-16 text-right max-sm:w-10">
        {entry.in.length > 1 && (
          <button
            type="button"
            className="min-h-6 underline"
            onClick={() => onChange((now) => ({ ...now, in: now.in.filter((o) => o.id !== p.id) }))}
          >
            Out<span className="sr-only"> with knife {n}</span>
          </button>
        )}
      </td>
    </tr>
  );
}

/** The knives that went, ticked among those that are here. */
export function Went({
  told,
  entry,
  shares,
  own,
  onChange,
}: Sharing & { told: LedgerTold; own: EntryTold | undefined }) {
  const { nameOf } = useNames();
  const isShared = entry.sharing === "by-value" || entry.sharing === "by-hand";
  const here = told.lots
    .flatMap((l) => l.knives)
    .filter((h) => h.lot !== own?.id && (h.out === undefined || h.out === own?.id));
  if (here.length === 0)
    return <p className="voice mt-3 text-ink3">No knife of the ledger is here. Enter first how it came.</p>;
  return (
    <table className="mt-3 w-full" aria-label="Knives that went">
      {isShared && <ShareHead entry={entry} before={2} after={1} />}
      <tbody>
        {here.map((h) => {
          const gone = entry.out.find((g) => g.piece === h.piece);
          return (
            <tr key={h.piece} className="border-b border-rule">
              <td>
                <label className="flex min-h-6 items-baseline gap-2">
                  <input
                    type="checkbox"
                    checked={gone !== undefined}
                    onChange={(e) => {
                      const isGone = e.target.checked;
                      onChange((now) => withGone(now, h.piece, isGone));
                    }}
                  />
                  {nameOf(h)}
                </label>
              </td>
              <td className="num text-right text-ink2">cost {coins(h.cost, told.currency)}</td>
              {isShared && (
                <td className="w-32 pl-3 max-sm:w-20 max-sm:pl-1 [&_label]:sr-only">
                  {gone && (
                    <MoneyEntry
                      label={`${shareLabel(entry)}, ${nameOf(h)}`}
                      amount={gone.share}
                      currency={entry.currency}
                      problem={undefined}
                      onChange={(share) =>
                        onChange((now) => ({
                          ...now,
                          out: now.out.map((g) => (g.piece === h.piece ? { ...g, share } : g)),
                        }))
                      }
                    />
                  )}
                </td>
              )}
              <td className="num w-28 text-right max-sm:w-16 max-sm:text-[0.8125rem]">
                {gone && shares[h.piece] !== undefined && coins(shares[h.piece] as number, told.currency)}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
