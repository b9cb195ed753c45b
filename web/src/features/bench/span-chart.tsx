import { type ReactNode, useRef } from "react";
import type { Dating } from "../../api/types";
import { years, yearsWhole } from "../../format";
import { onPressed } from "../../ui/pressed";
import { useWidth } from "../../ui/use-width";

const LEFT = 270;
const RIGHT = 136;
const BASE = 72;
const TOP = 8;
const ROW = 16;
const MOST_ROWS = 7;

/** Where years, rows and the axis lie in the drawing. */
function laidOut(dating: Dating, width: number) {
  const isNarrow = width < 700;
  const left = isNarrow ? 8 : LEFT;
  const right = width - (isNarrow ? 8 : RIGHT);
  const { from, to } = window_(dating);
  const rows = withMark(dating).filter(isDated).slice(0, MOST_ROWS);
  const rowsTop = BASE + 30;
  const rowHigh = isNarrow ? 2 * ROW : ROW;
  return {
    width,
    isNarrow,
    left,
    right,
    from,
    to,
    rows,
    x: (year: number) => left + ((year - from) * (right - left)) / (to - from),
    rowAt: (i: number) => rowsTop + i * rowHigh + (isNarrow ? ROW : 0),
    axis: rowsTop + rows.length * rowHigh + 6,
  };
}

type LaidOut = ReturnType<typeof laidOut>;

/** The years it may be of, as a comb, and under it what each clue allows, in the order of its weight. */
export function SpanChart({ dating, onGo, isBare }: OfChart) {
  const box = useRef<HTMLDivElement>(null);
  const at = laidOut(dating, useWidth(box, 1232));
  const high = at.axis + 26;
  return (
    <section aria-label="The span" className="mx-4 mt-1.5 mb-4 lg:mx-6" ref={box}>
      {at.isNarrow && <Heading dating={dating} />}
      <div className="relative">
        {!at.isNarrow && (
          <div className="absolute top-0 left-0 w-[15rem]">
            <Heading dating={dating} />
          </div>
        )}
        <svg
          width={at.width}
          height={high}
          viewBox={`0 0 ${at.width} ${high}`}
          className="print:h-auto print:w-full"
          aria-label={described(dating)}
        >
          <Drawing dating={dating} at={at} onGo={onGo} />
        </svg>
      </div>
      {!isBare && <AsTable dating={dating} />}
    </section>
  );
}

interface OfChart {
  dating: Dating;
  onGo: (station: string) => void;
  /** Without the table, where that stands elsewhere. */
  isBare?: boolean;
}

function Drawing({ dating, at, onGo }: OnChart & Pick<OfChart, "onGo">) {
  return (
    <>
      <Ground dating={dating} at={at} />
      <Comb dating={dating} from={at.from} to={at.to} x={at.x} />
      <path d={`M${at.left} ${BASE}H${at.right}`} stroke="currentColor" />
      {!at.isNarrow && <Likeliest dating={dating} width={at.width} />}
      <Intervals dating={dating} at={at} />
      {at.rows.map((c, i) => (
        <ClueRow key={c.feature} clue={c} y={at.rowAt(i)} at={at} onGo={onGo} />
      ))}
      <Years dating={dating} at={at} />
    </>
  );
}

interface OnChart {
  dating: Dating;
  at: LaidOut;
}

function Ground({ dating, at: { x, from, to, axis } }: OnChart) {
  return (
    <>
      {ticks(from, to, 20).map((y) => (
        <path key={y} d={`M${x(y)} ${BASE}V${axis}`} stroke="var(--color-rule)" />
      ))}
      {dating.nineTenths.pieces.map((p) => (
        <rect
          key={p.from}
          x={x(p.from)}
          y={BASE}
          width={Math.max(2, x(p.to) - x(p.from))}
          height={axis - BASE}
          fill="var(--color-blue-wash)"
        />
      ))}
    </>
  );
}

