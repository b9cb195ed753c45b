import { Link } from "react-router";
import type { LedgerLot } from "../../api/types";
import { coins } from "../../format";
import type { Step } from "./lot-steps";
import { useNames } from "./names";

/**
 * A lot knife by knife: what was paid stands out to the right, each knife that went takes its part of it
 * back, and the last line is what those that stayed have cost, left of nothing where more came back.
 */
export function LotPicture({ lot, steps, currency }: OfLot & { steps: Step[] }) {
  const least = Math.min(0, lot.net);
  const x = (amount: number) => (100 * (amount - least)) / (lot.cost - least || 1);
  return (
    <table className="mb-2 w-full">
      <caption className="sr-only">The lot, knife by knife</caption>
      <thead className="sr-only">
        <tr>
          <th>What</th>
          <th>Picture</th>
          <th>Paid or came back</th>
          <th>Still out of pocket</th>
        </tr>
      </thead>
      <tbody>
        <Line
          name="Paid for the lot, with postage and fees"
          from={x(0)}
          to={x(lot.cost)}
          zero={x(0)}
          tone="var(--color-ink2)"
          moved={coins(lot.cost, currency)}
          left={coins(lot.cost, currency)}
        />
        {steps.map((s) => (
          <Went key={s.knife.piece} step={s} currency={currency} x={x} />
        ))}
        <Stayed lot={lot} currency={currency} x={x} />
      </tbody>
    </table>
  );
}

type X = (amount: number) => number;

function Went({ step: s, currency, x }: { step: Step; currency: string; x: X }) {
  const { nameOf, hereOf } = useNames();
  return (
    <Line
      name={nameOf(s.knife)}
      knife={hereOf(s.knife)}
      went={s.went}
      from={x(s.after)}
      to={x(s.before)}
      zero={x(0)}
      tone="var(--color-ink3)"
      moved={coins(s.knife.back ?? 0, currency)}
      left={coins(s.after, currency)}
    />
  );
}

interface OfLot {
  lot: LedgerLot;
  currency: string;
}

/** What those that stayed have cost: the last line. */
function Stayed({ lot, currency, x }: OfLot & { x: (amount: number) => number }) {
  const { nameOf, hereOf } = useNames();
  const kept = lot.knives.filter((k) => k.out === undefined);
  if (kept.length === 0) return null;
  return (
    <Line
      name={kept.length === 1 ? kept.map(nameOf).join() : `The ${kept.length} that stayed`}
      knife={kept.length === 1 && kept[0] ? hereOf(kept[0]) : undefined}
      from={x(0)}
      to={x(lot.net)}
      zero={x(0)}
      tone={lot.net < 0 ? "var(--color-ink)" : "var(--color-blue)"}
      moved=""
      left={coins(lot.net, currency)}
      isEnd
    />
  );
}

interface Drawn {
  name: string;
  /** Where it is one that is catalogued. */
  knife?: string;
  went?: string;
  from: number;
  to: number;
  zero: number;
  tone: string;
  moved: string;
  left: string;
  isEnd?: boolean;
}

function Line(line: Drawn) {
  const { name, knife, went, moved, left, isEnd } = line;
  return (
    <tr className={isEnd ? "border-t border-ink font-semibold" : ""}>
      <td className="w-[34%] py-0.5 pr-3 text-[0.8125rem] max-sm:w-auto">
        {knife ? (
          <Link to={`/bench/${knife}`} className="inline-block min-h-6 underline">
            {name}
          </Link>
        ) : (
          name
        )}
        {went && <span className="num text-ink2"> {went}</span>}
        <span className="relative block h-3 sm:hidden">
          <Bar {...line} />
        </span>
      </td>
      <td className="relative max-sm:hidden">
        <Bar {...line} />
      </td>
      <td className="num w-[6.5rem] pl-2 text-right whitespace-nowrap max-sm:w-auto">{moved}</td>
      <td className="num w-[6.5rem] pl-2 text-right whitespace-nowrap max-sm:w-auto">{left}</td>
    </tr>
  );
}

function Bar({ from, to, zero, tone, isEnd }: Drawn) {
  const [begin, end, nothing] = [from, to, zero].map((at) => `${at}%`);
  return (
    <svg className="absolute inset-0 h-full w-full" aria-hidden="true">
      <line x1={begin} x2={end} y1="50%" y2="50%" stroke={tone} strokeWidth="8" />
      {/* Where the next line begins. */}
      {!isEnd && <line x1={begin} x2={begin} y1="50%" y2="100%" stroke={tone} />}
      <line x1={nothing} x2={nothing} y1="0" y2="100%" stroke="currentColor" />
    </svg>
  );
}
