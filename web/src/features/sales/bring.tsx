import { useMutation } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { api } from "../../api/client";
import type { TableTold } from "../../api/types";
import { money } from "../../format";
import { Dialog } from "../../ui/dialog";
import { Select } from "../../ui/select";

const SHOWN = 40;

/** A table of any shape, looked at before it is taken in. */
export function BringTable({
  currency: usual,
  onClose,
  onBrought,
}: {
  currency: string;
  onClose: () => void;
  onBrought: (batch: string, many: number) => void;
}) {
  const [file, setFile] = useState<File>();
  const [currency, setCurrency] = useState(usual);
  const [pasted, setPasted] = useState("");
  const input = useRef<HTMLInputElement>(null);
  const look = useMutation({
    mutationFn: (asked: { file: File; currency: string; columns: string[] }) =>
      api.salesTable(asked.file, asked.currency, asked.columns, false),
  });
  const keep = useMutation({
    mutationFn: (told: TableTold) => api.salesTable(file as File, currency, columnsOf(told), true),
    onSuccess: (told) => {
      if (told.batch) onBrought(told.batch, told.good - told.known);
      onClose();
    },
  });
  const told = look.data;
  const again = (next: { file?: File; currency?: string; columns?: string[] }) => {
    const table = next.file ?? file;
    if (!table) return;
    setFile(table);
    look.mutate({
      file: table,
      currency: next.currency ?? currency,
      columns: next.columns ?? (next.file || !told ? [] : columnsOf(told)),
    });
  };
  return (
    <Dialog open onClose={onClose} title="Bring a table">
      {/* biome-ignore lint/a11y/noStaticElementInteractions: the same is done by the button */}
      <div
        className="mt-3"
        onDragOver={(e) => e.preventDefault()}
        onDrop={(e) => {
          e.preventDefault();
          const dropped = e.dataTransfer.files[0];
          if (dropped) again({ file: dropped });
        }}
      >
        <div className="flex flex-wrap items-end gap-4">
          <button type="button" className="press" onClick={() => input.current?.click()}>
            Choose a file
          </button>
          <input
            ref={input}
            type="file"
            aria-label="Table to bring"
            accept=".csv,.tsv,.txt,text/csv,text/plain"
            hidden
            onChange={(e) => {
              const chosen = e.target.files?.[0];
              if (chosen) again({ file: chosen });
              e.target.value = "";
            }}
          />
          <label>
            <span className="block text-ink2">Amounts without a currency are in</span>
            <input
              className="entry !w-20"
              value={currency}
              maxLength={3}
              onChange={(e) => setCurrency(e.target.value.toUpperCase())}
              onBlur={() => told && again({ currency })}
            />
          </label>
        </div>
        <label className="mt-2 block">
          <span className="block text-ink2">or paste rows out of a spreadsheet, or drop a file here</span>
          <textarea
            rows={3}
            className="entry font-mono"
            value={pasted}
            onChange={(e) => setPasted(e.target.value)}
            onBlur={() => pasted.trim() && again({ file: new File([pasted], "what was pasted") })}
          />
        </label>
      </div>
      <p role="status" className="voice text-ink2">
        {look.isPending ? "Reading the table." : ""}
      </p>
      {(look.error ?? keep.error) && (
        <p role="alert" className="mt-2 text-lead">
          {(look.error ?? keep.error)?.message}
        </p>
      )}
      {told && (
        <>
          <Report told={told} />
          <Columns told={told} onChange={(columns) => again({ columns })} />
          <Rows told={told} />
          <div className="mt-4 flex gap-3 border-t border-ink pt-3">
            <button
              type="button"
              className="press"
              disabled={told.good === told.known || keep.isPending}
              onClick={() => keep.mutate(told)}
            >
              Take in {told.good - told.known} {told.good - told.known === 1 ? "sale" : "sales"}
            </button>
            <button type="button" className="press" onClick={onClose}>
              Let it be
            </button>
          </div>
        </>
      )}
    </Dialog>
  );
}

const columnsOf = (told: TableTold) => told.read.columns.map((c) => c.field);

function Report({ told }: { told: TableTold }) {
  return (
    <p className="mt-3" data-testid="report">
      {told.rows} rows, parted by {told.read.separator}, read as {told.read.encoding}
      {told.read.headed ? "" : ", without headings"}. {told.good} can be taken in
      {told.known > 0 && `, ${told.known} of them are in the book already`}
      {told.refused > 0 && `; ${told.refused} cannot`}
      {told.leftover > 0 && `. In ${told.leftover} something is not known and stays in the note`}.
    </p>
  );
}

function Columns({ told, onChange }: { told: TableTold; onChange: (columns: string[]) => void }) {
  const columns = columnsOf(told);
  return (
    <div className="mt-2 overflow-x-auto">
      <table className="text-left" aria-label="Columns">
        <tbody>
          {told.read.columns.map((c, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a column is known by its place
            <tr key={i} className="border-t border-rule">
              <th className="py-1 pr-4 font-normal">{c.title}</th>
              <td className="pr-4">
                <Select
                  aria-label={`What ${c.title} is`}
                  value={c.field}
                  nothing="choose"
                  options={told.fields}
                  onChange={(field) =>
                    field && onChange(columns.map((other, at) => (at === i ? field : other)))
                  }
                />
              </td>
              <td className="max-w-[16rem] truncate text-ink2">{c.sample}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** What stands in the way, row by row; then the first that can be taken in. */
function Rows({ told }: { told: TableTold }) {
  return (
    <ul className="mt-3 max-h-[16rem] overflow-auto border-t border-ink" aria-label="Rows">
      {told.read.rows.slice(0, SHOWN).map((r) => (
        <li key={r.line} className="border-b border-rule py-0.5">
          <span className="num mr-2 text-ink2">line {r.line}</span>
          {r.problems.map((p) => (
            <span key={p.field} className="text-lead">
              {p.field}, {p.given}: {p.accepted}.{" "}
            </span>
          ))}
          {r.sale && (
            <>
              {r.sale.knife.described}, {money(r.sale.knife.price, r.sale.knife.currency)}
              {r.leftover.length > 0 && <span className="text-ink2"> ({r.leftover.join("; ")})</span>}
            </>
          )}
        </li>
      ))}
    </ul>
  );
}