function Likeliest({ dating, width }: { dating: Dating; width: number }) {
  return (
    <g className="fill-ink2 text-[0.78125rem]">
      <text x={width} y={20} textAnchor="end">
        likeliest {dating.mostProbable}
      </text>
      <text x={width} y={37} textAnchor="end">
        as likely as not {yearsWhole(dating.half)}
      </text>
    </g>
  );
}

/** Room two years take beside one another in figures. */
const APART = 96;

function Intervals({ dating, at: { x, width } }: OnChart) {
  const { pieces } = dating.nineTenths;
  return pieces.map((p, i) => {
    const before = pieces[i - 1];
    const after = pieces[i + 1];
    return (
      <Interval
        key={p.from}
        width={width}
        x0={x(p.from)}
        x1={x(p.to)}
        from={!before || x(p.from) - x(before.to) > APART ? p.from : undefined}
        to={!after || x(after.from) - x(p.to) > APART ? p.to : undefined}
      />
    );
  });
}

function Years({ dating, at: { x, left, right, from, to, axis, isNarrow } }: OnChart) {
  return (
    <>
      <path d={`M${left} ${axis}H${right}`} stroke="currentColor" />
      {ticks(from, to, 2).map((y) => (
        <path
          key={y}
          d={`M${x(y)} ${axis}v${y % 20 === 0 ? 9 : y % 10 === 0 ? 6 : 3}`}
          stroke="currentColor"
          strokeWidth=".9"
        />
      ))}
      {ticks(from, to - (isNarrow ? 30 : 9), isNarrow ? 40 : 20).map((y) => (
        <text key={y} x={x(y)} y={axis + 21} textAnchor="middle" className="num fill-ink2 text-[0.78125rem]">
          {y}
        </text>
      ))}
      <text x={right} y={axis + 21} textAnchor="end" className="num fill-ink2 text-[0.78125rem]">
        {to >= dating.firstYear + dating.curve.length - 1 ? "today" : to}
      </text>
    </>
  );
}

function Heading({ dating }: { dating: Dating }) {
  const count = dating.nineTenths.pieces.reduce((sum, p) => sum + p.to - p.from + 1, 0);
  const broken = dating.nineTenths.pieces.length > 1;
  return (
    <>
      <h2 className="text-[1.1875rem]/[1.375rem]">The span</h2>
      <p
        className={`num mt-0.5 tracking-tight text-blue ${broken ? "text-[1.125rem]/5" : "text-[1.9375rem]/8"}`}
        data-testid="span"
      >
        {years(dating.nineTenths)}
      </p>
      <p className="text-[0.78125rem]/4 text-ink2">{count} years, nine chances in ten</p>
    </>
  );
}

/** The years worth drawing: all that hold anything, to whole decades. */
function window_(dating: Dating): { from: number; to: number } {
  const last = dating.firstYear + dating.curve.length - 1;
  const clueYears = withMark(dating)
    .flatMap((c) => [c.notBefore, c.notAfter])
    .filter((y) => y !== undefined);
  const low = Math.min(dating.notBefore, ...clueYears.filter((y) => y > 1780)) - 12;
  const from = Math.max(dating.firstYear, Math.floor(Math.min(low, last - 120) / 20) * 20);
  return { from, to: last };
}

const ticks = (from: number, to: number, every: number) => {
  const first = Math.ceil(from / every) * every;
  return Array.from(
    { length: Math.max(0, Math.floor((to - first) / every) + 1) },
    (_, i) => first + i * every,
  );
};

function Comb({
  dating,
  from,
  to,
  x,
}: {
  dating: Dating;
  from: number;
  to: number;
  x: (year: number) => number;
}) {
  const top = Math.max(...dating.curve);
  const inside = (year: number) => dating.nineTenths.pieces.some((p) => year >= p.from && year <= p.to);
  const lines = dating.curve
    .map((p, i) => ({ year: dating.firstYear + i, high: (p / top) * (BASE - TOP) }))
    .filter((l) => l.year >= from && l.year <= to);
  return (
    <g aria-hidden="true">
      {lines.map((l) => (
        <path
          key={l.year}
          d={`M${x(l.year)} ${BASE}v-64`}
          className="settle"
          style={{
            transformOrigin: `0 ${BASE}px`,
            transform: `scaleY(${Math.max(l.high, 0.8) / 64})`,
          }}
          stroke={inside(l.year) ? "var(--color-blue)" : "var(--color-edge)"}
          strokeWidth={inside(l.year) ? 2.4 : 1.2}
        />
      ))}
    </g>
  );
}

