import { type RefObject, useRef, useState } from "react";
import { api, Refused } from "../../api/client";
import { useMakersInUse } from "../../api/makers-in-use";
import type { Book, KeptWant, Problem, Want } from "../../api/types";
import { Dialog } from "../../ui/dialog";
import { FigureField, inFourFigures } from "../../ui/figure-field";
import { FormEntries, useFormEntries } from "../../ui/form-entries";
import { SelectField } from "../../ui/select-field";
import { TextField } from "../../ui/text-field";
import { useToast } from "../../ui/toasts";
import { MoneyEntry } from "../bench/stations/money-entry";

/** Something one looks for as it is filled in, and the press that puts it on the list. */
function useWant(kept: KeptWant | undefined, onClose: () => void, onKept: () => Promise<void>) {
  const { holds: want, change, entries, settled } = useFormEntries<Want>(kept?.want ?? {});
  const [problems, setProblems] = useState<Problem[]>([]);
  const newId = useRef(crypto.randomUUID());
  const toast = useToast();
  const set = (changed: Partial<Want>) => change((now) => ({ ...now, ...changed }));
  const keep = async () => {
    const whole = await settled();
    if (!whole) return;
    try {
      await api.want(kept?.id ?? newId.current, whole);
      toast("It is on the wanted list.", () =>
        (kept ? api.want(kept.id, kept.want) : api.unwant(newId.current)).then(onKept),
      );
      onClose();
      await onKept();
    } catch (e) {
      const told = e instanceof Refused ? e.problems : [];
      setProblems(told.length > 0 ? told : [{ field: "", given: "", accepted: (e as Error).message }]);
    }
  };
  return { want, set, entries, problems, keep };
}

/** Something one looks for, to be entered or changed. */
export function WantForm({
  kept,
  book,
  from,
  onClose,
  onKept,
}: {
  kept: KeptWant | undefined;
  book: Book;
  from: RefObject<HTMLElement | null>;
  onClose: () => void;
  onKept: () => Promise<void>;
}) {
  const { want, set, entries, problems, keep } = useWant(kept, onClose, onKept);
  const elsewhere = problems.find((p) => p.field === "");
  return (
    <Dialog open onClose={onClose} title={kept ? "What I look for" : "Add one to look for"} from={from}>
      <FormEntries value={entries}>
        <form
          onSubmit={(e) => {
            e.preventDefault();
            keep();
          }}
        >
          {elsewhere && (
            <p role="alert" className="mt-2 text-lead">
              It is not kept. {elsewhere.accepted}
            </p>
          )}
          <LookedFor
            want={want}
            set={set}
            problem={(field) => problems.find((p) => p.field === field)}
            book={book}
          />
          <div className="mt-4 border-t border-ink pt-3">
            <button type="submit" className="press">
              Put it on the list
            </button>
          </div>
        </form>
      </FormEntries>
    </Dialog>
  );
}

function LookedFor(form: OfWant) {
  const { want, set, problem, book } = form;
  return (
    <div className="mt-3 grid items-start gap-x-5 gap-y-2 sm:grid-cols-2">
      <OfMaker want={want} set={set} problem={problem} />
      <SelectField
        label="Pattern"
        value={want.pattern}
        options={book.patterns.map((p) => ({ id: p.id, label: p.name }))}
        nothing="any"
        problem={problem("pattern")}
        onChange={(pattern) => set({ pattern })}
      />
      <SelectField
        label="Grade at least"
        value={want.atLeast}
        options={book.condition.grades}
        nothing="any"
        problem={problem("atLeast")}
        onChange={(atLeast) => set({ atLeast })}
      />
      <YearOf label="Not made before" field="from" {...form} />
      <YearOf label="Not made after" field="to" {...form} />
      <MoneyEntry
        label="At most"
        amount={want.most}
        currency={want.currency}
        problem={problem("most") ?? problem("currency")}
        onChange={(most, currency) => set({ most, currency })}
      />
      <InWords label="Note" field="note" most={400} {...form} />
      <InWords label="One of a set of mine" field="set" most={80} {...form} />
    </div>
  );
}

interface OfWant {
  want: Want;
  set: (changed: Partial<Want>) => void;
  problem: (field: string) => Problem | undefined;
  book: Book;
}

function YearOf({ label, field, want, set, problem }: OfWant & { label: string; field: "from" | "to" }) {
  return (
    <FigureField
      label={label}
      value={want[field]}
      read={inFourFigures}
      accepted="a year, as 1905"
      problem={problem(field)}
      onFigure={(year) => set({ [field]: year })}
    />
  );
}

function InWords({
  label,
  field,
  most,
  want,
  set,
  problem,
}: OfWant & { label: string; field: "note" | "set"; most: number }) {
  return (
    <TextField
      label={label}
      maxLength={most}
      value={want[field]}
      onCommit={(words) => set({ [field]: words })}
      problem={problem(field)}
    />
  );
}

/** Maker, then what of it: what belongs to another maker falls away with it. */
function OfMaker({
  want,
  set,
  problem,
}: {
  want: Want;
  set: (changed: Partial<Want>) => void;
  problem: (field: string) => Problem | undefined;
}) {
  const makers = useMakersInUse();
  const maker = makers.find((m) => m.id === want.maker);
  const models = maker?.history.models ?? [];
  return (
    <>
      <SelectField
        label="Maker"
        value={want.maker}
        options={makers.map((m) => ({ id: m.id, label: m.name }))}
        nothing="any"
        problem={problem("maker")}
        onChange={(id) => set({ maker: id, model: undefined, mark: undefined })}
      />
      <SelectField
        label="Model"
        value={want.model}
        options={models.map((m) => ({ id: m.number, label: `${m.number} ${m.label}` }))}
        nothing={maker && models.length === 0 ? "none on file" : "any"}
        problem={problem("model")}
        onChange={(model) => set({ model })}
      />
      <SelectField
        label="Mark"
        value={want.mark}
        options={(maker?.marks ?? []).map((m) => ({
          id: m.id,
          label: `${m.lines.join(" / ")}, ${m.from}\u2013${m.to}`,
        }))}
        nothing="any"
        problem={problem("mark")}
        onChange={(mark) => set({ mark })}
      />
    </>
  );
}
