import type { RefObject } from "react";
import { api } from "../../api/client";
import type { Book, MarksTold } from "../../api/types";
import { fromTo, sentence } from "../../format";
import { SelectField } from "../../ui/select-field";
import { TextField } from "../../ui/text-field";
import { BringTable, type Brought } from "../bring-table";
import { KnownFromAllFields } from "../bring-table/known-from-all";

/** What holds for every row that does not say otherwise. */
export interface ForAll {
  maker?: string;
  region?: string;
  source?: string;
  sourceKind: string;
}

const MARKS: Brought = {
  title: "Marks out of a table",
  says: "Any table with a row for each mark: the maker, what is struck with its lines parted by /, and its years as people write them.",
  table: "Table of marks",
  one: "mark",
  several: "marks",
};

const FIRST: ForAll = { sourceKind: "reference-book" };

/** Marks out of a table, as books and lists have them: looked at, then put on file in one step. */
export function BringMarks({
  book,
  from,
  onClose,
}: {
  book: Book;
  from: RefObject<HTMLElement | null>;
  onClose: () => void;
}) {
  return (
    <BringTable
      what={MARKS}
      first={FIRST}
      besides={(forAll, onChange) => <Besides forAll={forAll} book={book} onChange={onChange} />}
      ask={api.marksTable}
      shows={(row) => <Becomes row={row} />}
      from={from}
      onClose={onClose}
    />
  );
}

function Besides({
  forAll,
  book,
  onChange,
}: {
  forAll: ForAll;
  book: Book;
  onChange: (next: ForAll) => void;
}) {
  return (
    <>
      <TextField
        label="Maker"
        maxLength={120}
        value={forAll.maker}
        onCommit={(maker) => onChange({ ...forAll, maker })}
      />
      <SelectField
        label="Country of a new maker"
        value={forAll.region}
        nothing="not said"
        options={book.regions.map((r) => ({ id: r.id, label: sentence(r.name) }))}
        onChange={(region) => onChange({ ...forAll, region })}
      />
      <KnownFromAllFields forAll={forAll} book={book} onChange={onChange} />
    </>
  );
}

function Becomes({ row: { slip } }: { row: MarksTold["read"]["rows"][number] }) {
  if (!slip) return null;
  return (
    <>
      <span className="font-steel">{slip.lines.join(" / ")}</span>, {slip.maker},{" "}
      <span className="num text-blue">{fromTo(slip)}</span>
      {slip.give > 0 && <span className="text-ink2">, within {slip.give} years</span>}
    </>
  );
}
