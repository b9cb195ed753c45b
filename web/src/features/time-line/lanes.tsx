import { useRef } from "react";
import type { OneMaker } from "../../api/types";
import { fromTo } from "../../format";
import { useWidth } from "../../ui/use-width";
import { type Axis, across, place } from "./axis";
import { OwnBar, StillBar, Stretch } from "./bars";
import { isOwn, type Keyed, type Moves } from "./use-moves";

const KINDS = [
  { kind: "owner", heading: "Whose it was" },
  { kind: "contract", heading: "Who made its knives" },
  { kind: "mark", heading: "Marks" },
  { kind: "fitting", heading: "Shields and fittings" },
  { kind: "model", heading: "Models" },
] as const;

const ROW =
  "grid grid-cols-[minmax(0,1fr)] sm:grid-cols-[minmax(0,15rem)_minmax(0,1fr)] lg:grid-cols-[minmax(0,23rem)_minmax(0,1fr)] sm:gap-x-3";

/** Bars under one another, by what they are, on one axis. */
export function Lanes({
  bars,
  axis,
  unmarked,
  moves,
}: {
  bars: Keyed[];
  axis: Axis;
  unmarked: OneMaker["unmarked"];
  moves: Moves;
}) {
  return (
    <div className="mt-1">
      {KINDS.map(({ kind, heading }) => {
        const ofKind = bars.filter(({ bar }) => bar.kind === kind);
        if (ofKind.length === 0) return null;
        return (
          <section key={kind} aria-label={heading} className="mt-2">
            <h2 className="border-b border-rule text-[0.8125rem] font-semibold">{heading}</h2>
            <ul>
              {ofKind.map((bar) => (
                <Lane key={bar.key} {...{ bar, axis, moves }} />
              ))}
              {kind === "mark" && unmarked.length > 0 && <Unmarked years={unmarked} axis={axis} />}
            </ul>
          </section>
        );
      })}
      <Decades axis={axis} />
    </div>
  );
}

function Lane({ bar, axis, moves }: { bar: Keyed; axis: Axis; moves: Moves }) {
  const isMine = isOwn(bar);
  const years = moves.at(bar);
  return (
    <li className={ROW}>
      <p className="flex gap-x-2 truncate leading-6" title={bar.bar.what}>
        <span className={`num w-[5.25rem] shrink-0 ${isMine ? "font-semibold text-blue" : "text-ink2"}`}>
          {fromTo(years)}
        </span>
        <span className={`truncate ${bar.bar.kind === "mark" ? "font-steel" : ""}`}>{bar.bar.what}</span>
        {years.give > 0 && <span className="sr-only">, within {years.give} years</span>}
      </p>
      <Stretch axis={axis}>
        {isMine ? <OwnBar bar={bar} axis={axis} moves={moves} /> : <StillBar years={years} axis={axis} />}
      </Stretch>
    </li>
  );
}

function Unmarked({ years, axis }: { years: OneMaker["unmarked"]; axis: Axis }) {
  return (
    <li className={ROW} data-testid="unmarked">
      <p className="flex gap-x-2 leading-6 text-lead">
        No mark on file <span className="num">{years.map(fromTo).join(", ")}</span>
      </p>
      <Stretch axis={axis}>
        {years.map((gap) => (
          <span
            key={gap.from}
            aria-hidden="true"
            className="absolute top-[9px] h-1.5 min-w-1 border border-lead"
            style={across(gap.from, gap.to, axis)}
          />
        ))}
      </Stretch>
    </li>
  );
}

/** Room a year takes in figures, in pixels. */
const WIDE = 46;

function Decades({ axis }: { axis: Axis }) {
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box, 800);
  const every =
    (10 * width) / (axis.last - axis.first) > WIDE
      ? 10
      : (20 * width) / (axis.last - axis.first) > WIDE
        ? 20
        : 40;
  const from = Math.ceil(axis.first / every) * every;
  const told = Array.from({ length: Math.floor((axis.last - from) / every) + 1 }, (_, i) => from + i * every);
  return (
    <div className={ROW} aria-hidden="true">
      <span />
      <div ref={box} className="relative mt-1 h-5 border-t border-ink">
        {told.map((year) => (
          <span
            key={year}
            className="num absolute -translate-x-1/2 whitespace-nowrap text-[0.78125rem] text-ink2"
            style={{ left: `${place(year, axis)}%` }}
          >
            {year}
          </span>
        ))}
      </div>
    </div>
  );
}
