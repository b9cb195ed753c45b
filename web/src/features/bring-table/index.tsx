import { useMutation } from "@tanstack/react-query";
import { type ReactNode, type RefObject, useState } from "react";
import { useOwnReferences } from "../../api/own";
import type { MarksTold } from "../../api/types";
import { ColumnChooser } from "../../ui/column-chooser";
import { Dialog } from "../../ui/dialog";
import { readAs } from "../../ui/read-as";
import { TableSource } from "../../ui/table-source";

const SHOWN = 60;

/** A row of a table: what it becomes, or what stands in the way. */
export type TableRow = Pick<MarksTold["read"]["rows"][number], "line" | "problems" | "leftover" | "known"> & {
  slip?: unknown;
};

/** What became of a table. */
export type TableTold<R extends TableRow> = Omit<MarksTold, "read"> & {
  read: Omit<MarksTold["read"], "rows"> & { rows: R[] };
};

/** What is brought, in words: the sheet's own, one of it and several, and what a table of it is. */
export interface Brought {
  title: string;
  says: string;
  table: string;
  one: string;
  several: string;
}

interface Sheet<A, R extends TableRow> {
  what: Brought;
  /** What holds for every row that does not say otherwise. */
  first: A;
  besides: (forAll: A, onChange: (next: A) => void) => ReactNode;
  ask: (file: File, forAll: A, columns: string[], keep: boolean) => Promise<TableTold<R>>;
  /** What a row becomes. */
  shows: (row: R) => ReactNode;
  from: RefObject<HTMLElement | null>;
  onClose: () => void;
}

/** Facts out of a table, as books and lists have them: looked at, then put on file in one step. */
export function BringTable<A, R extends TableRow>(sheet: Sheet<A, R>) {
  const { what, from, onClose } = sheet;
  const table = useTable(sheet);
  const { told, again, keep, look } = table;
  const error = look.error ?? keep.error;
  return (
    <Dialog open onClose={onClose} from={from} title={what.title} isWide>
      <div className="gap-x-6 lg:grid lg:grid-cols-[minmax(0,23rem)_minmax(0,1fr)]">
        <div>
          <WhereFrom sheet={sheet} table={table} />
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
          {error && (
            <p role="alert" className="text-lead">
              {error.message}
            </p>
          )}
          {told && (
            <ReadAs
              sheet={sheet}
              told={told}
              isBusy={look.isPending || keep.isPending}
              onKeep={() => keep.mutate(told)}
            />
          )}
        </div>
      </div>
    </Dialog>
  );
}

/** What holds for all rows, and the table itself. */
function WhereFrom<A, R extends TableRow>({
  sheet: { what, besides },
  table: { forAll, again },
}: {
  sheet: Sheet<A, R>;
  table: Pick<ReturnType<typeof useTable<A, R>>, "forAll" | "again">;
}) {
  return (
    <>
      <p className="mt-2 text-ink2">{what.says}</p>
      <fieldset className="mt-2">
        <legend className="voice text-ink2">Where a row does not say</legend>
        <div className="grid gap-x-5 gap-y-1 sm:grid-cols-2">
          {besides(forAll, (next) => again({ forAll: next }))}
        </div>
      </fieldset>
      <TableSource label={what.table} onFile={(chosen) => again({ file: chosen })} />
    </>
  );
}

/** What the table was read as, row by row, and the press that puts it on file. */
function ReadAs<A, R extends TableRow>({
  sheet: { what, shows, onClose },
  told,
  isBusy,
  onKeep,
}: {
  sheet: Sheet<A, R>;
  told: NonNullable<ReturnType<typeof useTable<A, R>>["told"]>;
  isBusy: boolean;
  onKeep: () => void;
}) {
  const anew = told.good - told.known;
  return (
    <>
      <Report told={told} />
      <Rows told={told} shows={shows} />
      <div className="mt-auto flex gap-3 border-t border-ink pt-3">
        <button type="button" className="press" disabled={anew === 0 || isBusy} onClick={onKeep}>
          Put {anew.toLocaleString()} {anew === 1 ? what.one : what.several} on file
        </button>
        <button type="button" className="press" onClick={onClose}>
          Let it be
        </button>
      </div>
    </>
  );
}

/** The table in hand, read anew whenever what holds for it changes. */
function useTable<A, R extends TableRow>({ what, first, ask, onClose }: Sheet<A, R>) {
  const [file, setFile] = useState<File>();
  const [forAll, setForAll] = useState(first);
  const { turn, undo } = useOwnReferences();
  const look = useMutation({
    mutationFn: (asked: { file: File; forAll: A; columns: string[] }) =>
      ask(asked.file, asked.forAll, asked.columns, false),
  });
  const told = look.data;
  const again = (next: { file?: File; forAll?: A; columns?: string[] }) => {
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
    mutationFn: (so: TableTold<R>) => ask(file as File, forAll, columnsOf(so), true),
    onSuccess: async ({ kept }) => {
      onClose();
      const many = `${kept.toLocaleString()} ${kept === 1 ? what.one : what.several}`;
      await turn(Promise.resolve(), `${many} on file.`, undo);
    },
  });
  return { told, forAll, again, keep, look };
}

const columnsOf = (told: TableTold<TableRow>) => told.read.columns.map((c) => c.field);

function Report({ told }: { told: TableTold<TableRow> }) {
  return (
    <p className="mt-1" data-testid="report">
      {readAs(told.rows, told.read)}. {told.good.toLocaleString()} can go on file
      {told.known > 0 && `, ${told.known.toLocaleString()} of them are there already`}
      {told.refused > 0 && `; ${told.refused.toLocaleString()} cannot yet`}.
    </p>
  );
}

/** What stands in the way, row by row; then what the others become. */
function Rows<R extends TableRow>({ told, shows }: { told: TableTold<R>; shows: (row: R) => ReactNode }) {
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
          {r.slip !== undefined && (
            <>
              {shows(r)}
              <span className="text-ink2">
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
