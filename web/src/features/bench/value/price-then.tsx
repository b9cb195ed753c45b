import { useMutation, useQuery } from "@tanstack/react-query";
import { type ComponentProps, useState } from "react";
import { api } from "../../../api/client";
import type { Verdict } from "../../../api/types";
import { money } from "../../../format";
import { Field } from "../../../ui/field";
import { SelectField } from "../../../ui/select-field";

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
  const [price, setPrice] = useState<Price>({ country: "us", amount: "", year: "" });
  const then = useMutation({ mutationFn: api.priceThen });
  const { amount, year } = price;
  return (
    <>
      <form
        className="grid grid-cols-2 items-end gap-x-5 gap-y-1 sm:grid-cols-4"
        onSubmit={(e) => {
          e.preventDefault();
          then.mutate({ ...price, year: Number(year), worth: value.asItIs?.middle });
        }}
      >
        <PriceFields
          countries={countries.data ?? []}
          price={price}
          set={(now) => setPrice({ ...price, ...now })}
        />
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

/** A price of a year as it was written, in one of the moneys of that year. */
interface Price {
  country: string;
  amount: string;
  year: string;
  unit?: string;
}

function PriceFields({
  countries,
  price: { country, amount, year, unit },
  set,
}: {
  countries: Awaited<ReturnType<typeof api.priceCountries>>;
  price: Price;
  set: (now: Partial<Price>) => void;
}) {
  const of = countries.find((c) => c.id === country);
  const there = of?.units.filter((u) => u.from <= Number(year) && Number(year) <= u.to) ?? [];
  return (
    <>
      <SelectField
        label="Where"
        value={country}
        nothing="country"
        options={countries}
        onChange={(id) => id && set({ country: id })}
      />
      <Typed label="Price then" value={amount} placeholder="1.50" onType={(now) => set({ amount: now })} />
      <Typed
        label="Year"
        value={year}
        placeholder={of ? `${of.from} on` : ""}
        inputMode="numeric"
        onType={(now) => set({ year: now, unit: undefined })}
      />
      {there.length > 1 && (
        <SelectField
          label="Money"
          value={unit ?? there[0]?.name}
          nothing="money"
          options={there.map((u) => ({ id: u.name, label: u.name }))}
          onChange={(now) => set({ unit: now })}
        />
      )}
    </>
  );
}

function Typed({
  label,
  onType,
  ...entry
}: { label: string; onType: (text: string) => void } & ComponentProps<"input">) {
  return (
    <Field label={label}>
      {(ids) => <input {...ids} {...entry} className="entry num" onChange={(e) => onType(e.target.value)} />}
    </Field>
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
