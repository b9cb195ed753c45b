import { useSearchParams } from "react-router";
import type { Book, ComparableSale, Problem } from "../../../api/types";
import { Field } from "../../../ui/field";
import { type Option, Select } from "../../../ui/select";
import { TextField } from "../../../ui/text-field";
import type { StationProps } from "../panel";
import { problemAt } from "../problems";
import { Ladder } from "../value/ladder";
import { Worth } from "../value/worth";
import { MoneyEntry } from "./money-entry";
import { Rows } from "./rows";

/** Sales of like knives, each weighted by its likeness, with every step shown. */
export function ValueStation({ knife, book }: StationProps) {
  const value = knife.verdict?.value;
  const [, setQuery] = useSearchParams();
  const onGo = (at: string) => setQuery({ at }, { replace: true });
  return (
    <div className="mt-1">
      {value && <Worth value={value} onGo={onGo} />}
      <Rows<ComparableSale>
        entries={knife.specimen.comparables}
        name="Sale"
        add="Add a sale"
        empty="No sales of like knives yet. The first gives a width; three make a range."
        blank={{
          described: "A like knife",
          price: 1,
          currency: knife.specimen.comparables.at(-1)?.currency ?? "GBP",
        }}
        note={(i) => <Ladder of={value?.sales[i]} sale={knife.specimen.comparables[i]} />}
        onChange={(comparables) => knife.change((s) => ({ ...s, comparables }))}
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
    </div>
  );
}

type Choice = "maker" | "pattern" | "grade" | "handle" | "box";

function SaleFields({
  sale,
  set,
  book,
  problem,
}: {
  sale: ComparableSale;
  set: (changed: ComparableSale) => void;
  book: Book;
  problem: (field: string) => Problem | undefined;
}) {
  const choose = (label: string, key: Choice, options: Option[]) => (
    <Field label={label} problem={problem(key)}>
      {(ids) => (
        <Select
          {...ids}
          value={sale[key]}
          nothing="not known"
          options={options}
          onChange={(id) => set({ ...sale, [key]: id })}
        />
      )}
    </Field>
  );
  const text = (label: string, key: "sold" | "made", placeholder: string) => (
    <TextField
      label={label}
      placeholder={placeholder}
      problem={problem(key)}
      value={sale[key]}
      onCommit={(written) => set({ ...sale, [key]: written })}
    />
  );
  return (
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
        problem={problem("price") ?? problem("currency")}
        onChange={(price, currency) =>
          set({ ...sale, price: price ?? 0, currency: currency ?? sale.currency })
        }
      />
      <Field label="Paid or asked">
        {(ids) => (
          <Select
            {...ids}
            value={sale.asked ? "asked" : undefined}
            nothing="paid"
            options={[{ id: "asked", label: "only asked" }]}
            onChange={(asked) => set({ ...sale, asked: asked ? true : undefined })}
          />
        )}
      </Field>
      {text("When", "sold", "2025-05")}
      {choose("Maker", "maker", named(book.makers))}
      {choose("Pattern", "pattern", named(book.patterns))}
      {text("Its years", "made", "1900/1910")}
      {choose("Grade", "grade", book.condition.grades)}
      {choose("Handle", "handle", book.questions.find((q) => q.id === "handle_material")?.answers ?? [])}
      {choose("Box and papers", "box", book.condition.box?.grades ?? [])}
    </>
  );
}

const named = (all: { id: string; name: string }[]): Option[] =>
  all.map((o) => ({ id: o.id, label: o.name }));
