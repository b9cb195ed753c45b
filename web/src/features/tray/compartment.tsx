import { type KeyboardEvent, useMemo } from "react";
import { Link } from "react-router";
import type { Book, ReadableEntry } from "../../api/types";
import { drawClosed, reach } from "../../drawing/closed";
import { placed } from "../../drawing/geometry";
import { Shapes } from "../../drawing/shapes";
import { LengthFigure, money, titleBy, yearsWhole } from "../../format";
import { usePreferences } from "../../preferences";
import { SCALE, widthOf } from "./rows";

/** The line a knife is drawn along, in millimetres from the top, and its room; a tall one has more. */
const USUAL_LINE = 12.5;
const USUAL_HIGH = 52;

/** One knife in its place. Outside a search it keeps the place and goes grey. */
export function Compartment({ entry, book, outside, chance, onKey, onRemove }: OfPlace) {
  const { school } = usePreferences();
  const { summary, sketch } = entry;
  const title = titleBy(school, summary);
  const name = entry.title ?? title;
  return (
    <li
      className="group relative grow border-r border-b border-ink"
      style={{ flexBasis: `${widthOf(entry) / 16}rem`, minWidth: "17rem" }}
    >
      <Link
        to={`/bench/${entry.id}`}
        data-knife={entry.id}
        onKeyDown={onKey}
        className={`block px-2.5 pt-1.5 pb-2 focus-visible:bg-lit focus-visible:outline-offset-[-2px] ${outside ? "text-ink3" : "hover:bg-lit"}`}
      >
        <NumberAndLength entry={entry} />
        <Closed sketch={sketch} book={book} title={title} outside={outside} />
        <TimeRule entry={entry} outside={outside} />
        <Told entry={entry} title={title} outside={outside} />
        {(name !== title || chance !== undefined) && (
          <span className="flex justify-between gap-2 text-xs text-ink2">
            <span className="voice truncate">{name !== title && name}</span>
            {chance !== undefined && <span className="shrink-0">of those years {chanceOf(chance)}</span>}
          </span>
        )}
      </Link>
      <button
        type="button"
        aria-label={`Take ${name} out of the tray`}
        className="absolute top-6 right-1.5 min-h-6 bg-paper px-1 text-[0.78125rem] text-ink2 opacity-0 group-focus-within:opacity-100 group-hover:opacity-100 hover:underline focus:opacity-100"
        onClick={onRemove}
      >
        Take out
      </button>
    </li>
  );
}

interface OfPlace {
  entry: ReadableEntry;
  book: Book;
  outside: boolean;
  /** That it is of the years asked for; none where none were. */
  chance: number | undefined;
  onKey: (event: KeyboardEvent) => void;
  onRemove: () => void;
}

function NumberAndLength({ entry: { number, sketch } }: { entry: ReadableEntry }) {
  const { units } = usePreferences();
  return (
    <span className="num flex justify-between">
      <span>{number}</span>
      {sketch.measured ? (
        <LengthFigure mm={sketch.closedLengthMm} units={units} />
      ) : (
        <span className="voice text-ink3">not measured</span>
      )}
    </span>
  );
}

function Closed({
  sketch,
  book,
  title,
  outside,
}: Pick<ReadableEntry, "sketch"> & { book: Book; title: string; outside: boolean }) {
  const { shapes, high } = useMemo(() => {
    const { above, below } = reach(sketch, book);
    const line = Math.max(USUAL_LINE, above + 0.5);
    const left = sketch.bail && sketch.bail !== "none" ? 13 : 1;
    return {
      shapes: drawClosed(sketch, book, placed(SCALE, [left, line]), 0.9),
      high: Math.max(USUAL_HIGH, SCALE * (line + below + 1.5)),
    };
  }, [sketch, book]);
  return (
    <svg
      width={sketch.closedLengthMm * SCALE + 4}
      height={high}
      className={outside ? "text-[#7f8278]" : "text-ink"}
      role="img"
      aria-label={`${title}, closed`}
    >
      <Shapes shapes={shapes} />
    </svg>
  );
}

/** Name and years, maker, grade and what it may bring. */
function Told({ entry, title, outside }: { entry: ReadableEntry; title: string; outside: boolean }) {
  const { summary } = entry;
  return (
    <>
      <span className="mt-1 flex items-baseline justify-between gap-2 font-serif text-[0.84375rem]/[1.125rem] font-medium">
        <span className="truncate">{title}</span>
        <span className={`shrink-0 ${summary.span && !outside ? "text-blue" : "font-normal"}`}>
          {summary.span ? yearsWhole(summary.span) : "no date yet"}
        </span>
      </span>
      <span className="flex items-baseline justify-between gap-2">
        <span className="flex min-w-0 gap-1.5">
          <span className="truncate">
            {summary.maker ?? <span className="voice">maker not yet known</span>}
          </span>
          {summary.conflict && <span className="shrink-0 font-semibold text-lead">conflict</span>}
        </span>
        <span className="shrink-0">
          {[summary.grade.best?.label, worth(entry)].filter(Boolean).join(", ")}
        </span>
      </span>
    </>
  );
}

/** Never sure, as long as one year in a hundred is another. */
const chanceOf = (chance: number) => (chance > 0.99 ? "over 99%" : `${Math.round(100 * chance)}%`);

function worth({ summary }: ReadableEntry): string | undefined {
  if (summary.low === undefined || summary.high === undefined || !summary.currency) return undefined;
  return `${money(summary.low, summary.currency)}\u2013${money(summary.high, summary.currency)}`;
}

const FIRST = 1840;
const LAST = new Date().getFullYear();

/** Its years on a short rule: every compartment has the same one. */
function TimeRule({ entry, outside }: { entry: ReadableEntry; outside: boolean }) {
  const x = (year: number) => (100 * (Math.max(FIRST, year) - FIRST)) / (LAST - FIRST);
  return (
    <svg
      width="100%"
      height="9"
      viewBox="0 0 100 9"
      preserveAspectRatio="none"
      aria-hidden="true"
      className="mt-1"
    >
      <path
        d="M0 6H100"
        stroke="var(--color-edge)"
        strokeWidth="1"
        vectorEffect="non-scaling-stroke"
        strokeDasharray={entry.summary.span ? undefined : "2 3"}
      />
      {[1860, 1900, 1940, 1980, 2020].map((y) => (
        <path key={y} d={`M${x(y)} 6v3`} stroke="var(--color-edge)" vectorEffect="non-scaling-stroke" />
      ))}
      {entry.summary.span?.pieces.map((p) => (
        <path
          key={p.from}
          d={`M${x(p.from)} 5.5H${x(p.to + 1)}`}
          stroke={outside ? "var(--color-edge)" : "var(--color-blue)"}
          strokeWidth="5"
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </svg>
  );
}
