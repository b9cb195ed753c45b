import { useMutation } from "@tanstack/react-query";
import { type RefObject, useState } from "react";
import { api } from "../../api/client";
import { useOwnReferences } from "../../api/own";
import type { Book, MarksTold } from "../../api/types";
import { sentence } from "../../format";
import { ColumnChooser } from "../../ui/column-chooser";
import { Dialog } from "../../ui/dialog";
import { Field } from "../../ui/field";
import { readAs } from "../../ui/read-as";
import { Select } from "../../ui/select";
import { TableSource } from "../../ui/table-source";
import { TextField } from "../../ui/text-field";

const SHOWN = 60;

/** What holds for every row that does not say otherwise. */
export interface ForAll {
  maker?: string;
  region?: string;
  source?: string;
  sourceKind: string;
}

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
  const [file, setFile] = useState<File>();
  const [forAll, setForAll] = useState<ForAll>({ sourceKind: "reference-book" });
  const { turn, undo } = useOwnReferences();
  const look = useMutation({
    mutationFn: (asked: { file: File; forAll: ForAll; columns: string[] }) =>
      api.marksTable(asked.file, asked.forAll, asked.columns, false),
  });
  const told = look.data;
  const again = (next: { file?: File; forAll?: ForAll; columns?: string[] }) => {
    const table = next.file ?? file;
    setFile(table);
    setForAll(next.forAll ?? forAll);
    if (!table) return;
    look.mutate({
      file: table,
      forAll: next.forAll ?? forAll,
      columns: next.columns ?? (next.file || !told ? [] : columnsOf(told)),
    });
  };
  const keep = useMutation({
    mutationFn: (so: MarksTold) => api.marksTable(file as File, forAll, columnsOf(so), true),
    onSuccess: async (kept) => {
      onClose();
      await turn(Promise.resolve(), `${counted(kept.kept)} on file.`, undo);
    },
  });
  const anew = told ? told.good - told.known : 0;
  return (
    <Dialog open onClose={onClose} from={from} title="Marks out of a table" isWide>
      <div className="gap-x-6 lg:grid lg:grid-cols-[minmax(0,23rem)_minmax(0,1fr)]">
        <div>
          <p className="mt-2 text-ink2">
            Any table with a row for each mark: the maker, what is struck with its lines parted by /, and its
            years as people write them.
          </p>
          <Besides forAll={forAll} book={book} onChange={(next) => again({ forAll: next })} />
          <TableSource label="Table of marks" onFile={(chosen) => again({ file: chosen })} />
          {told && (
            <ColumnChooser
              columns={told.read.columns}
              fields={told.fields}
              onChange={(columns) => again({ columns })}
            />
          )}
        </div>
        <div className="flex flex-col lg:border-l lg:border-ink lg:pl-6">
          <p role="status" className="voice min-h-6 text-ink2">
            {look.isPending && "Reading the table."}
            {keep.isPending && "Putting them on file."}
          </p>
          {(look.error ?? keep.error) && (
            <p role="alert" className="text-lead">
              {(look.error ?? keep.error)?.message}
            </p>
          )}
          {told && (
            <>
              <Report told={told} />
              <Rows told={told} />
              <div className="mt-auto flex gap-3 border-t border-ink pt-3">
                <button
                  type="button"
                  className="press"
                  disabled={anew === 0 || look.isPending || keep.isPending}
                  onClick={() => keep.mutate(told)}
                >
                  Put {counted(anew)} on file
                </button>
                <button type="button" className="press" onClick={onClose}>
                  Let it be
                </button>
              </div>
            </>
          )}
        </div>
      </div>
    </Dialog>
  );
}

const columnsOf = (told: MarksTold) => told.read.columns.map((c) => c.field);

const counted = (many: number) => `${many.toLocaleString()} ${many === 1 ? "mark" : "marks"}`;

function Besides({
  forAll,
  book,
  onChange,
}: {
  forAll: ForAll;
  book: Book;
  onChange: (next: ForAll) => void;
}) {
  const set = (what: Partial<ForAll>) => onChange({ ...forAll, ...what });
  return (
    <fieldset className="mt-2">
      <legend className="voice text-ink2">Where a row does not say</legend>
      <div className="grid gap-x-5 gap-y-1 sm:grid-cols-2">
        <TextField label="Maker" maxLength={120} value={forAll.maker} onCommit={(maker) => set({ maker })} />
        <Field label="Country of a new maker">
          {(ids) => (
            <Select
              {...ids}
              value={forAll.region}
              nothing="not said"
              options={book.regions.map((r) => ({ id: r.id, label: sentence(r.name) }))}
              onChange={(region) => set({ region })}
            />
          )}
        </Field>
        <Field label="Known from">
          {(ids) => (
            <Select
              {...ids}
              value={forAll.sourceKind}
              nothing="choose"
              options={book.choices.sourceKind}
              onChange={(sourceKind) => sourceKind && set({ sourceKind })}
            />
          )}
        </Field>
        <TextField
          label="Which, by name"
          maxLength={200}
          value={forAll.source}
          onCommit={(source) => set({ source })}
        />
      </div>
    </fieldset>
  );
}

function Report({ told }: { told: MarksTold }) {
  return (
    <p className="mt-1" data-testid="report">
      {readAs(told.rows, told.read)}. {told.good.toLocaleString()} can go on file
      {told.known > 0 && `, ${told.known.toLocaleString()} of them are there already`}
      {told.refused > 0 && `; ${told.refused.toLocaleString()} cannot yet`}.
    </p>
  );
}

/** What stands in the way, row by row; then what the others become. */
function Rows({ told }: { told: MarksTold }) {
  return (
    <ul className="mt-2 max-h-[24rem] overflow-auto border-t border-ink" aria-label="Rows">
      {told.read.rows.slice(0, SHOWN).map((r) => (
        <li key={r.line} className="border-b border-rule py-0.5">
          <span className="num mr-2 text-ink2">line {r.line}</span>
          {r.problems.map((p) => (
            <span key={p.field} className="text-lead">
              {p.field}, {p.given}: {p.accepted}.{" "}
            </span>
          ))}
          {r.slip && (
            <>
              <span className="font-steel">{r.slip.lines.join(" / ")}</span>, {r.slip.maker},{" "}
              <span className="num text-blue">
                {r.slip.from}
                {"\u2013"}
                {r.slip.to}
              </span>
              <span className="text-ink2">
                {r.slip.give > 0 && `, within ${r.slip.give} years`}
                {r.known && <span className="voice"> on file already</span>}
                {r.leftover.length > 0 && ` (in the note: ${r.leftover.join("; ")})`}
              </span>
            </>
          )}
        </li>
      ))}
      {told.rows > SHOWN && <li className="text-ink2">and {(told.rows - SHOWN).toLocaleString()} more</li>}
    </ul>
  );
}
