import type { ReadableEntry } from "../../api/types";

const FIRST = 1840;
const ROW = 8;

/** All of them are no higher than this, however many. */
const MOST_HIGH = 900;

/** All spans under one another on one axis. */
export function SpansBelow({ knives, found }: { knives: ReadableEntry[]; found: Set<string> }) {
  const dated = knives
    .filter((k) => k.summary.span)
    .sort((a, b) => (a.summary.span?.pieces[0]?.from ?? 0) - (b.summary.span?.pieces[0]?.from ?? 0));
  const last = new Date().getFullYear();
  const x = (year: number) => (100 * (Math.max(FIRST, year) - FIRST)) / (last - FIRST);
  const open = knives.length - dated.length;
  return (
    <section aria-label="The spans" className="mt-3 mb-4 grid gap-x-6 md:grid-cols-[12rem_minmax(0,1fr)]">
      <div>
        <h2 className="text-[1.1875rem]/[1.375rem]">The spans</h2>
        <p className="text-ink2">
          {dated.length} dated{open > 0 ? `, ${open} still to do` : ""}.
        </p>
      </div>
      <div>
        <Spans dated={dated} found={found} x={x} />
        <div className="num relative h-5 text-[0.78125rem] text-ink2" aria-hidden="true">
          {[1860, 1880, 1900, 1920, 1940, 1960, 1980, 2000].map((y, i) => (
            <span
              key={y}
              className={`absolute -translate-x-1/2 ${i % 2 ? "" : "max-sm:hidden"}`}
              style={{ left: `${x(y)}%` }}
            >
              {y}
            </span>
          ))}
          <span className="absolute right-0">today</span>
        </div>
      </div>
    </section>
  );
}

/** Two paths however many there are: what was found, and the others. */
function Spans({
  dated,
  found,
  x,
}: {
  dated: ReadableEntry[];
  found: Set<string>;
  x: (year: number) => number;
}) {
  const row = Math.min(ROW, MOST_HIGH / Math.max(1, dated.length));
  const high = dated.length * row + 6;
  const paths = { found: "", others: "" };
  dated.forEach((k, i) => {
    for (const p of k.summary.span?.pieces ?? [])
      paths[found.has(k.id) ? "found" : "others"] += `M${x(p.from)} ${i * row + 5}H${x(p.to + 1)}`;
  });
  const stroke = { vectorEffect: "non-scaling-stroke" } as const;
  return (
    <svg
      width="100%"
      height={high}
      viewBox={`0 0 100 ${high}`}
      preserveAspectRatio="none"
      role="img"
      aria-label={`${dated.length} spans from ${FIRST} to today`}
    >
      <path d={paths.others} stroke="var(--color-edge)" strokeWidth={Math.min(1.6, row)} {...stroke} />
      <path
        d={paths.found}
        stroke="var(--color-blue)"
        strokeWidth={Math.max(0.5, Math.min(3.5, row / 2))}
        {...stroke}
      />
      <path d={`M0 ${high - 0.5}H100`} stroke="currentColor" {...stroke} />
    </svg>
  );
}
