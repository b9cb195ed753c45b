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
  const table = useRef<HTMLTableElement>(null);
  const more = (many: number) => {
    onChange((now) => withMore(now, many));
    requestAnimationFrame(() =>
      table.current?.querySelector<HTMLInputElement>("tr:last-child input")?.focus(),
    );
  };
  return (
    <>
      <table ref={table} className="mt-3 w-full" aria-label="Knives that came">
        {isShared(entry) && <ShareHead entry={entry} before={2} after={2} />}
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
      <KnownKnives />
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

function KnownKnives() {
  const { all } = useNames();
  return (
    <datalist id="ledger-knives">
      {all.map((name) => (
        <option key={name} value={name} />
      ))}
    </datalist>
  );
}

/** One of them: which it is, and what it has of the whole. */
function CameRow({ piece: p, n, onEnd, ...sharing }: OfCame) {
  const { entry, shares, currency, onChange } = sharing;
  const set = (what: Partial<Piece>) =>
    onChange((now) => ({ ...now, in: now.in.map((o) => (o.id === p.id ? { ...o, ...what } : o)) }));
  return (
    <tr className="border-b border-rule">
      <td className="w-8 num text-ink2">{n}</td>
      <td className="min-w-[7rem]">
        <WhichKnife piece={p} n={n} set={set} onEnd={onEnd} />
      </td>
      {isShared(entry) && (
        <ShareCell
          label={`${shareLabel(entry)}, knife ${n}`}
          share={p.share}
          currency={entry.currency}
          onChange={(share) => set({ share })}
        />
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

type Piece = LedgerEntry["in"][number];

interface OfCame extends Sharing {
  piece: Piece;
  n: number;
  currency: string;
  /** What Enter does, in the last. */
  onEnd: (() => void) | undefined;
}

const isShared = (entry: LedgerEntry) => entry.sharing === "by-value" || entry.sharing === "by-hand";

function WhichKnife({
  piece: p,
  n,
  set,
  onEnd,
}: Pick<OfCame, "piece" | "n" | "onEnd"> & { set: (what: Partial<Piece>) => void }) {
  const { idOf, nameOf } = useNames();
  return (
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
  );
}

function ShareCell({
  label,
  share,
  currency,
  onChange,
}: {
  label: string;
  share: Piece["share"];
  currency: LedgerEntry["currency"];
  onChange: (share: Piece["share"]) => void;
}) {
  return (
    <td className="w-32 pl-3 max-sm:w-20 max-sm:pl-1 [&_label]:sr-only">
      <MoneyEntry label={label} amount={share} currency={currency} problem={undefined} onChange={onChange} />
    </td>
  );
}

/** The knives that went, ticked among those that are here. */
export function Went({ told, own, ...sharing }: OfWent) {
  const { entry } = sharing;
  const here = told.lots
    .flatMap((l) => l.knives)
    .filter((h) => h.lot !== own?.id && (h.out === undefined || h.out === own?.id));
  if (here.length === 0)
    return <p className="voice mt-3 text-ink3">No knife of the ledger is here. Enter first how it came.</p>;
  return (
    <table className="mt-3 w-full" aria-label="Knives that went">
      {isShared(entry) && <ShareHead entry={entry} before={2} after={1} />}
      <tbody>
        {here.map((h) => (
          <WentRow key={h.piece} knife={h} currency={told.currency} {...sharing} />
        ))}
      </tbody>
    </table>
  );
}

type OfWent = Sharing & { told: LedgerTold; own: EntryTold | undefined };

function WentRow({ knife: h, currency, entry, shares, onChange }: OfGone) {
  const { nameOf } = useNames();
  const gone = entry.out.find((g) => g.piece === h.piece);
  return (
    <tr className="border-b border-rule">
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
      <td className="num text-right text-ink2">cost {coins(h.cost, currency)}</td>
      {isShared(entry) &&
        (gone ? (
          <ShareCell
            label={`${shareLabel(entry)}, ${nameOf(h)}`}
            share={gone.share}
            currency={entry.currency}
            onChange={(share) => onChange((now) => withPart(now, h.piece, share))}
          />
        ) : (
          <td className="w-32 max-sm:w-20" />
        ))}
      <td className="num w-28 text-right max-sm:w-16 max-sm:text-[0.8125rem]">
        {gone && shares[h.piece] !== undefined && coins(shares[h.piece] as number, currency)}
      </td>
    </tr>
  );
}

interface OfGone extends Sharing {
  knife: LedgerTold["lots"][number]["knives"][number];
  currency: string;
}

const withPart = (now: LedgerEntry, piece: string, share: Piece["share"]): LedgerEntry => ({
  ...now,
  out: now.out.map((g) => (g.piece === piece ? { ...g, share } : g)),
});
