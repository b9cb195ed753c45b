import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import { usualCurrency } from "../../format";
import { ColumnChooser } from "../../ui/column-chooser";
import { Dialog } from "../../ui/dialog";
import { readAs } from "../../ui/read-as";
import { TableSource } from "../../ui/table-source";
import { useToast } from "../../ui/toasts";
import { anew, type Whole } from "./in-parts";
import { useList } from "./use-list";

const SHOWN = 60;

/** A list as it is looked at, and the press that takes it in. */
function useBringing(onClose: () => void) {
  const [file, setFile] = useState<File>();
  const [currency, setCurrency] = useState(usualCurrency());
  const list = useList();
  const { so, go } = list;
  const keep = useTakingIn(go, onClose);
  const look = (next: { file?: File; currency?: string; columns?: string[] }) => {
    const source = next.file ?? file;
    if (!source) return;
    setFile(source);
    go("looking", {
      file: source,
      currency: next.currency ?? currency,
      columns: next.columns ?? (next.file || !so ? [] : columnsOf(so)),
    });
  };
  return {
    so,
    work: list.work,
    error: list.error,
    stop: list.stop,
    look,
    takeIn: async () => file && so && keep({ file, currency, columns: columnsOf(so) }),
    currency,
    inCurrency: (to: string) => {
      setCurrency(to);
      if (so) look({ currency: to });
    },
  };
}

/** Takes a list in whole or not at all: what came in before it was stopped goes out again. */
function useTakingIn(go: ReturnType<typeof useList>["go"], onClose: () => void) {
  const queries = useQueryClient();
  const toast = useToast();
  return async (list: Parameters<typeof go>[1]) => {
    const batch = crypto.randomUUID();
    const again = () => queries.invalidateQueries({ queryKey: ["tray"] });
    const whole = await go("taking-in", list, batch);
    again();
    if (whole) {
      onClose();
      toast(`${counted(whole.kept)} added to the tray.`, async () => {
        await api.removeKnivesTable(batch);
        again();
      });
    } else {
      await api.removeKnivesTable(batch).catch(() => {});
      again();
    }
  };
}

type Bringing = ReturnType<typeof useBringing>;

/** A list of knives one has already, looked at before it is added to the tray. */
export function BringList({ onClose }: { onClose: () => void }) {
  const bringing = useBringing(onClose);
  const { so, work, error, stop } = bringing;
  return (
    <Dialog open onClose={onClose} title="A list I have" isWide>
      <div className="gap-x-6 lg:grid lg:grid-cols-[minmax(0,23rem)_minmax(0,1fr)]">
        <div>
          <TheList bringing={bringing} />
        </div>
        <div className="flex flex-col lg:border-l lg:border-ink lg:pl-6">
          <Progress so={so} work={work} onStop={stop} />
          {error && (
            <p role="alert" className="text-lead">
              {error.message}
            </p>
          )}
          {so && <WhatItBrings so={so} bringing={bringing} onClose={onClose} />}
        </div>
      </div>
    </Dialog>
  );
}

function TheList({ bringing }: { bringing: Bringing }) {
  const { so, look, currency, inCurrency } = bringing;
  return (
    <>
      <p className="mt-2 text-ink2">
        Any table with a row for each knife. What it says of maker and years stands in the story as what a
        list says; the look at the knife itself is still yours.
      </p>
      <TableSource
        label="List to add"
        currency={currency}
        onCurrency={inCurrency}
        onFile={(chosen) => look({ file: chosen })}
      />
      {so && (
        <ColumnChooser columns={so.columns} fields={so.fields} onChange={(columns) => look({ columns })} />
      )}
    </>
  );
}

function WhatItBrings({
  so,
  bringing: { work, takeIn },
  onClose,
}: {
  so: Whole;
  bringing: Bringing;
  onClose: () => void;
}) {
  return (
    <>
      <Report so={so} />
      <Rows so={so} />
      <div className="mt-auto flex gap-3 border-t border-ink pt-3">
        <button
          type="button"
          className="press"
          disabled={anew(so) === 0 || work !== undefined}
          onClick={takeIn}
        >
          Add {counted(anew(so))}
        </button>
        <button type="button" className="press" onClick={onClose}>
          Let it be
        </button>
      </div>
    </>
  );
}

const columnsOf = (so: Whole) => so.columns.map((c) => c.field);

const counted = (many: number) => `${many.toLocaleString()} ${many === 1 ? "knife" : "knives"}`;

function Progress({ so, work, onStop }: { so?: Whole; work?: string; onStop: () => void }) {
  return (
    <div className="flex min-h-6 items-center gap-3">
      <p role="status" className="voice text-ink2">
        {work === "looking" && "Reading the list."}
        {work === "taking-in" && "Taking the knives in."}
      </p>
      {work && so && so.next !== undefined && (
        <>
          <progress aria-label="Rows gone over" max={so.rows} value={so.done} />
          <span className="num text-ink2">
            {so.done.toLocaleString()} of {so.rows.toLocaleString()}
          </span>
          <button type="button" className="press" onClick={onStop}>
            Stop
          </button>
        </>
      )}
    </div>
  );
}

function Report({ so }: { so: Whole }) {
  const known = so.told.filter((r) => r.known).length;
  const odd = so.told.filter((r) => r.leftover.length > 0).length;
  return (
    <p className="mt-1" data-testid="report">
      {readAs(so.rows, so)}
      {so.done < so.rows && `; ${so.done.toLocaleString()} of them gone over`}
      {known > 0 && `. ${known.toLocaleString()} ${known === 1 ? "is" : "are"} in the tray already`}
      {odd > 0 && `. In ${odd.toLocaleString()} something is not known and stays in the note`}.
    </p>
  );
}

/** What each row becomes, those with something not understood first. */
function Rows({ so }: { so: Whole }) {
  const rows = [...so.told].sort((a, b) => Number(b.leftover.length > 0) - Number(a.leftover.length > 0));
  return (
    <ul className="mt-2 max-h-[24rem] overflow-auto border-t border-ink" aria-label="Rows">
      {rows.slice(0, SHOWN).map((r) => (
        <li key={r.line} className="border-b border-rule py-0.5">
          <span className="num mr-2 text-ink2">line {r.line}</span>
          <span className="font-semibold">{r.title ?? "No name"}</span>
          {r.known && <span className="voice text-ink2"> in the tray already</span>}
          {r.taken.map((t) => (
            <span key={t.field}>
              {"; "}
              <span className="text-ink2">{t.field.toLowerCase()}</span> {t.says}
            </span>
          ))}
          {r.leftover.length > 0 && (
            <span className="block pl-6 text-lead">In the note: {r.leftover.join("; ")}</span>
          )}
        </li>
      ))}
      {rows.length > SHOWN && (
        <li className="text-ink2">and {(rows.length - SHOWN).toLocaleString()} more</li>
      )}
    </ul>
  );
}
