import { keepPreviousData, useMutation, useQuery } from "@tanstack/react-query";
import { type FormEvent, type RefObject, useRef, useState } from "react";
import { api, Refused } from "../../api/client";
import type { LedgerEntry, LedgerTold, Problem } from "../../api/types";
import { coins, today } from "../../format";
import { Dialog } from "../../ui/dialog";
import { Field } from "../../ui/field";
import { FormEntries, useFormEntries } from "../../ui/form-entries";
import { Select } from "../../ui/select";
import { TextField } from "../../ui/text-field";
import { DateEntry } from "../bench/stations/date-entry";
import { MoneyEntry } from "../bench/stations/money-entry";
import { as, blank, KINDS, type Kind, kindOf, withGone, withMore } from "./draft";
import type { EntryTold } from "./entries";
import { useNames } from "./names";

const SHARING = [
  { id: "equally", label: "equally" },
  { id: "by-value", label: "by what each is worth" },
  { id: "by-hand", label: "by hand" },
];

/** One entry: what happened, the money, the knives, and what each has of it as one types. */
export function EntryForm({
  told,
  corrected,
  from,
  onClose,
  onKept,
}: {
  told: LedgerTold;
  corrected?: EntryTold;
  from: RefObject<HTMLElement | null>;
  onClose: () => void;
  onKept: (told: LedgerTold) => void;
}) {
  const id = useRef(corrected?.id ?? crypto.randomUUID());
  const {
    holds: entry,
    change,
    entries,
    settled,
  } = useFormEntries<LedgerEntry>(corrected?.entry ?? blank(today(), told.currency));
  const [refused, setRefused] = useState<Error>();
  const look = useQuery({
    queryKey: ["ledger-look", id.current, entry],
    queryFn: ({ signal }) => api.lookLedger(id.current, entry, signal),
    placeholderData: keepPreviousData,
    retry: false,
  });
  const set = (what: Partial<LedgerEntry>) => change((now) => ({ ...now, ...what }));
  const problems = problemsOf(refused);
  // That no knife was named yet needs no telling while one is still at it.
  const soFar = [...problemsOf(look.error), ...(look.data?.problems ?? [])].filter(
    (p) => look.data || (p.field !== "in" && p.field !== "out"),
  );
  const problem = (field: string) => problems.find((p) => p.field === field);
  const kind = kindOf(entry.kind);
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    const whole = await settled();
    if (!whole) return;
    try {
      onKept(
        corrected
          ? await api.correctLedger(corrected.id, corrected.revision, whole)
          : await api.addLedger(id.current, whole),
      );
      onClose();
    } catch (failed) {
      setRefused(failed as Error);
    }
  };
  const shares = look.data?.shares ?? {};
  return (
    <Dialog open onClose={onClose} from={from} isWide title={corrected ? "Correct an entry" : "Add an entry"}>
      <FormEntries value={entries}>
        <form onSubmit={submit}>
          <div className="mt-2 grid grid-cols-2 gap-x-5 gap-y-1 md:grid-cols-4">
            <Field label="What">
              {(ids) => (
                <Select
                  {...ids}
                  value={entry.kind}
                  nothing="choose"
                  options={KINDS}
                  onChange={(to) => to && change((now) => as(now, to as Kind))}
                />
              )}
            </Field>
            <DateEntry
              label="When"
              placeholder={today()}
              problem={problem("date")}
              value={entry.date}
              onChange={(date) => set({ date: date ?? "" })}
            />
            <TextField
              label={kind.with}
              className="col-span-2"
              value={entry.who}
              onCommit={(who) => set({ who })}
            />
            {kind.priced && (
              <MoneyEntry
                label={kind.id === "swapped" ? "Paid on top" : "Price of all"}
                amount={entry.price}
                currency={entry.currency}
                problem={problem("price")}
                onChange={(price, currency) =>
                  change((now) => ({ ...now, price, currency: currency ?? now.currency }))
                }
              />
            )}
            {(["postage", "fees"] as const).map((cost) => (
              <MoneyEntry
                key={cost}
                label={cost === "postage" ? "Postage I paid" : "Fees I paid"}
                amount={entry[cost]}
                currency={entry.currency}
                problem={problem(cost)}
                onChange={(amount) => set({ [cost]: amount })}
              />
            ))}
            {entry.currency !== told.currency && told.entries.length > 0 && (
              <RateOfTheDay
                from={entry.currency}
                to={told.currency}
                date={entry.date}
                value={entry.rate}
                problem={problem("rate")}
                onChange={(rate) => set({ rate })}
              />
            )}
            <Field label="Shared" problem={problem("sharing")}>
              {(ids) => (
                <Select
                  {...ids}
                  value={entry.sharing ?? "equally"}
                  nothing="equally"
                  options={SHARING}
                  onChange={(sharing) => set({ sharing: sharing as LedgerEntry["sharing"] })}
                />
              )}
            </Field>
          </div>
          {kind.comes && <Came entry={entry} shares={shares} currency={told.currency} onChange={change} />}
          {kind.goes && (
            <Went
              told={told}
              entry={entry}
              shares={kind.comes ? {} : shares}
              own={corrected}
              onChange={change}
            />
          )}
          <Said problems={refused ? problems : soFar} failed={refused ?? null} />
          <div className="mt-3 flex gap-3 border-t border-ink pt-3">
            <button type="submit" className="press">
              Keep it
            </button>
            <button type="button" className="press" onClick={onClose}>
              Let it be
            </button>
          </div>
        </form>
      </FormEntries>
    </Dialog>
  );
}

