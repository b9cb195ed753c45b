import { useState } from "react";
import type { Book, OneMaker, Problem } from "../../api/types";
import { Field } from "../../ui/field";
import { Select } from "../../ui/select";
import { TextField } from "../../ui/text-field";

/** Whose codes or numbers they are. */
export type Taught = Pick<OneMaker, "id" | "name" | "numbers">;

export interface Source {
  source: string;
  sourceKind: string;
  note: string;
}

/** How one knows: one's own knives, until it is said otherwise. */
export const useSource = () =>
  useState<Source>({ source: "My own knives", sourceKind: "own-knives", note: "" });

export function KnownFrom({
  known,
  onChange,
  book,
  problems,
}: {
  known: Source;
  onChange: (known: Source) => void;
  book: Book;
  problems: Problem[];
}) {
  const problem = (field: string) => problems.find((p) => p.field === field);
  const set = (what: Partial<Source>) => onChange({ ...known, ...what });
  return (
    <div className="mt-3 grid gap-x-5 gap-y-1 sm:grid-cols-2">
      <Field label="Known from" problem={problem("sourceKind")}>
        {(ids) => (
          <Select
            {...ids}
            value={known.sourceKind || undefined}
            nothing="choose"
            options={book.choices.sourceKind}
            onChange={(kind) => set({ sourceKind: kind ?? "" })}
          />
        )}
      </Field>
      <TextField
        label="Which, by name"
        maxLength={200}
        value={known.source}
        problem={problem("source")}
        onCommit={(source) => set({ source: source ?? "" })}
      />
      <TextField
        label="Note"
        className="sm:col-span-2"
        maxLength={900}
        value={known.note}
        onCommit={(note) => set({ note: note ?? "" })}
      />
    </div>
  );
}
