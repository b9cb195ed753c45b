import { useWindowVirtualizer } from "@tanstack/react-virtual";
import { type ReactNode, useLayoutEffect, useMemo, useRef, useState } from "react";
import { Link } from "react-router";
import type { Book, ReadableEntry } from "../../api/types";
import { SmallKnife } from "../../drawing/small-knife";
import { titleBy, yearsWhole } from "../../format";
import { usePreferences } from "../../preferences";
import { SpanBar } from "../../ui/span-bar";

const ROW = 40;
const BEYOND = 12;

export interface Axis {
  from: number;
  to: number;
}

/** From the decade in which the first may begin to today. */
export function axisOf(knives: ReadableEntry[], today: number): Axis {
  const first = knives.reduce(
    (least, k) => Math.min(least, k.summary.span?.pieces[0]?.from ?? least),
    today - 20,
  );
  return { from: Math.floor(first / 10) * 10, to: today + 1 };
}

/** Years that are written on the axis: as close as they can be read. */
export function yearsOn({ from, to }: Axis): number[] {
  const step = [10, 20, 50, 100].find((s) => (to - from) / s <= 9) ?? 200;
  const first = Math.ceil(from / step) * step;
  return Array.from({ length: Math.floor((to - 1 - first) / step) + 1 }, (_, i) => first + i * step);
}

/** The knives that were found under one another, each with its years on one axis. */
export function TimeLine({ knives, book }: { knives: ReadableEntry[]; book: Book }) {
  const dated = useMemo(() => knives.filter((k) => k.summary.span), [knives]);
  const axis = useMemo(() => axisOf(dated, new Date().getFullYear()), [dated]);
  const open = knives.length - dated.length;
  return (
    <section aria-label="On the time line" className="mt-1">
      <Years axis={axis} />
      <InSight knives={dated}>{(k) => <OnAxis knife={k} axis={axis} book={book} />}</InSight>
      {open > 0 && (
        <p className="voice mt-2 text-ink2">
          {open.toLocaleString()} {open === 1 ? "has" : "have"} no years yet.
        </p>
      )}
    </section>
  );
}

/** Only the rows in sight are drawn. */
function InSight({
  knives,
  children,
}: {
  knives: ReadableEntry[];
  children: (knife: ReadableEntry) => ReactNode;
}) {
  const list = useRef<HTMLOListElement>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => {
    setTop((list.current?.getBoundingClientRect().top ?? 0) + window.scrollY);
  }, []);
  const sight = useWindowVirtualizer({
    count: knives.length,
    estimateSize: () => ROW,
    overscan: BEYOND,
    scrollMargin: top,
  });
  return (
    <ol ref={list} className="relative" style={{ height: sight.getTotalSize() }}>
      {sight.getVirtualItems().map(({ index, start }) => {
        const k = knives[index] as ReadableEntry;
        return (
          <li
            key={k.id}
            className="absolute top-0 left-0 w-full border-b border-rule hover:bg-lit has-focus-visible:bg-lit"
            style={{ height: ROW, transform: `translateY(${start - top}px)` }}
          >
            {children(k)}
          </li>
        );
      })}
    </ol>
  );
}

/** What is said of a knife stands at the left, its years at the right; the axis above has the same room. */
const ROOM = "grid grid-cols-[9rem_minmax(0,1fr)] gap-x-3 sm:grid-cols-[6.5rem_13rem_minmax(0,1fr)]";

function Years({ axis }: { axis: Axis }) {
  const x = (year: number) => (100 * (year - axis.from)) / (axis.to - axis.from);
  return (
    <div className={`${ROOM} sticky top-0 z-10 border-b border-ink bg-paper`} aria-hidden="true">
      <span className="max-sm:hidden" />
      <span />
      <div className="num relative h-6 text-[0.78125rem] text-ink2">
        {yearsOn(axis).map((y, i) => (
          <span
            key={y}
            className={`absolute bottom-0.5 -translate-x-1/2 whitespace-nowrap ${i % 2 ? "" : "max-sm:hidden"}`}
            style={{ left: `${x(y)}%` }}
          >
            {y}
          </span>
        ))}
      </div>
    </div>
  );
}

function OnAxis({ knife, axis, book }: { knife: ReadableEntry; axis: Axis; book: Book }) {
  const { school } = usePreferences();
  const name = knife.title ?? titleBy(school, knife.summary);
  const span = knife.summary.span as NonNullable<ReadableEntry["summary"]["span"]>;
  return (
    <Link to={`/bench/${knife.id}`} data-knife={knife.id} className={`${ROOM} h-full items-center`}>
      <SmallKnife sketch={knife.sketch} book={book} className="text-ink max-sm:hidden" />
      <span className="min-w-0">
        <span className="block truncate">
          <span className="num text-ink2">{knife.number}</span> {name}
        </span>
        <span className="block truncate text-[0.78125rem]/4 text-ink2">
          <span className="num text-blue">{yearsWhole(span)}</span> {knife.summary.maker}
        </span>
      </span>
      <SpanBar span={span} axis={axis} height={ROW - 1}>
        {(x) =>
          yearsOn(axis).map((y) => (
            <path
              key={y}
              d={`M${x(y)} 0V${ROW}`}
              stroke="var(--color-rule)"
              strokeWidth="1"
              vectorEffect="non-scaling-stroke"
            />
          ))
        }
      </SpanBar>
    </Link>
  );
}
