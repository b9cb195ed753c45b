import type { RefObject } from "react";
import type { LedgerEntry, LedgerTold, Problem } from "../../api/types";
import { today } from "../../format";
import { Dialog } from "../../ui/dialog";
import { FormEntries } from "../../ui/form-entries";
import { SelectField } from "../../ui/select-field";
import { TextField } from "../../ui/text-field";
import { DateEntry } from "../bench/stations/date-entry";
import { MoneyEntry } from "../bench/stations/money-entry";
import { as, KINDS, type Kind, kindOf } from "./draft";
import type { EntryTold } from "./entries";
import { Came, Went } from "./entry-knives";
import { RateOfTheDay } from "./rate-of-the-day";
import { type Entry, useEntry } from "./use-entry";

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
  const form = useEntry(told, corrected, onClose, onKept);
  return (
    <Dialog open onClose={onClose} from={from} isWide title={corrected ? "Correct an entry" : "Add an entry"}>
      <FormEntries value={form.entries}>
        <form onSubmit={form.keep}>
          <div className="mt-2 grid grid-cols-2 gap-x-5 gap-y-1 md:grid-cols-4">
            <What form={form} />
            <Money form={form} told={told} />
            <Shared form={form} />
          </div>
          <Knives form={form} told={told} corrected={corrected} />
          <Said problems={form.told} failed={form.refused ?? null} />
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

/** What happened, when, and with whom. */
function What({ form }: { form: Entry }) {
  const { entry, change, set, problem } = form;
  return (
    <>
      <SelectField
        label="What"
        value={entry.kind}
        nothing="choose"
        options={KINDS}
        onChange={(to) => to && change((now) => as(now, to as Kind))}
      />
      <DateEntry
        label="When"
        placeholder={today()}
        problem={problem("date")}
        value={entry.date}
        onChange={(date) => set({ date: date ?? "" })}
      />
      <TextField
        label={kindOf(entry.kind).with}
        className="col-span-2"
        value={entry.who}
        onCommit={(who) => set({ who })}
      />
    </>
  );
}

/** What was paid and what it cost besides, and the rate of that day where it was in another currency. */
function Money({ form, told }: { form: Entry; told: LedgerTold }) {
  const { entry, change, set, problem } = form;
  const kind = kindOf(entry.kind);
  return (
    <>
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
    </>
  );
}

function Shared({ form }: { form: Entry }) {
  return (
    <SelectField
      label="Shared"
      problem={form.problem("sharing")}
      value={form.entry.sharing ?? "equally"}
      nothing="equally"
      options={SHARING}
      onChange={(sharing) => form.set({ sharing: sharing as LedgerEntry["sharing"] })}
    />
  );
}

function Knives({
  form,
  told,
  corrected,
}: {
  form: Entry;
  told: LedgerTold;
  corrected: EntryTold | undefined;
}) {
  const { entry, shares, change } = form;
  const kind = kindOf(entry.kind);
  return (
    <>
      {kind.comes && <Came entry={entry} shares={shares} currency={told.currency} onChange={change} />}
      {kind.goes && (
        <Went told={told} entry={entry} shares={kind.comes ? {} : shares} own={corrected} onChange={change} />
      )}
    </>
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
