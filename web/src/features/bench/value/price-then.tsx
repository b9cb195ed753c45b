import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../../api/client";
import type { Verdict } from "../../../api/types";
import { money } from "../../../format";
import { Field } from "../../../ui/field";
import { Select } from "../../../ui/select";

/** What it cost then, in money of today, and how its value grew since. */
export function PriceThen({ value }: { value: Verdict["value"] }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <details className="border-t border-rule" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="min-h-6 cursor-pointer py-1 font-semibold">What it cost then</summary>
      {isOpen && <Asked value={value} />}
    </details>
  );
}

function Asked({ value }: { value: Verdict["value"] }) {
  const countries = useQuery({
    queryKey: ["price-countries"],
    queryFn: api.priceCountries,
    staleTime: Number.POSITIVE_INFINITY,
  });
  const [country, setCountry] = useState("us");
  const [amount, setAmount] = useState("");
  const [year, setYear] = useState("");
  const [unit, setUnit] = useState<string>();
  const then = useMutation({ mutationFn: api.priceThen });
  const of = countries.data?.find((c) => c.id === country);
  const there = of?.units.filter((u) => u.from <= Number(year) && Number(year) <= u.to) ?? [];
  return (
    <>
      <form
        className="grid grid-cols-2 items-end gap-x-5 gap-y-1 sm:grid-cols-4"
        onSubmit={(e) => {
          e.preventDefault();
          then.mutate({ country, amount, year: Number(year), unit, worth: value.asItIs?.middle });
        }}
      >
        <Field label="Where">
          {(ids) => (
            <Select
              {...ids}
              value={country}
              nothing="country"
              options={countries.data ?? []}
              onChange={(id) => id && setCountry(id)}
            />
          )}
        </Field>
        <Field label="Price then">
          {(ids) => (
            <input
              {...ids}
              className="entry num"
              value={amount}
              placeholder="1.50"
              onChange={(e) => setAmount(e.target.value)}
            />
          )}
        </Field>
        <Field label="Year">
          {(ids) => (
            <input
              {...ids}
              className="entry num"
              inputMode="numeric"
              value={year}
              placeholder={of ? `${of.from} on` : ""}
              onChange={(e) => {
                setYear(e.target.value);
                setUnit(undefined);
              }}
            />
          )}
        </Field>
        {there.length > 1 && (
          <Field label="Money">
            {(ids) => (
              <Select
                {...ids}
                value={unit ?? there[0]?.name}
                nothing="money"
                options={there.map((u) => ({ id: u.name, label: u.name }))}
                onChange={setUnit}
              />
            )}
          </Field>
        )}
        <button type="submit" className="press" disabled={!amount || !year} aria-busy={then.isPending}>
          In money of today
        </button>
      </form>
      {then.isError && (
        <p role="alert" className="mt-1 text-lead">
          {then.error.message}
        </p>
      )}
      {then.data && <Told told={then.data} asked={amount} value={value} />}
    </>
  );
}

function Told({
  told: { today, growth },
  asked,
  value,
}: {
  told: Awaited<ReturnType<typeof api.priceThen>>;
  asked: string;
  value: Verdict["value"];
}) {
  const grew = growth !== undefined && value.currency === today.currency ? growth : undefined;
  return (
    <p role="status" className="mt-1" data-testid="price-then">
      {asked} {today.unit} of {today.from} are about {money(today.amount, today.currency)} in money of{" "}
      {today.year}, give or take {today.within.toFixed(1)}% (how sure: {today.sure}). {today.title},{" "}
      {today.country}; what things cost in general, not what a knife is worth.
      {grew !== undefined &&
        ` The middle of its range is ${Math.abs(grew * 100).toFixed(1)}% a year ${grew < 0 ? "below" : "above"} that.`}
    </p>
  );
}
