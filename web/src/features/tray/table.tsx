import { useWindowVirtualizer } from "@tanstack/react-virtual";
import { useLayoutEffect, useMemo, useRef, useState } from "react";
import { Link } from "react-router";
import type { Book, ReadableEntry } from "../../api/types";
import { SmallKnife } from "../../drawing/small-knife";
import { titleBy } from "../../format";
import { useKept, usePreferences } from "../../preferences";
import { PopUp } from "../../ui/pop-up";
import { Several } from "../filing/several";
import { COLUMNS, type Column, type Shown, sorted, USUAL } from "./columns";

const ROW = 36;
const BEYOND = 12;

/** More than these are too small to compare. */
const MOST_TOGETHER = 12;

/** More strikes than these are not put together at once. */
const MOST_STRIKES = 12;

interface Sort {
  column: string;
  isDown: boolean;
}

/** The knives that were found as a printed list, to be sorted, and several to be chosen at once. */
export function KnivesTable({ knives, book, onRemove }: OfTable) {
  const { units, school } = usePreferences();
  const shown = useMemo(() => ({ units, school, book }), [units, school, book]);
  const [columns, setColumns] = useColumns();
  const [sort, setSort] = useState<Sort>({ column: "number", isDown: false });
  const by = COLUMNS.find((c) => c.id === sort.column) as Column;
  const rows = useMemo(() => sorted(knives, by, sort.isDown, shown), [knives, by, sort, shown]);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const here = rows.filter((k) => chosen.has(k.id));
  const shows = COLUMNS.filter((c) => columns.includes(c.id));
  const takeOut = () => {
    onRemove(here);
    setChosen(new Set());
  };
  return (
    <>
      <div className="mt-1 flex min-h-7 flex-wrap items-center gap-x-4">
        <ColumnsChoice columns={columns} onChange={setColumns} />
        {here.length > 0 && <WithChosen chosen={here} onRemove={takeOut} />}
      </div>
      <div className="overflow-x-auto">
        <table className="w-full border-collapse text-[0.8125rem]">
          <Head
            columns={shows}
            sort={sort}
            onSort={setSort}
            isAll={rows.length > 0 && here.length === rows.length}
            onAll={(all) => setChosen(new Set(all ? rows.map((k) => k.id) : []))}
          />
          <Rows
            rows={rows}
            columns={shows}
            shown={shown}
            chosen={chosen}
            onChoose={(id) => setChosen((now) => toggled(now, id))}
          />
        </table>
      </div>
    </>
  );
}

interface OfTable {
  knives: ReadableEntry[];
  book: Book;
  onRemove: (knives: ReadableEntry[]) => void;
}

/** What can be done with several at once. */
function WithChosen({ chosen, onRemove }: { chosen: ReadableEntry[]; onRemove: () => void }) {
  const of = `${new URLSearchParams(chosen.map((k) => ["of", k.id]))}`;
  const canGo = (most: number) => chosen.length > 1 && chosen.length <= most;
  return (
    <>
      <p role="status">{chosen.length} chosen</p>
      <Several knives={chosen} />
      {canGo(MOST_TOGETHER) && (
        <Link to={`/together?${of}`} className="inline-block min-h-6 underline">
          Side by side
        </Link>
      )}
      {canGo(MOST_STRIKES) && (
        <Link to={`/one-mark?${of}`} className="inline-block min-h-6 underline">
          One mark of these
        </Link>
      )}
      <button type="button" className="press" onClick={onRemove}>
        Take out
      </button>
    </>
  );
}

function toggled(now: ReadonlySet<string>, id: string): ReadonlySet<string> {
  const next = new Set(now);
  if (!next.delete(id)) next.add(id);
  return next;
}

function useColumns(): [string[], (columns: string[]) => void] {
  const [kept, setKept] = useKept("columns", USUAL.join(","));
  return [kept.split(","), (next) => setKept(next.join(","))];
}

function ColumnsChoice({ columns, onChange }: { columns: string[]; onChange: (columns: string[]) => void }) {
  return (
    <PopUp name="Columns" align="start">
      {COLUMNS.map((c) => (
        <label key={c.id} className="flex min-h-6 items-center gap-2">
          <input
            type="checkbox"
            className="accent-blue"
            checked={columns.includes(c.id)}
            onChange={(e) =>
              onChange(e.target.checked ? [...columns, c.id] : columns.filter((id) => id !== c.id))
            }
          />
          {c.label}
        </label>
      ))}
    </PopUp>
  );
}

