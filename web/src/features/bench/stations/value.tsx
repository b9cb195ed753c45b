import { useQuery } from "@tanstack/react-query";
import { type ReactNode, useState } from "react";
import { Link, useSearchParams } from "react-router";
import { api } from "../../../api/client";
import type { ComparableSale, Specimen, Verdict } from "../../../api/types";
import { money, percent, usualCurrency } from "../../../format";
import { SaleFields } from "../../sales/fields";
import type { StationProps } from "../panel";
import { problemAt } from "../problems";
import { Ladder, LeaveOut } from "../value/ladder";
import { PriceThen } from "../value/price-then";
import { TopPrice } from "../value/top-price";
import { Worth } from "../value/worth";
import { Rows } from "./rows";

const MOST_OF_BOOK = 8;

/** Sales of like knives, each weighted by its likeness, with every step shown. */
export function ValueStation({ knife, book }: StationProps) {
  const value = knife.verdict?.value;
  const own = knife.specimen.comparables;
  const [, setQuery] = useSearchParams();
  const [without, setWithout] = useState<string[]>([]);
  const onLeave = (id: string) =>
    setWithout((ids) => (ids.includes(id) ? ids.filter((o) => o !== id) : [...ids, id]));
  const onGo = (at: string) => setQuery({ at }, { replace: true });
  return (
    <div className="mt-1">
      {value && <Worth value={value} onGo={onGo} />}
      <HowOftenMet verdict={knife.verdict} />
      <LeftOut knife={knife.specimen} without={without} onAll={() => setWithout([])} />
      <OwnSales
        knife={knife}
        book={book}
        note={(i) => (
          <Ladder of={value?.sales[i]} currency={own[i]?.currency} without={without} onLeave={onLeave} />
        )}
      />
      {value && <FromTheBook value={value} own={own.length} without={without} onLeave={onLeave} />}
      {value?.currency && <TopPrice specimen={knife.specimen} currency={value.currency} />}
      {value && <PriceThen value={value} />}
    </div>
  );
}

/** How seldom such a knife is met, by what is on file and by the sales. */
function HowOftenMet({ verdict }: { verdict: Verdict | undefined }) {
  const told = verdict?.findings.filter((f) => f.station === "value").map((f) => f.text) ?? [];
  return told.length > 0 && <p className="mt-2 text-ink2">{told.join(" ")}</p>;
}

/** The sales that stand with this knife alone. */
function OwnSales({ knife, book, note }: StationProps & { note: (place: number) => ReactNode }) {
  const sales = knife.specimen.comparables;
  return (
    <Rows<ComparableSale>
      entries={sales}
      name="Sale"
      add="Add a sale"
      empty="No sales that stand with this knife alone. What counts for all knives belongs in the sales book."
      blank={{ described: "A like knife", price: 1, currency: usualCurrency(sales.at(-1)?.currency) }}
      note={note}
      change={(update) => knife.change((s) => ({ ...s, comparables: update(s.comparables) }))}
    >
      {(sale, set, i) => (
        <SaleFields
          sale={sale}
          set={set}
          book={book}
          problem={(field) => problemAt(knife.problems, `comparables[${i}].${field}`)}
        />
      )}
    </Rows>
  );
}

/** What the range would be without some of the sales. */
function LeftOut({ knife, without, onAll }: { knife: Specimen; without: string[]; onAll: () => void }) {
  const tried = useQuery({
    queryKey: ["left-out", knife, without],
    queryFn: ({ signal }) => api.examine({ specimen: knife, without }, signal),
    enabled: without.length > 0,
  });
  if (without.length === 0) return null;
  const value = tried.data?.value;
  return (
    <p role="status" className="mt-1 border-l-2 border-blue pl-2" data-testid="left-out">
      Without {without.length === 1 ? "one sale" : `${without.length} sales`}:{" "}
      {value ? rangeOf(value) : tried.isError ? tried.error.message : "working it out"}{" "}
      <button type="button" className="min-h-6 underline" onClick={onAll}>
        Count all again
      </button>
    </p>
  );
}

const rangeOf = ({ asItIs: is, currency, standsOn }: Verdict["value"]): string =>
  is && currency
    ? `${money(is.low, currency)}\u2013${money(is.high, currency)} in one sale of two, middle ${money(is.middle, currency)}.`
    : standsOn;

/** Sales of the whole collection that count for this knife, the weightiest first. */
function FromTheBook({ value, own, without, onLeave }: FromBook) {
  const sales = value.sales.slice(own);
  return (
    <section aria-labelledby="from-the-book" className="mt-3 border-t border-ink pt-1">
      <h3 id="from-the-book" className="font-semibold">
        From the sales book
      </h3>
      {sales.length === 0 && <p className="voice text-ink3">No sale in it counts for this knife yet.</p>}
      <ul>
        {sales.slice(0, MOST_OF_BOOK).map((s) => (
          <li key={s.id} className="flex items-baseline gap-x-4 border-b border-rule">
            <WhatItSays sale={s} currency={value.currency} />
            <LeaveOut sale={s} without={without} onLeave={onLeave} />
          </li>
        ))}
      </ul>
      <p className="mt-1">
        {sales.length > MOST_OF_BOOK && `And ${sales.length - MOST_OF_BOOK} that weigh less. `}
        <Link to="/sales" className="inline-block min-h-6 underline">
          The sales book
        </Link>
      </p>
    </section>
  );
}

interface FromBook {
  value: Verdict["value"];
  /** How many of the sales stand with the knife itself. */
  own: number;
  without: string[];
  onLeave: (id: string) => void;
}

function WhatItSays({
  sale,
  currency,
}: {
  sale: Verdict["value"]["sales"][number];
  currency: string | undefined;
}) {
  return (
    <details className="min-w-0 flex-1">
      <summary className="min-h-6 cursor-pointer py-0.5">
        {sale.described}
        <span className="text-ink2">
          , says {money(sale.adjusted, currency ?? "")}, {percent(sale.weight)}% of the middle
        </span>
      </summary>
      <p className="pb-1 text-ink2">
        <Ladder of={sale} currency={currency} />
      </p>
    </details>
  );
}
