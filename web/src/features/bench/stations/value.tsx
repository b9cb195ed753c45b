import type { ComparableSale } from "../../../api/types";
import { money, percent } from "../../../format";
import { Field } from "../../../ui/field";
import { Select } from "../../../ui/select";
import { TextField } from "../../../ui/text-field";
import type { StationProps } from "../panel";
import { problemAt } from "../problems";
import { MoneyEntry } from "./money-entry";
import { Rows } from "./rows";

/** Sales of like knives, each weighted by its likeness, with every step shown. */
export function ValueStation({ knife, book }: StationProps) {
  const value = knife.verdict?.value;
  const handles = book.questions.find((q) => q.id === "handle_material")?.answers ?? [];
  const named = (all: { id: string; name: string }[]) => all.map((o) => ({ id: o.id, label: o.name }));
  const o = knife.verdict?.originality;
  const taken =
    o?.low !== undefined && o.high !== undefined && value?.currency && percent(o.worth) < 100
      ? `${money(o.low, value.currency)}\u2013${money(o.high, value.currency)}`
      : undefined;
  return (
    <div className="mt-1">
      <p data-testid="value-summary">
        {value?.low !== undefined &&
        value.high !== undefined &&
        value.middle !== undefined &&
        value.currency ? (
          <>
            <span className="num text-[1.25rem] text-blue">
              {money(value.low, value.currency)}
              {"\u2013"}
              {money(value.high, value.currency)}
            </span>
            , middle {money(value.middle, value.currency)}.{" "}
          </>
        ) : null}
        <span className="text-ink2">
          {value?.summary}
          {taken && ` With what may have been done to it, ${taken}.`} An opinion; for insurance, tax and
          estates ask a licensed appraiser.
        </span>
      </p>
      <Rows<ComparableSale>
        entries={knife.specimen.comparables}
        name="Sale"
        add="Add a sale"
        empty="No sales of like knives yet. Three make a range."
        blank={{
          described: "A like knife",
          price: 1,
          currency: knife.specimen.comparables.at(-1)?.currency ?? "GBP",
        }}
        note={(i) => steps(value?.sales[i], knife.specimen.comparables[i]?.currency ?? "")}
        onChange={(comparables) => knife.change((s) => ({ ...s, comparables }))}
      >
        {(sale, set, i) => (
          <>
            <TextField
              label="What was sold"
              className="col-span-2"
              maxLength={200}
              value={sale.described}
              onCommit={(described) => described && set({ ...sale, described })}
            />
            <MoneyEntry
              label="Price"
              amount={sale.price}
              currency={sale.currency}
              problem={
                problemAt(knife.problems, `comparables[${i}].price`) ??
                problemAt(knife.problems, `comparables[${i}].currency`)
              }
              onChange={(price, currency) =>
                set({ ...sale, price: price ?? 0, currency: currency ?? sale.currency })
              }
            />
            <TextField
              label="When"
              placeholder="2025-05"
              problem={problemAt(knife.problems, `comparables[${i}].sold`)}
              value={sale.sold}
              onCommit={(sold) => set({ ...sale, sold })}
            />
            {(
              [
                ["Maker", "maker", named(book.makers)],
                ["Pattern", "pattern", named(book.patterns)],
                ["Grade", "grade", book.condition.grades],
                ["Handle", "handle", handles],
              ] as const
            ).map(([label, key, choices]) => (
              <Field key={key} label={label}>
                {(ids) => (
                  <Select
                    {...ids}
                    value={sale[key]}
                    nothing="not known"
                    options={[...choices]}
                    onChange={(id) => set({ ...sale, [key]: id })}
                  />
                )}
              </Field>
            ))}
          </>
        )}
      </Rows>
    </div>
  );
}

type Weighed = NonNullable<StationProps["knife"]["verdict"]>["value"]["sales"][number];

function steps(weighed: Weighed | undefined, currency: string): string {
  if (!weighed) return "";
  if (!weighed.counted) return "Shown and not counted: it is in another currency than most.";
  const likeness = weighed.steps.map((s) => `${s.what} ${percent(s.likeness)}%`).join(", ");
  const factor =
    weighed.gradeFactor === 1 ? "" : `, brought to this grade \u00d7 ${weighed.gradeFactor.toFixed(2)}`;
  return `Counts as ${money(weighed.adjusted, currency)}${factor}, with weight ${percent(weighed.weight)}%: alike in ${likeness}.`;
}
