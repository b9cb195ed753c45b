import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api } from "../../api/client";
import { coins } from "../../format";

/** What was spent and what came back, year by year, out of the ledger. */
export function Spent() {
  const ledger = useQuery({ queryKey: ["ledger"], queryFn: () => api.ledger() });
  const years = (ledger.data?.years ?? []).filter((y) => y.spent > 0 || y.back > 0);
  if (!ledger.data || years.length === 0) return null;
  const { currency } = ledger.data;
  const most = Math.max(...years.flatMap((y) => [y.spent, y.back]), 1);
  return (
    <section aria-labelledby="spent-name" className="break-inside-avoid">
      <h2 id="spent-name" className="text-[1.1875rem]/[1.375rem]">
        Spent and got back
      </h2>
      <ul className="mt-1">
        {years.toReversed().map((y) => (
          <li
            key={y.year}
            className="grid grid-cols-[3rem_minmax(0,1fr)] items-center gap-x-2 border-b border-rule py-1"
          >
            <span className="num">{y.year}</span>
            <span>
              <Bar of={y.spent} most={most} text={`${coins(y.spent, currency)} spent`} className="bg-ink" />
              <Bar of={y.back} most={most} text={`${coins(y.back, currency)} back`} className="bg-blue" />
            </span>
          </li>
        ))}
      </ul>
      <Link to="/ledger" className="mt-1 inline-block min-h-6 underline">
        To the ledger
      </Link>
    </section>
  );
}

function Bar({ of, most, text, className }: { of: number; most: number; text: string; className: string }) {
  return (
    <span className="flex items-center gap-2">
      <span className="w-1/2">
        <span
          className={`block h-2 ${className}`}
          style={{ width: `${(100 * of) / most}%` }}
          aria-hidden="true"
        />
      </span>
      <span className="num text-[0.78125rem]/4 text-ink2">{text}</span>
    </span>
  );
}
