import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import type { SaleRoom, TableTold } from "../../api/types";
import { money } from "../../format";
import { AddOrCancel } from "../../ui/add-or-cancel";
import { ColumnChooser } from "../../ui/column-chooser";
import { Dialog } from "../../ui/dialog";
import { readAs } from "../../ui/read-as";
import { TableSource } from "../../ui/table-source";

const SHOWN = 40;

/** Where sales come from: a table of the collector's, or a sale room that is asked. */
type From = { file: File } | { room: SaleRoom };

const read = (from: From, currency: string, columns: string[], keep: boolean) =>
  "file" in from
    ? api.salesTable(from.file, currency, columns, keep)
    : api.askSaleRoom(from.room.id, currency, columns, keep);

/** Sales of a table of any shape or of a sale room, looked at before they are added. */
export function BringTable({ currency: usual, onClose, onBrought }: OfTable) {
  const { from, currency, setCurrency, look, told, again } = useTable(usual);
  const keep = useMutation({
    mutationFn: (told: TableTold) => read(from as From, currency, columnsOf(told), true),
    onSuccess: (told) => {
      if (told.batch) onBrought(told.batch, told.good - told.known);
      onClose();
    },
  });
  const failed = look.error ?? keep.error;
  return (
    <Dialog open onClose={onClose} title="Add a list of sales">
      <TableSource
        label="List of sales"
        currency={currency}
        onCurrency={setCurrency}
        onFile={(chosen) => again({ from: { file: chosen } })}
      />
      <Rooms onAsk={(room) => again({ from: { room } })} />
      <p role="status" className="voice text-ink2">
        {look.isPending ? (from && "room" in from ? "Asking." : "Reading the table.") : ""}
      </p>
      {failed && (
        <p role="alert" className="mt-2 text-lead">
          {failed.message}
        </p>
      )}
      {told && (
        <>
          <Report told={told} from={from} />
          <ColumnChooser
            columns={told.read.columns}
            fields={told.fields}
            onChange={(columns) => again({ columns })}
          />
          <Rows told={told} />
          <AddOrCancel
            label={`Add ${told.good - told.known} ${told.good - told.known === 1 ? "sale" : "sales"}`}
            isOff={told.good === told.known || keep.isPending}
            onAdd={() => keep.mutate(told)}
            onCancel={onClose}
          />
        </>
      )}
    </Dialog>
  );
}

interface OfTable {
  currency: string;
  onClose: () => void;
  onBrought: (batch: string, many: number) => void;
}

/** A table as it is looked at: read again with every change to where it is from, its money or its columns. */
function useTable(usual: string) {
  const [from, setFrom] = useState<From>();
  const [currency, setCurrency] = useState(usual);
  const look = useMutation({
    mutationFn: (asked: { from: From; currency: string; columns: string[] }) =>
      read(asked.from, asked.currency, asked.columns, false),
  });
  const told = look.data;
  const again = (next: { from?: From; currency?: string; columns?: string[] }) => {
    const source = next.from ?? from;
    if (!source) return;
    setFrom(source);
    look.mutate({
      from: source,
      currency: next.currency ?? currency,
      columns: next.columns ?? (next.from || !told ? [] : columnsOf(told)),
    });
  };
  const inMoney = (to: string) => {
    setCurrency(to);
    if (told) again({ currency: to });
  };
  return { from, currency, setCurrency: inMoney, look, told, again };
}

/** The sale rooms that tell what they sold of late; none is no matter. */
function Rooms({ onAsk }: { onAsk: (room: SaleRoom) => void }) {
  const rooms = useQuery({ queryKey: ["sale-rooms"], queryFn: () => api.saleRooms() });
  if (!rooms.data?.length) return null;
  return (
    <p className="mt-2 flex flex-wrap items-baseline gap-x-3 gap-y-1">
      <span className="text-ink2">or ask what was sold of late:</span>
      {rooms.data.map((room) => (
        <button key={room.id} type="button" className="press" onClick={() => onAsk(room)}>
          {room.label}
        </button>
      ))}
    </p>
  );
}

const columnsOf = (told: TableTold) => told.read.columns.map((c) => c.field);

function Report({ told, from }: { told: TableTold; from?: From }) {
  const room = from && "room" in from ? from.room : undefined;
  return (
    <p className="mt-3" data-testid="report">
      {room?.standIn && <strong className="block font-normal text-lead">{STAND_IN}</strong>}
      {room ? `${room.label} tells of ${lots(told.rows)} of the last month` : readAs(told.rows, told.read)}.{" "}
      {told.good} can be added
      {told.known > 0 &&
        `, ${told.known} of them ${room ? "are in the book already or were removed from it" : "are in the book already"}`}
      {told.unsold > 0 && `; ${told.unsold} ${told.unsold === 1 ? "was" : "were"} not sold`}
      {told.refused > 0 && `; ${told.refused} cannot`}
      {told.leftover > 0 && `. In ${told.leftover} something is not known and stays in the note`}.
    </p>
  );
}

const STAND_IN = "This room is a stand-in: what it tells is made up.";

const lots = (n: number) => `${n.toLocaleString()} ${n === 1 ? "lot" : "lots"}`;

/** What stands in the way, row by row; then the first that can be added. */
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
          {r.unsold && <span className="text-ink2">not sold</span>}
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
