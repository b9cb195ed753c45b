import type { Book, ReadableEntry, SetCell, SetColumn, SetRow, SetShown } from "../../api/types";
import { percent } from "../../format";
import { Place } from "./place";

export interface Shown extends Pick<SetShown, "board" | "drawn"> {
  knives: Map<number, ReadableEntry>;
  book: Book;
}

/** A model in each of the marks it may bear; those it never bore are told below. */
export function Row({ row, shown }: { row: SetRow; shown: Shown }) {
  const marks = new Map(shown.board.marks.map((m) => [m.mark, m]));
  const of = (cell: SetCell) => marks.get(cell.mark) as SetColumn;
  const places = row.cells.filter((c) => c.stand !== "never");
  const name = row.model ? `${row.model}, ${row.label}` : "Any knife of theirs, by its mark";
  return (
    <section aria-label={name} className="mt-4 break-inside-avoid">
      <Heading row={row} name={name} places={places} />
      {places.length > 0 && (
        <ul className="mt-1 grid grid-cols-[repeat(auto-fill,minmax(10rem,1fr))] pt-px pl-px">
          {places.map((c) => (
            <Place
              key={c.mark}
              cell={c}
              mark={of(c)}
              model={row.model}
              sketch={shown.drawn[row.model ?? ""]}
              shown={shown}
            />
          ))}
        </ul>
      )}
      {row.unread.length > 0 && (
        <p className="mt-1 text-ink2">
          Of its mark nothing is read: {row.unread.map((h) => `No. ${h.number}`).join(", ")}.
        </p>
      )}
      <Between row={row} marks={marks} />
      <Never columns={row.cells.filter((c) => c.stand === "never").map(of)} />
    </section>
  );
}

function Heading({ row, name, places }: { row: SetRow; name: string; places: SetCell[] }) {
  const owned = places.filter((c) => c.stand === "owned" || c.stand === "better-wanted");
  return (
    <h2 className="flex flex-wrap items-baseline gap-x-3">
      {row.model && <span className="font-steel font-semibold tracking-wide">{row.model}</span>}
      <span className="font-semibold">{row.model ? row.label : name}</span>
      <span className="num text-blue">{span(row)}</span>
      <span className="text-ink2">
        <span className="num">{owned.length}</span> of{" "}
        <span className="num">{places.filter((c) => c.stand !== "against").length}</span>
      </span>
    </h2>
  );
}

/** Knives of the time between two marks, which are one of both and neither alone. */
function Between({ row, marks }: { row: SetRow; marks: Map<string, SetColumn> }) {
  return row.between.map((b) => (
    <p key={`${b.held.number} ${b.after}`} className="mt-1 text-ink2">
      No. {b.held.number} is of the time between{" "}
      <span className="font-steel">{marks.get(b.before)?.lines.join(" ")}</span> and{" "}
      <span className="font-steel">{marks.get(b.after)?.lines.join(" ")}</span>: one of both,{" "}
      {percent(b.held.chance)} in 100, and neither alone.
    </p>
  ));
}

function Never({ columns }: { columns: SetColumn[] }) {
  if (columns.length === 0) return null;
  return (
    <details className="mt-1 text-[0.78125rem]/4 text-ink2">
      <summary className="min-h-6 cursor-pointer">
        Never with {columns.length === 1 ? "one other mark" : `${columns.length} other marks`}, by what is on
        file
      </summary>
      <p>{columns.map((c) => `${c.lines.join(" ")} (${span(c)})`).join("; ")}.</p>
    </details>
  );
}

export const span = ({ from, to }: { from: number; to: number }) =>
  from === to ? `${from}` : `${from}\u2013${to}`;
