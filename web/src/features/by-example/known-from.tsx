import { useState } from "react";
import type { Book, OneMaker, Problem } from "../../api/types";
import { SelectField } from "../../ui/select-field";
import { TextField } from "../../ui/text-field";

/** Whose codes or numbers they are. */
export type Taught = Pick<OneMaker, "id" | "name">;

export interface Source {
  source: string;
  sourceKind: string;
  note: string;
}

/** How one knows: one's own knives, until it is said otherwise. */
export const useSource = (first?: Partial<Source>) =>
  useState<Source>({ source: "My own knives", sourceKind: "own-knives", note: "", ...first });

function KnownFrom({
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
      <SelectField
        label="Known from"
        problem={problem("sourceKind")}
        value={known.sourceKind || undefined}
        nothing="choose"
        options={book.choices.sourceKind}
        onChange={(kind) => set({ sourceKind: kind ?? "" })}
      />
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
        maxLength={700}
        value={known.note}
        onCommit={(note) => set({ note: note ?? "" })}
      />
    </div>
  );
}

/** Where one knows it from, why it is not on file yet, and the press that puts it there. */
export function KeepIt({
  failed,
  onKeep,
  onClose,
  press = "Put it on file",
  ...source
}: Parameters<typeof KnownFrom>[0] & {
  failed: Error | undefined;
  onKeep: () => void;
  onClose: () => void;
  /** What keeping it is called. */
  press?: string;
}) {
  return (
    <>
      <KnownFrom {...source} />
      {failed && (
        <p role="alert" className="mt-2 text-lead">
          It is not on file. {failed.message}
        </p>
      )}
      <div className="mt-3 flex gap-3 border-t border-ink pt-3">
        <button type="button" className="press" onClick={onKeep}>
          {press}
        </button>
        <button type="button" className="press" onClick={onClose}>
          Let it be
        </button>
      </div>
    </>
  );
}
