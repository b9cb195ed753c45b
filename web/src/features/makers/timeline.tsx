import { type ReactNode, useRef } from "react";
import { Link } from "react-router";
import type { MakersPack, OneMaker } from "../../api/types";
import { useWidth } from "../../ui/use-width";
import { marked } from "./search";

const HIGH = 29;
/** Where whose it was and who made for it stand, below the marks. */
const OWNERS = 22.5;
const CONTRACTS = 26.5;
const EDGE = 14;

type OneOfPack = OneMaker & { pack: MakersPack };

/** Makers under one another on one axis; each mark is a bar, each change of owner or model a stroke. */
export function Timeline({ makers, chosen, search }: OfLine) {
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box, 560);
  const first = Math.floor((Math.min(...makers.map((m) => m.from)) - 5) / 10) * 10;
  const last = Math.ceil((Math.max(...makers.map((m) => m.to)) + 5) / 10) * 10;
  const x = (year: number) => EDGE + ((year - first) / (last - first)) * (width - 2 * EDGE);
  const every = (last - first) / 20 > width / 46 ? 40 : 20;
  const decades = Array.from({ length: (last - first) / 10 + 1 }, (_, i) => first + 10 * i);
  return (
    <div ref={box}>
      <ol>
        {makers.map((m) => (
          <li key={`${m.pack.id} ${m.id}`}>
            <OneOfThem maker={m} isChosen={m === chosen}>
              <YearsOf maker={m} at={{ width, x, decades }} search={search} />
            </OneOfThem>
          </li>
        ))}
      </ol>
      <svg width={width} height="18" className="num block border-t border-ink" aria-hidden="true">
        {decades
          .filter((y) => y % every === 0)
          .map((y) => (
            <text key={y} x={x(y)} y="13" fontSize="12" textAnchor="middle" fill="var(--color-ink2)">
              {y}
            </text>
          ))}
      </svg>
    </div>
  );
}

interface OfLine {
  makers: OneOfPack[];
  chosen: OneOfPack | undefined;
  search: string;
}

function OneOfThem({
  maker: m,
  isChosen,
  children,
}: {
  maker: OneOfPack;
  isChosen: boolean;
  children: ReactNode;
}) {
  return (
    <Link
      to={`/makers/${m.id}?pack=${m.pack.id}`}
      data-maker={m.id}
      aria-current={isChosen ? "true" : undefined}
      className="block border-t border-rule pt-1 hover:bg-lit aria-[current=true]:bg-blue-wash"
    >
      <span className="flex flex-wrap items-baseline justify-between gap-x-3 px-2">
        <span className="font-serif text-[0.9375rem]/5 font-medium">{m.name}</span>
        <span className="text-ink2">
          {m.place && `${m.place}, `}
          <span className="num">{`${m.from}\u2013${m.to}`}</span>
        </span>
      </span>
      {children}
    </Link>
  );
}

interface At {
  width: number;
  x: (year: number) => number;
  decades: number[];
}

/** The marks of a maker as bars, its changes as strokes, its owners and who made for it below. */
function YearsOf({
  maker: m,
  at: { width, x, decades },
  search,
}: {
  maker: OneMaker;
  at: At;
  search: string;
}) {
  return (
    <svg width={width} height={HIGH} className="block" role="img" aria-label={marksInWords(m)}>
      {decades.map((y) => (
        <path key={y} d={`M${x(y)} 0V${HIGH}`} stroke="var(--color-rule)" strokeWidth=".6" />
      ))}
      {m.marks.map((mark, i) => (
        <Bar
          key={mark.id}
          mark={mark}
          x={x}
          y={4 + (i % 4) * 4.4}
          lit={search === "" || marked(mark, search)}
        />
      ))}
      <Behind history={m.history} x={x} />
      {m.changes.map((y) => (
        <path key={y} d={`M${x(y)} 1V21`} stroke="var(--color-lead)" strokeWidth="1.2" />
      ))}
    </svg>
  );
}

/** Whose it was, and who made for it. */
function Behind({ history, x }: Pick<OneMaker, "history"> & Pick<At, "x">) {
  return (
    <>
      {history.owners.map((o) => (
        <path
          key={`${o.name} ${o.from}`}
          d={`M${x(o.from)} ${OWNERS - 1.5}v3M${x(o.from)} ${OWNERS}H${x(o.to + 1) - 1.5}`}
          stroke="var(--color-ink)"
          strokeWidth="1"
        >
          <title>{`${o.name}, ${o.from}\u2013${o.to}`}</title>
        </path>
      ))}
      {history.contracts.map((c) => (
        <path
          key={`${c.by} ${c.from}`}
          d={`M${x(c.from)} ${CONTRACTS}H${x(c.to + 1) - 1.5}`}
          stroke="var(--color-ink)"
          strokeWidth="1.6"
          strokeDasharray="1.6 1.6"
        >
          <title>{`made by ${c.by}, ${c.from}\u2013${c.to}`}</title>
        </path>
      ))}
    </>
  );
}

const marksInWords = (m: OneMaker) =>
  `${m.marks.length} marks: ${m.marks.map((k) => `${k.lines.join(" ")} ${k.from} to ${k.to}`).join("; ")}`;

// Dashed as far as either end may be out.
function Bar({
  mark,
  x,
  y,
  lit,
}: {
  mark: OneMaker["marks"][number];
  x: (year: number) => number;
  y: number;
  lit: boolean;
}) {
  return (
    <g stroke={lit ? "var(--color-blue)" : "var(--color-edge)"}>
      <path
        d={`M${x(mark.from - mark.give)} ${y}H${x(mark.to + 1 + mark.give)}`}
        strokeWidth="1"
        strokeDasharray="2 1.6"
      />
      <path d={`M${x(mark.from)} ${y}H${x(mark.to + 1)}`} strokeWidth="2.8" />
    </g>
  );
}