function Interval({
  x0,
  x1,
  from,
  to,
  width,
}: {
  x0: number;
  x1: number;
  from?: number;
  to?: number;
  width: number;
}) {
  const y = BASE + 12;
  return (
    <g>
      <path
        d={`M${x0} ${y - 7}v12M${x1} ${y - 7}v12M${x0} ${y}H${x1}`}
        stroke="var(--color-blue)"
        strokeWidth="2"
        fill="none"
      />
      <text x={x0 - 6} y={y + 5} textAnchor="end" className="num fill-blue text-[0.875rem] font-medium">
        {from}
      </text>
      <text x={x1 + 6} y={y + 5} className="num fill-blue text-[0.875rem] font-medium">
        {x1 + 40 < width && to}
      </text>
    </g>
  );
}

/** All that speaks, the mark first. */
const withMark = (d: Dating) => (d.mark ? [d.mark, ...d.clues] : d.clues);

const isDated = (c: Dating["clues"][number]) => c.notBefore !== undefined || c.notAfter !== undefined;

function ClueRow({ clue, y, at, onGo }: OfClue & { onGo: (station: string) => void }) {
  const colour = clue.inConflict ? "var(--color-lead)" : "currentColor";
  const high = at.isNarrow ? 24 : 8;
  return (
    // biome-ignore lint/a11y/useSemanticElements: a button cannot stand inside a drawing
    <g
      className="cursor-pointer"
      onClick={() => onGo(clue.station)}
      onKeyDown={onPressed(() => onGo(clue.station))}
      role="button"
      tabIndex={0}
      // Begins with what stands there, so that voice control finds it by what one reads.
      aria-label={`${clue.part} ${clue.value}, ${clue.label}, ${weight(clue)}`}
    >
      {clue.inConflict && (
        <rect x="0" y={y - high} width={at.width} height={high + 8} fill="var(--color-lead-wash)" />
      )}
      <ClueName clue={clue} y={y} at={at} colour={colour} />
      <Allowed clue={clue} y={y} at={at} colour={colour} />
      {!at.isNarrow && (
        <text
          aria-hidden="true"
          x={at.width}
          y={y + 4}
          textAnchor="end"
          className="voice text-[0.78125rem]"
          fill={clue.inConflict ? colour : "var(--color-ink3)"}
        >
          {weight(clue)}
        </text>
      )}
    </g>
  );
}

interface OfClue {
  clue: Dating["clues"][number];
  y: number;
  at: LaidOut;
}

function ClueName({ clue, y, at: { isNarrow, left, width }, colour }: OfClue & { colour: string }) {
  return (
    <foreignObject
      x={isNarrow ? left : 0}
      y={isNarrow ? y - 24 : y - 9}
      width={isNarrow ? width - 16 : LEFT - 12}
      height="18"
    >
      <p className="truncate px-1 text-[0.8125rem]/[1.125rem]" style={{ color: colour }}>
        <span className="font-semibold">{clue.part}</span> <span className="text-ink2">{clue.value}</span>
      </p>
    </foreignObject>
  );
}

