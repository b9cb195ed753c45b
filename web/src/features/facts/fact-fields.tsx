import type { Book, Problem } from "../../api/types";
import { SelectField } from "../../ui/select-field";
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
        <Asked {...fields} />
      </div>
      <Years {...fields} />
    </>
  );
}

function Asked(fields: Fields) {
  switch (fields.draft.kind) {
    case "model":
      return <OfModel {...fields} />;
    case "owner":
      return <Named label="Whose it was" {...fields} />;
    case "contract":
      return <OfContract {...fields} />;
    default:
      return <OfFitting {...fields} />;
  }
}

const at = (problems: Problem[], field: string) => problems.find((p) => p.field === field);

function OfFitting({ draft, set, book, problems }: Fields) {
  const questions = book.questions.filter((q) => q.station !== "marks" && q.station !== "number");
  const question = questions.find((q) => q.id === draft.feature);
  return (
    <>
      <SelectField
        label="What it fitted"
        problem={at(problems, "feature")}
        value={draft.feature}
        nothing="choose"
        options={questions}
        onChange={(feature) => set({ feature, value: undefined })}
      />
      <SelectField
        label="Which"
        problem={at(problems, "value")}
        value={draft.value}
        nothing="choose"
        options={question?.answers ?? []}
        onChange={(value) => set({ value })}
      />
    </>
  );
}

function Named({ label, draft, set, problems }: Fields & { label: string }) {
  return (
    <TextField
      label={label}
      value={draft.label}
      problem={at(problems, "label")}
      onCommit={(name) => set({ label: name })}
    />
  );
}

function OfContract(fields: Fields) {
  return (
    <>
      <Named label="Who made its knives" {...fields} />
      <TextField
        label="how much of what was sold, of a hundred"
        maxLength={3}
        entryClassName="num"
        value={told(fields.draft.percent)}
        problem={at(fields.problems, "percent")}
        onCommit={(text) => fields.set({ percent: whole(text) })}
      />
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
      <SelectField
        label="Pattern"
        problem={at(problems, "pattern")}
        className="sm:col-span-2"
        value={draft.pattern}
        nothing="choose"
        options={book.patterns.map((p) => ({ id: p.id, label: p.name }))}
        onChange={(pattern) => set({ pattern })}
      />
    </>
  );
}

const told = (number: number | undefined) => (number === undefined ? undefined : `${number}`);

const FROM = {
  fitting: "Fitted from",
  model: "Made from",
  owner: "Owned from",
  contract: "Made for it from",
};

function Years({ draft, set, problems }: Fields) {
  const asked = [
    { field: "from", label: FROM[draft.kind] },
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
            value={told(draft[field])}
            problem={at(problems, field)}
            onCommit={(text) => set({ [field]: whole(text) })}
          />
        ))}
    </div>
  );
}
