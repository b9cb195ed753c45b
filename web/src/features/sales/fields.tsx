import type { Book, ComparableSale, Problem } from "../../api/types";
import type { Option } from "../../ui/select";
import { SelectField } from "../../ui/select-field";
import { TextField } from "../../ui/text-field";
import { DateEntry } from "../bench/stations/date-entry";
import { MoneyEntry } from "../bench/stations/money-entry";

type Choice = "maker" | "pattern" | "grade" | "handle" | "box";

/** What is known of a sale, field by field. */
export function SaleFields({
  sale,
  set,
  book,
  problem,
}: {
  sale: ComparableSale;
  /** Takes what changed alone: a price and a date may both be on their way. */
  set: (changed: Partial<ComparableSale>) => void;
  book: Book;
  problem: (field: string) => Problem | undefined;
}) {
  const choose = (label: string, key: Choice, options: Option[]) => (
    <SelectField
      label={label}
      problem={problem(key)}
      value={sale[key]}
      nothing="not known"
      options={options}
      onChange={(id) => set({ [key]: id })}
    />
  );
  const date = (label: string, key: "sold" | "made", placeholder: string) => (
    <DateEntry
      label={label}
      placeholder={placeholder}
      problem={problem(key)}
      value={sale[key]}
      onChange={(written) => set({ [key]: written })}
    />
  );
  return (
    <>
      <TextField
        label="What was sold"
        className="col-span-2"
        maxLength={200}
        value={sale.described}
        onCommit={(described) => described && set({ described })}
      />
      <MoneyEntry
        label="Price"
        amount={sale.price}
        currency={sale.currency}
        problem={problem("price") ?? problem("currency")}
        onChange={(price, currency) => set({ price: price ?? 0, currency: currency ?? sale.currency })}
      />
      <SelectField
        label="Paid or asked"
        value={sale.asked ? "asked" : undefined}
        nothing="paid"
        options={[{ id: "asked", label: "only asked" }]}
        onChange={(asked) => set({ asked: asked ? true : undefined })}
      />
      {date("When", "sold", "May 2025")}
      {choose("Maker", "maker", named(book.makers))}
      {choose("Pattern", "pattern", named(book.patterns))}
      {date("Its years", "made", "1900-1910")}
      {choose("Grade", "grade", book.condition.grades)}
      {choose("Handle", "handle", book.questions.find((q) => q.id === "handle_material")?.answers ?? [])}
      {choose("Box and papers", "box", book.condition.box?.grades ?? [])}
    </>
  );
}

const named = (all: { id: string; name: string }[]): Option[] =>
  all.map((o) => ({ id: o.id, label: o.name }));