function Head({
  columns,
  sort,
  onSort,
  isAll,
  onAll,
}: {
  columns: Column[];
  sort: Sort;
  onSort: (sort: Sort) => void;
  isAll: boolean;
  onAll: (all: boolean) => void;
}) {
  return (
    <thead>
      <tr className="border-b border-ink text-left">
        <th className="w-7 p-0">
          <label className="flex size-6 items-center">
            <input
              type="checkbox"
              className="accent-blue"
              aria-label="Choose all"
              checked={isAll}
              onChange={(e) => onAll(e.target.checked)}
            />
          </label>
        </th>
        <td className="w-24" />
        {columns.map((c) => (
          <th
            key={c.id}
            scope="col"
            aria-sort={sort.column === c.id ? (sort.isDown ? "descending" : "ascending") : undefined}
            className={`p-0 pr-2.5 font-normal ${c.isFigure ? "text-right" : ""}`}
          >
            <button
              type="button"
              className="voice min-h-6 whitespace-nowrap text-ink2 hover:underline"
              onClick={() => onSort({ column: c.id, isDown: sort.column === c.id && !sort.isDown })}
            >
              {c.label}
              {sort.column === c.id && <span aria-hidden="true">{sort.isDown ? " \u2191" : " \u2193"}</span>}
            </button>
          </th>
        ))}
      </tr>
    </thead>
  );
}

/** Only what is in sight is laid out; above and below stands an empty row as high as the rest. */
function Rows({
  rows,
  columns,
  shown,
  chosen,
  onChoose,
}: {
  rows: ReadableEntry[];
  columns: Column[];
  shown: Shown;
  chosen: ReadonlySet<string>;
  onChoose: (id: string) => void;
}) {
  const body = useRef<HTMLTableSectionElement>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => {
    setTop((body.current?.getBoundingClientRect().top ?? 0) + window.scrollY);
  }, []);
  const sight = useWindowVirtualizer({
    count: rows.length,
    estimateSize: () => ROW,
    overscan: BEYOND,
    scrollMargin: top,
  });
  const inSight = sight.getVirtualItems();
  const above = (inSight[0]?.start ?? top) - top;
  const below = sight.getTotalSize() - ((inSight.at(-1)?.end ?? top) - top);
  return (
    <tbody ref={body}>
      {above > 0 && <tr style={{ height: above }} />}
      {inSight.map(({ index }) => {
        const k = rows[index] as ReadableEntry;
        return (
          <Row
            key={k.id}
            knife={k}
            columns={columns}
            shown={shown}
            isChosen={chosen.has(k.id)}
            onChoose={() => onChoose(k.id)}
          />
        );
      })}
      {below > 0 && <tr style={{ height: below }} />}
    </tbody>
  );
}

function Row({ knife, columns, shown, isChosen, onChoose }: OfRow) {
  const name = knife.title ?? titleBy(shown.school, knife.summary);
  return (
    <tr
      className={`border-b border-rule hover:bg-lit has-focus-visible:bg-lit ${isChosen ? "bg-lit" : ""}`}
      style={{ height: ROW }}
    >
      <td className="p-0">
        <label className="flex size-6 items-center">
          <input
            type="checkbox"
            className="accent-blue"
            aria-label={`Choose ${knife.number}, ${name}`}
            checked={isChosen}
            onChange={onChoose}
          />
        </label>
      </td>
      <td className="p-0 pr-2">
        <ToTheBench knife={knife} name={name} book={shown.book} />
      </td>
      {columns.map((c) => (
        <td
          key={c.id}
          className={`max-w-36 truncate p-0 pr-2.5 ${c.isFigure ? "num text-right whitespace-nowrap" : ""}`}
        >
          {c.shows(knife, shown)}
        </td>
      ))}
    </tr>
  );
}

interface OfRow {
  knife: ReadableEntry;
  columns: Column[];
  shown: Shown;
  isChosen: boolean;
  onChoose: () => void;
}

function ToTheBench({ knife, name, book }: { knife: ReadableEntry; name: string; book: Book }) {
  return (
    <Link
      to={`/bench/${knife.id}`}
      data-knife={knife.id}
      aria-label={`${name}, to the bench`}
      className="block"
    >
      <SmallKnife sketch={knife.sketch} book={book} className="text-ink" />
    </Link>
  );
}
