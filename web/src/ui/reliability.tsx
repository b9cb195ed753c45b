import type { Calibrated } from "../api/types";
import { percent } from "../format";

type Reliability = NonNullable<Calibrated["report"]>["maker"];

const SIZE = 240;
const PAD = 30;

/** What was said along, what was so up; on the line both are the same. */
export function ReliabilityDrawn({ name, found, of }: { name: string; found: Reliability; of: string }) {
  const most = Math.max(...found.tenths.map((t) => t.count));
  return (
    <section>
      <h2 className="text-[1.1875rem]/[1.375rem]">{name}</h2>
      <p className="text-ink2">
        Out by <span className="num">{(100 * found.expectedError).toFixed(1)}</span> in a hundred, in the
        mean.
      </p>
      <svg
        viewBox={`0 0 ${SIZE} ${SIZE}`}
        className="mt-1 w-full max-w-[20rem]"
        role="img"
        aria-label={found.tenths
          .map((t) => `said ${percent(t.said)}%, was ${percent(t.was)}%, ${t.count} ${of}`)
          .join("; ")}
      >
        <Axes />
        {found.tenths.map((t) => (
          <circle
            key={t.from}
            cx={x(t.said)}
            cy={y(t.was)}
            r={2 + 7 * Math.sqrt(t.count / most)}
            fill="var(--color-blue)"
            fillOpacity=".75"
          />
        ))}
      </svg>
    </section>
  );
}

const x = (p: number) => PAD + p * (SIZE - PAD - 8);
const y = (p: number) => SIZE - PAD - p * (SIZE - PAD - 8);

function Axes() {
  return (
    <>
      <path d={`M${x(0)} ${y(0)}L${x(1)} ${y(1)}`} stroke="var(--color-edge)" strokeDasharray="4 3" />
      <path d={`M${x(0)} ${y(1)}V${y(0)}H${x(1)}`} fill="none" stroke="currentColor" />
      {[0, 0.5, 1].map((p) => (
        <g key={p} className="num fill-ink2 text-[0.6875rem]">
          <text x={x(p)} y={SIZE - PAD + 14} textAnchor="middle">
            {100 * p}
          </text>
          <text x={PAD - 5} y={y(p) + 4} textAnchor="end">
            {100 * p}
          </text>
        </g>
      ))}
      <text x={x(1)} y={SIZE - 4} textAnchor="end" className="fill-ink2 text-[0.6875rem]">
        said, in a hundred
      </text>
    </>
  );
}
