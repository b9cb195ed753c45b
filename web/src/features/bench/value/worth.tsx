import type { Verdict } from "../../../api/types";
import { money, percent } from "../../../format";

type Value = Verdict["value"];
type Priced = Value & Required<Pick<Value, "currency" | "low" | "high" | "asItIs">>;

const isPriced = (v: Value): v is Priced => v.asItIs !== undefined && v.currency !== undefined;

/** What it would bring, how wide that is, and what keeps it wide. */
export function Worth({ value, onGo }: { value: Value; onGo: (station: string) => void }) {
  return (
    <div className="grid gap-x-6 gap-y-2 md:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <div>
        <p data-testid="value-summary">
          {isPriced(value) && <InWords value={value} />}
          <span className="text-ink2">
            {value.standsOn} An opinion; for insurance, tax and estates ask a licensed appraiser.
          </span>
        </p>
        {isPriced(value) && <Rule value={value} />}
      </div>
      {isPriced(value) && <Costs value={value} onGo={onGo} />}
    </div>
  );
}

function InWords({ value }: { value: Priced }) {
  const { asItIs: is, currency } = value;
  return (
    <>
      <span className="num text-[1.25rem] text-blue">{range(is.low, is.high, currency)}</span> in one sale of
      two, nine of ten {range(is.lowest, is.highest, currency)}, middle {money(is.middle, currency)}.{" "}
      {value.high !== is.high && `Were nothing done to it: ${range(value.low, value.high, currency)}. `}
    </>
  );
}

const range = (low: number, high: number, currency: string) =>
  `${money(low, currency)}\u2013${money(high, currency)}`;

const HIGH = 60;

/** The range on a rule of prices, doubling step by step, with what each sale says of this knife. */
function Rule({ value }: { value: Priced }) {
  const { asItIs } = value;
  const counted = value.sales.filter((s) => s.counted);
  const least = Math.min(asItIs.lowest, ...counted.map((s) => s.adjusted)) * 0.9;
  const most = Math.max(asItIs.highest, ...counted.map((s) => s.adjusted)) * 1.1;
  const x = (amount: number) => `${(100 * Math.log(amount / least)) / Math.log(most / least)}%`;
  return (
    <figure className="mt-1">
      <svg
        width="100%"
        height={HIGH}
        role="img"
        aria-label={`Nine sales in ten between ${range(asItIs.lowest, asItIs.highest, value.currency)}`}
      >
        <Range value={value} x={x} />
        {counted.map((s, i) => (
          <circle
            // biome-ignore lint/suspicious/noArrayIndexKey: a sale is known by its place
            key={i}
            cx={x(s.adjusted)}
            cy="12"
            r={2 + 7 * Math.sqrt(s.weight)}
            fill={s.trust < ODD ? "none" : "var(--color-edge)"}
            stroke="var(--color-ink)"
            strokeWidth="1"
          />
        ))}
      </svg>
      <figcaption className="text-[0.78125rem]/4 text-ink2">
        Above, what each sale says of this knife, the larger the more it counts
        {counted.some((s) => s.trust < ODD) && "; hollow where the others do not bear it out"}.
      </figcaption>
    </figure>
  );
}

/** Nine in ten as a thin line, one in two as a thick one, the middle as a stroke across, with their figures. */
function Range({ value: { asItIs, currency }, x }: { value: Priced; x: (amount: number) => string }) {
  const { lowest, low, middle, high, highest } = asItIs;
  return (
    <>
      <line x1={x(lowest)} x2={x(highest)} y1="30" y2="30" stroke="currentColor" strokeWidth="1.5" />
      <line x1={x(low)} x2={x(high)} y1="30" y2="30" stroke="var(--color-blue)" strokeWidth="7" />
      <line x1={x(middle)} x2={x(middle)} y1="22" y2="38" stroke="currentColor" strokeWidth="2" />
      {[lowest, middle, highest].map((amount) => (
        <text
          key={amount}
          x={x(amount)}
          y="54"
          textAnchor="middle"
          fill="currentColor"
          className="num text-[0.78125rem]"
        >
          {money(amount, currency)}
        </text>
      ))}
    </>
  );
}

/** Below this a sale is shown as one the others do not bear out. */
export const ODD = 0.4;

function Costs({ value, onGo }: { value: Value; onGo: (station: string) => void }) {
  return (
    <section aria-label="What keeps it wide" className="md:border-l md:border-rule md:pl-4">
      <h3 className="voice text-ink2">What keeps it wide</h3>
      <ul>
        {value.costs.map((c) => (
          <li
            key={c.of}
            className="grid grid-cols-[minmax(0,1fr)_2.5rem] gap-x-2 border-b border-rule py-0.5"
          >
            {c.station ? (
              <button
                type="button"
                className="min-h-6 text-left hover:underline"
                onClick={() => onGo(c.station as string)}
              >
                {c.label}
              </button>
            ) : (
              <span>{c.label}</span>
            )}
            <span className="num text-right">{percent(c.share)}%</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
