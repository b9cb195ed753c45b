import { Link } from "react-router";
import type { Portrait } from "../../api/types";
import { within } from "./asked";

type Decade = Portrait["decades"][number];

const HIGH = 132;

/** When the knives were made: a column for each decade, with how far the number is open. */
export function Decades({ portrait, asked }: { portrait: Portrait; asked: URLSearchParams }) {
  const decades = told(portrait.decades);
  const most = Math.max(...decades.map((d) => d.high), 1);
  if (decades.length === 0) return null;
  return (
    <section aria-labelledby="decades-name" className="mt-3">
      <h2 id="decades-name" className="text-[1.1875rem]/[1.375rem]">
        When they were made
      </h2>
      <ol className="mt-2 flex items-end overflow-x-auto pt-5">
        {decades.map((d) => (
          <li key={d.from} className="min-w-11 flex-1">
            <Link
              to={within(asked, { q: `${d.from}-${d.from + 9}` })}
              className="group block"
              aria-label={`${d.from}s: ${count(d)}, nine times in ten ${d.low === d.high ? d.low : `${d.low} to ${d.high}`}`}
            >
              <Column decade={d} most={most} />
              <span
                className="num block text-center text-[0.78125rem]/5 whitespace-nowrap text-ink2"
                aria-hidden="true"
              >
                {d.from}s
              </span>
            </Link>
          </li>
        ))}
      </ol>
      <p className="mt-1 max-w-[46rem] text-[0.8125rem] text-ink2">
        A knife whose years are open counts in each decade by its share. The thin line shows how many there
        are nine times in ten, where the knives do not err together.
      </p>
    </section>
  );
}

function Column({ decade: d, most }: { decade: Portrait["decades"][number]; most: number }) {
  const y = (n: number) => (HIGH * n) / most;
  return (
    <span className="relative block border-b border-ink" style={{ height: HIGH }} aria-hidden="true">
      <span
        className="absolute bottom-0 left-1/2 w-3/5 -translate-x-1/2 bg-ink group-hover:bg-blue group-focus-visible:bg-blue"
        style={{ height: y(d.expected) }}
      />
      {d.high > d.low && (
        <span
          className="absolute left-1/2 w-2.5 -translate-x-1/2 border-y border-l-0 border-blue"
          style={{ bottom: y(d.low), height: y(d.high) - y(d.low) }}
        >
          <span className="absolute inset-y-0 left-1/2 border-l border-blue" />
        </span>
      )}
      <span
        className="num absolute left-0 w-full text-center text-[0.78125rem]/4"
        style={{ bottom: y(Math.max(d.high, d.expected)) + 2 }}
      >
        {d.high > 0 ? count(d) : ""}
      </span>
    </span>
  );
}

/** Without those at either end in which there is hardly a chance of one. */
function told(decades: Decade[]): Decade[] {
  const there = decades.map((d) => d.high > 0);
  return decades.slice(Math.max(0, there.indexOf(true)), there.lastIndexOf(true) + 1);
}

const count = ({ expected, low, high }: Decade) =>
  low === high && Math.abs(expected - low) < 0.05
    ? low.toLocaleString()
    : expected.toLocaleString(undefined, { maximumFractionDigits: expected < 10 ? 1 : 0 });