/** The years a clue allows: an end within the drawing as a stroke with its year, an open one as an arrow. */
function Allowed({
  clue,
  y,
  at: { x, left, right, from, to, width },
  colour,
}: {
  clue: Dating["clues"][number];
  y: number;
  at: LaidOut;
  colour: string;
}) {
  const begins = clue.notBefore !== undefined && clue.notBefore > from;
  const ends = clue.notAfter !== undefined && clue.notAfter < to;
  const a = begins ? x(clue.notBefore as number) : left;
  const b = ends ? x(clue.notAfter as number) : right;
  return (
    <>
      <path
        d={`M${a} ${y}H${Math.max(a + 2, b)}`}
        stroke={colour}
        strokeWidth="2"
        strokeDasharray={clue.firmness === "soft" ? "5 3" : undefined}
      />
      {begins && (
        <End x={a} y={y} colour={colour} side={-1}>
          {clue.notBefore}
        </End>
      )}
      {ends && (
        <End x={b} y={y} colour={colour} side={1}>
          {b + 40 < width && clue.notAfter}
        </End>
      )}
      {clue.notAfter === undefined && <Arrow x={right} y={y} to={1} colour={colour} />}
      {clue.notBefore === undefined && <Arrow x={left} y={y} to={-1} colour={colour} />}
    </>
  );
}

function End({
  x,
  y,
  colour,
  side,
  children,
}: {
  x: number;
  y: number;
  colour: string;
  /** On which side of it its year stands. */
  side: 1 | -1;
  children: ReactNode;
}) {
  return (
    <>
      <path d={`M${x} ${y - 5}v10`} stroke={colour} strokeWidth="2" />
      <text
        aria-hidden="true"
        x={x + 6 * side}
        y={y + 4}
        textAnchor={side < 0 ? "end" : undefined}
        fill={colour}
        className="text-[0.78125rem]"
      >
        {children}
      </text>
    </>
  );
}

function Arrow({ x, y, to, colour }: { x: number; y: number; to: 1 | -1; colour: string }) {
  return (
    <path
      d={`M${x - to * 6} ${y - 3.4}L${x} ${y}L${x - to * 6} ${y + 3.4}`}
      stroke={colour}
      strokeWidth="1.3"
      fill="none"
    />
  );
}

const weight = (c: Dating["clues"][number]) =>
  c.medianShift === 0
    ? "changes nothing"
    : `${c.medianShift > 0 ? "later" : "earlier"} by ${Math.abs(c.medianShift)} y`;

const described = (d: Dating) =>
  `Likelihood of each year; nine chances in ten ${years(d.nineTenths)}, as likely as not ${years(d.half)}, likeliest ${d.mostProbable}`;

/** The same for those who would rather read a table. */
function AsTable({ dating }: { dating: Dating }) {
  return (
    <details className="no-print mt-1 text-[0.8125rem]">
      <summary className="min-h-6 cursor-pointer text-ink2">Every clue, with its reason</summary>
      <div className="overflow-x-auto">
        <table className="mt-1 w-full border-t border-ink text-left">
          <thead>
            <tr className="voice text-ink2">
              <th className="py-1 pr-3 font-normal">Part</th>
              <th className="pr-3 font-normal">Seen</th>
              <th className="pr-3 font-normal">Not before</th>
              <th className="pr-3 font-normal">Not after</th>
              <th className="pr-3 font-normal">Firmness</th>
              <th className="pr-3 font-normal">Moves the middle</th>
              <th className="pr-3 font-normal">Speaks</th>
              <th className="font-normal">Reason</th>
            </tr>
          </thead>
          <tbody>
            {withMark(dating).map((c) => (
              <AsRow key={c.feature} clue={c} />
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}

function AsRow({ clue: c }: Pick<OfClue, "clue">) {
  return (
    <tr className={`border-t border-rule align-top ${c.inConflict ? "text-lead" : ""}`}>
      <th scope="row" className="py-1 pr-3 font-semibold">
        {c.part}
      </th>
      <td className="pr-3">{c.value}</td>
      <td className="num pr-3">{c.notBefore ?? "\u2013"}</td>
      <td className="num pr-3">{c.notAfter ?? "\u2013"}</td>
      <td className="pr-3">{c.firmness ?? "\u2013"}</td>
      <td className="pr-3">{weight(c)}</td>
      <td className="pr-3">{c.country?.words ?? "of no country"}</td>
      <td className="min-w-[16rem] text-ink2">{c.why}</td>
    </tr>
  );
}