function Said({ problems, failed }: { problems: Problem[]; failed: Error | null }) {
  if (!failed && problems.length === 0) return null;
  return (
    <div role="alert" className="mt-2 text-lead">
      {problems.length === 0 ? (
        failed?.message
      ) : (
        <ul>
          {problems.map((p) => (
            <li key={`${p.field} ${p.given}`}>
              {p.field}, {p.given}: {p.accepted}.
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

const problemsOf = (failed: Error | null | undefined): Problem[] =>
  failed instanceof Refused ? failed.problems : [];

function NumberField({
  label,
  value,
  problem,
  onChange,
}: {
  label: string;
  value: number | undefined;
  problem?: Problem;
  onChange: (value: number | undefined) => void;
}) {
  return (
    <Field label={label} problem={problem}>
      {(ids) => (
        <input
          {...ids}
          type="number"
          step="any"
          min="0"
          className="entry num"
          value={value ?? ""}
          onChange={(e) => onChange(e.target.value === "" ? undefined : e.target.valueAsNumber)}
        />
      )}
    </Field>
  );
}

/** What a currency was in the book's that day: typed, or looked up in the tables that ship. */
function RateOfTheDay({
  from,
  to,
  date,
  value,
  problem,
  onChange,
}: {
  from: string;
  to: string;
  date: string;
  value: number | undefined;
  problem?: Problem;
  onChange: (rate: number | undefined) => void;
}) {
  const found = useMutation({
    mutationFn: () => api.rate({ from, to, date }),
    onSuccess: ({ rate }) => onChange(rate),
  });
  const refused = problemsOf(found.error)[0];
  return (
    <div>
      <NumberField
        label={`One ${from} in ${to} that day`}
        value={value}
        problem={problem}
        onChange={onChange}
      />
      <button
        type="button"
        className="min-h-6 underline"
        disabled={date === ""}
        aria-busy={found.isPending}
        onClick={() => found.mutate()}
      >
        Look it up
      </button>
      <p role="status" className="text-[0.78125rem]/4 text-ink2">
        {found.data && `${found.data.says}.`}
        {found.isError && (refused ? `Not on file: ${refused.accepted}.` : found.error.message)}
      </p>
    </div>
  );
}

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
function Came({ entry, shares, currency, onChange }: Sharing & { currency: string }) {
  const { all, idOf, nameOf } = useNames();
  const table = useRef<HTMLTableElement>(null);
  const isShared = entry.sharing === "by-value" || entry.sharing === "by-hand";
  const setPiece = (at: number, what: Partial<LedgerEntry["in"][number]>) =>
    onChange((now) => ({ ...now, in: now.in.map((p, i) => (i === at ? { ...p, ...what } : p)) }));
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
            <tr key={p.id} className="border-b border-rule">
              <td className="w-8 num text-ink2">{i + 1}</td>
              <td className="min-w-[7rem]">
                <input
                  className="entry"
                  aria-label={`Knife ${i + 1}`}
                  placeholder="a name, or a knife of the tray"
                  list="ledger-knives"
                  maxLength={120}
                  defaultValue={p.knife || p.name ? nameOf(p) : ""}
                  onChange={(e) => {
                    const knife = idOf(e.target.value);
                    setPiece(i, { knife, name: knife ? undefined : e.target.value.trim() || undefined });
                  }}
                  onKeyDown={(e) => {
                    if (e.key !== "Enter" || i < entry.in.length - 1) return;
                    e.preventDefault();
                    more(1);
                  }}
                />
              </td>
              {isShared && (
                <td className="w-32 pl-3 max-sm:w-20 max-sm:pl-1 [&_label]:sr-only">
                  <MoneyEntry
                    label={`${shareLabel(entry)}, knife ${i + 1}`}
                    amount={p.share}
                    currency={entry.currency}
                    problem={undefined}
                    onChange={(share) => setPiece(i, { share })}
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
                    Out<span className="sr-only"> with knife {i + 1}</span>
                  </button>
                )}
              </td>
            </tr>
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

/** The knives that went, ticked among those that are here. */
function Went({
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
