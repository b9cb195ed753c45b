import type { Book } from "../../api/types";
import { SelectField } from "../../ui/select-field";
import { TextField } from "../../ui/text-field";

/** Where a whole table is known from. */
export interface KnownFromAll {
  source?: string;
  sourceKind: string;
}

export function KnownFromAllFields<A extends KnownFromAll>({
  forAll,
  book,
  onChange,
}: {
  forAll: A;
  book: Book;
  onChange: (next: A) => void;
}) {
  return (
    <>
      <SelectField
        label="Known from"
        value={forAll.sourceKind}
        nothing="choose"
        options={book.choices.sourceKind}
        onChange={(sourceKind) => sourceKind && onChange({ ...forAll, sourceKind })}
      />
      <TextField
        label="Which, by name"
        maxLength={200}
        value={forAll.source}
        onCommit={(source) => onChange({ ...forAll, source })}
      />
    </>
  );
}
