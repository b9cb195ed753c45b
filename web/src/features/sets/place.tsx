import { Link } from "react-router";
import type { ReadableEntry, SetCell, SetColumn, Sketch } from "../../api/types";
import { SmallKnife } from "../../drawing/small-knife";
import { percent } from "../../format";
import { type Shown, span } from "./row";
import { Struck } from "./struck";
import { WantIt } from "./want-it";

/** One place of a set: the knife that fills it, or the gap as the model would look. */
export function Place({
  cell,
  mark,
  model,
  sketch,
  shown,
}: {
  cell: SetCell;
  mark: SetColumn;
  /** Its number; none for any knife of the maker. */
  model: string | undefined;
  sketch: Sketch | undefined;
  shown: Shown;
}) {
  const best = cell.held[0];
  const knife = best && shown.knives.get(best.number);
  // A knife of which nothing is told but its mark looks as its model does.
  const drawn = knife?.sketch.frame ? knife.sketch : (sketch ?? knife?.sketch);
  const isEmpty = cell.stand === "missing" || cell.stand === "perhaps";
  return (
    <li
      className={`flex flex-col -mt-px -ml-px border border-rule px-2 pt-1.5 pb-1 ${cell.stand === "against" ? "bg-lead-wash" : isEmpty ? "" : "bg-lit"}`}
    >
      <Struck lines={mark.lines} />
      {drawn && (
        <SmallKnife
          sketch={drawn}
          book={shown.book}
          className={`mx-auto mt-1 h-auto w-full max-w-36 text-ink ${isEmpty ? "opacity-30" : ""}`}
        />
      )}
      <div className="mt-0.5 flex flex-wrap items-baseline justify-between gap-x-2">
        <span className="num text-[0.78125rem]/4 text-ink2">{span(cell)}</span>
        <Standing cell={cell} knife={knife} />
      </div>
      {cell.gap && <WantIt maker={shown.board.maker} model={model} mark={cell.mark} lines={mark.lines} />}
    </li>
  );
}

function Standing({ cell, knife }: { cell: SetCell; knife: ReadableEntry | undefined }) {
  const best = cell.held[0];
  if (!best) return <span className="voice text-ink3">missing</span>;
  const more = cell.held.length - 1;
  return (
    <span className="text-[0.84375rem]/[1.125rem]">
      {cell.stand === "perhaps" && <span className="voice">perhaps </span>}
      <To knife={knife} number={best.number} />
      {cell.stand === "perhaps"
        ? `, ${percent(best.chance)} in 100`
        : knife?.summary.grade.best && `, ${knife.summary.grade.best.label}`}
      {more > 0 && <span className="text-ink2"> and {more} more</span>}
      {cell.stand === "better-wanted" && <span className="block text-lead">a better one is wanted</span>}
      {cell.stand === "against" && (
        <span className="block text-lead">none was made so by what is on file</span>
      )}
    </span>
  );
}

function To({ knife, number }: { knife: ReadableEntry | undefined; number: number }) {
  return knife ? (
    <Link to={`/bench/${knife.id}`} className="inline-block min-h-6 underline">
      No. {number}
    </Link>
  ) : (
    <span>No. {number}</span>
  );
}
