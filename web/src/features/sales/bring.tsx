import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import type { TableTold } from "../../api/types";
import { money } from "../../format";
import { ColumnChooser } from "../../ui/column-chooser";
import { Dialog } from "../../ui/dialog";
import { readAs } from "../../ui/read-as";
import { TableSource } from "../../ui/table-source";

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
      <TableSource
        label="Table to bring"
        currency={currency}
        onCurrency={(to) => {
          setCurrency(to);
          if (told) again({ currency: to });
        }}
        onFile={(chosen) => again({ file: chosen })}
      />
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
          <ColumnChooser
            columns={told.read.columns}
            fields={told.fields}
            onChange={(columns) => again({ columns })}
          />
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
      {readAs(told.rows, told.read)}. {told.good} can be taken in
      {told.known > 0 && `, ${told.known} of them are in the book already`}
      {told.refused > 0 && `; ${told.refused} cannot`}
      {told.leftover > 0 && `. In ${told.leftover} something is not known and stays in the note`}.
    </p>
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
