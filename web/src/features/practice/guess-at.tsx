import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { api, Refused } from "../../api/client";
import type { Guess, PracticeTold, Problem, RoundTold } from "../../api/types";
import { Field } from "../../ui/field";
import type { Option } from "../../ui/select";
import { SelectField } from "../../ui/select-field";
import { SURE_AT_FIRST, Sure } from "./sure";
import { NOT_ON_FILE } from "./words";

/** What is made of a knife as it stands in the form. */
interface Made {
  maker?: string;
  how?: string;
  name?: string;
  from: string;
  to: string;
  sure: Record<"maker" | "how" | "name", number>;
}

const OPEN: Made = {
  from: "",
  to: "",
  sure: { maker: SURE_AT_FIRST, how: SURE_AT_FIRST, name: SURE_AT_FIRST },
};

const guessOf = ({ maker, how, name, from, to, sure }: Made): Guess => ({
  ...(maker !== undefined && { maker: maker === NOT_ON_FILE ? "" : maker, makerSure: sure.maker / 100 }),
  ...(how && { how, howSure: sure.how / 100 }),
  ...(name && { name, nameSure: sure.name / 100 }),
  ...(from.trim() && { from: Number(from) }),
  ...(to.trim() && { to: Number(to) }),
});

/** What one makes of it; what is left open is not counted. */
export function GuessAt({ round, told, onRound }: OfGuess) {
  const [made, setMade] = useState(OPEN);
  const unveil = useMutation({ mutationFn: () => api.guess(round.id, guessOf(made)), onSuccess: onRound });
  const problems = unveil.error instanceof Refused ? unveil.error.problems : [];
  const isNothing = Object.keys(guessOf(made)).length === 0;
  return (
    <form
      aria-label="What you make of it"
      className="min-w-0 self-start lg:sticky lg:top-3"
      onSubmit={(e) => {
        e.preventDefault();
        if (!isNothing) unveil.mutate();
      }}
    >
      <h2 className="border-b border-ink pb-0.5 text-[1.1875rem]/[1.375rem]">What you make of it</h2>
      <Sayings
        told={told}
        made={made}
        set={(what) => setMade((now) => ({ ...now, ...what }))}
        of={(field) => problems.find((p) => p.field === field)}
      />
      <div className="mt-4 flex items-baseline gap-3">
        <button type="submit" className="press" disabled={isNothing || unveil.isPending}>
          Unveil
        </button>
        {unveil.isPending && <span className="voice text-ink3">Asking the model about the same looks.</span>}
      </div>
      {unveil.isError && problems.length === 0 && (
        <p role="alert" className="mt-2 text-lead">
          It was not unveiled. {unveil.error.message}
        </p>
      )}
    </form>
  );
}

interface OfGuess {
  round: RoundTold;
  told: PracticeTold;
  onRound: (after: RoundTold) => void;
}

function Sayings({
  told,
  ...form
}: {
  told: PracticeTold;
  made: Made;
  set: (what: Partial<Made>) => void;
  of: (field: string) => Problem | undefined;
}) {
  const { made, set, of } = form;
  return (
    <>
      <Said
        label="Who made it"
        className="mt-2"
        sureOf="who made it"
        field="maker"
        options={[{ id: NOT_ON_FILE, label: "one who is not on file" }, ...told.makers]}
        {...form}
      />
      <fieldset className="mt-3">
        <legend className="text-[0.78125rem]/4 text-ink2">
          When: years that hold it, nine chances in ten
        </legend>
        <div className="grid grid-cols-2 gap-x-5">
          <Year label="From" value={made.from} problem={of("from")} onChange={(from) => set({ from })} />
          <Year label="To" value={made.to} problem={of("to")} onChange={(to) => set({ to })} />
        </div>
      </fieldset>
      <Said
        label="What was done to it"
        hint={told.book.how.find((h) => h.id === made.how)?.look}
        sureOf="what was done"
        field="how"
        options={told.book.how}
        {...form}
      />
      <Said label="Pattern" sureOf="the pattern" field="name" options={told.names} {...form} />
    </>
  );
}

/** Something one says of it, and how sure one is. */
function Said({
  label,
  hint,
  className = "mt-3",
  sureOf,
  field,
  options,
  made,
  set,
  of,
}: {
  label: string;
  hint?: string;
  className?: string;
  sureOf: string;
  field: keyof Made["sure"];
  options: Option[];
  made: Made;
  set: (what: Partial<Made>) => void;
  of: (field: string) => Problem | undefined;
}) {
  return (
    <>
      <SelectField
        label={label}
        className={className}
        problem={of(field)}
        hint={hint}
        value={made[field]}
        options={options}
        nothing="I do not say"
        onChange={(said) => set({ [field]: said })}
      />
      {made[field] && (
        <Sure
          of={sureOf}
          value={made.sure[field]}
          onChange={(v) => set({ sure: { ...made.sure, [field]: v } })}
        />
      )}
    </>
  );
}

function Year({
  label,
  value,
  problem,
  onChange,
}: {
  label: string;
  value: string;
  problem: Problem | undefined;
  onChange: (year: string) => void;
}) {
  return (
    <Field label={label} problem={problem}>
      {(ids) => (
        <input
          {...ids}
          className="entry num"
          inputMode="numeric"
          maxLength={4}
          value={value}
          onChange={(e) => onChange(e.target.value.replace(/\D/g, ""))}
        />
      )}
    </Field>
  );
}
