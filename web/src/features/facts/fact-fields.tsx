import type { Book, Problem } from "../../api/types";
import { Field } from "../../ui/field";
import { Select } from "../../ui/select";
import { TextField } from "../../ui/text-field";
import { whole } from "../../ui/whole";
import type { FactDraft } from "./use-fact";

interface Fields {
  draft: FactDraft;
  set: (what: Partial<FactDraft>) => void;
  book: Book;
  problems: Problem[];
}

/** What a slip asks of a fitting or of a model, and its years. */
export function FactFields(fields: Fields) {
  return (
    <>
      <div className="mt-3 grid gap-x-5 gap-y-1 sm:grid-cols-2">
        {fields.draft.kind === "model" ? <OfModel {...fields} /> : <OfFitting {...fields} />}
      </div>
      <Years {...fields} />
    </>
  );
}

const at = (problems: Problem[], field: string) => problems.find((p) => p.field === field);

function OfFitting({ draft, set, book, problems }: Fields) {
  const questions = book.questions.filter((q) => q.station !== "marks" && q.station !== "number");
  const question = questions.find((q) => q.id === draft.feature);
  return (
    <>
      <Field label="What it fitted" problem={at(problems, "feature")}>
        {(ids) => (
          <Select
            {...ids}
            value={draft.feature}
            nothing="choose"
            options={questions}
            onChange={(feature) => set({ feature, value: undefined })}
          />
        )}
      </Field>
      <Field label="Which" problem={at(problems, "value")}>
        {(ids) => (
          <Select
            {...ids}
            value={draft.value}
            nothing="choose"
            options={question?.answers ?? []}
            onChange={(value) => set({ value })}
          />
        )}
      </Field>
    </>
  );
}

function OfModel({ draft, set, book, problems }: Fields) {
  return (
    <>
      <TextField
        label="Number as struck"
        maxLength={24}
        entryClassName="font-steel uppercase"
        value={draft.number}
        problem={at(problems, "number")}
        onCommit={(number) => set({ number: number?.toUpperCase() })}
      />
      <TextField
        label="What it was called"
        value={draft.label}
        problem={at(problems, "label")}
        onCommit={(label) => set({ label })}
      />
      <Field label="Pattern" problem={at(problems, "pattern")} className="sm:col-span-2">
        {(ids) => (
          <Select
            {...ids}
            value={draft.pattern}
            nothing="choose"
            options={book.patterns.map((p) => ({ id: p.id, label: p.name }))}
            onChange={(pattern) => set({ pattern })}
          />
        )}
      </Field>
    </>
  );
}

function Years({ draft, set, problems }: Fields) {
  const asked = [
    { field: "from", label: draft.kind === "model" ? "Made from" : "Fitted from" },
    { field: "to", label: "until" },
    { field: "give", label: "give or take, years" },
  ] as const;
  return (
    <div className="mt-3 grid grid-cols-3 gap-x-5">
      {asked
        .filter(({ field }) => field !== "give" || draft.kind === "fitting")
        .map(({ field, label }) => (
          <TextField
            key={field}
            label={label}
            maxLength={4}
            entryClassName="num"
            value={draft[field] === undefined ? undefined : `${draft[field]}`}
            problem={at(problems, field)}
            onCommit={(text) => set({ [field]: whole(text) })}
          />
        ))}
    </div>
  );
}
