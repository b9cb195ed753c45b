import type { Verdict } from "../../../api/types";
import { money, percent } from "../../../format";
import { ODD } from "./worth";

type Weighed = Verdict["value"]["sales"][number];

const HIGH = 26;
const STEP = 26;

/** From the price of a sale to this knife, step by step, and how much it counts. */
export function Ladder({
  of,
  currency,
  without = [],
  onLeave,
}: {
  of: Weighed | undefined;
  currency: string | undefined;
  /** Sales that are left out to see what they do. */
  without?: string[];
  onLeave?: (id: string) => void;
}) {
  if (!of || !currency) return null;
  if (!of.counted) return <>Shown and not counted: it is in another currency than most.</>;
  const priced = of.steps.filter((s) => s.times !== 1);
  const alike = of.steps.filter((s) => s.likeness < 1);
  return (
    <span className="flex items-center gap-x-3">
      {priced.length > 0 && <Stairs times={priced.map((s) => s.times)} />}
      <span>
        {money(of.price, currency)}
        {priced.map((s) => `, ${s.what} \u00d7 ${s.times.toFixed(2)}`)}
        {priced.length > 0 && `, says ${money(of.adjusted, currency)}`}.{" "}
        {alike.length > 0
          ? `Alike in ${alike.map((s) => `${s.what} ${percent(s.likeness)}%`).join(", ")}`
          : "Alike in all that is told"}
        ; its part in the middle {percent(of.weight)}%
        {of.trust < ODD && ", hardly trusted, as the others do not bear it out"}.
        {onLeave && (
          <>
            {" "}
            <LeaveOut sale={of} without={without} onLeave={onLeave} />
          </>
        )}
      </span>
    </span>
  );
}

/** Counts a sale no more, to see what it does, or again. */
export function LeaveOut({
  sale,
  without,
  onLeave,
}: {
  sale: Weighed;
  without: string[];
  onLeave: (id: string) => void;
}) {
  const isOut = without.includes(sale.id);
  return (
    <button
      type="button"
      className="min-h-6 shrink-0 underline"
      aria-pressed={isOut}
      aria-label={`${isOut ? "Left out" : "Leave out"}: ${sale.described}`}
      onClick={() => onLeave(sale.id)}
    >
      {isOut ? "Left out" : "Leave out"}
    </button>
  );
}

/** Prices step by step, on a scale where doubling is always as high. */
function Stairs({ times }: { times: number[] }) {
  const at = [0];
  for (const t of times) at.push((at.at(-1) ?? 0) + Math.log(t));
  const low = Math.min(...at);
  const high = Math.max(...at);
  const y = (v: number) => HIGH - 3 - ((v - low) / Math.max(high - low, 0.3)) * (HIGH - 6);
  const path = at.map((v, i) => `${i === 0 ? "M" : "V"}${i === 0 ? `0 ${y(v)}` : y(v)}H${(i + 1) * STEP}`);
  return (
    <svg width={at.length * STEP} height={HIGH} aria-hidden="true" className="shrink-0">
      <path d={path.join("")} fill="none" stroke="currentColor" strokeWidth="2" />
    </svg>
  );
}
