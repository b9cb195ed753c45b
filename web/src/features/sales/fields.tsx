import type { Book, ComparableSale, Problem } from "../../api/types";
import { withUnit } from "../../format";
import { usePreferences } from "../../preferences";
import type { Option } from "../../ui/select";
import { SelectField } from "../../ui/select-field";
import { TextField } from "../../ui/text-field";
import { DateEntry } from "../bench/stations/date-entry";
import { MoneyEntry } from "../bench/stations/money-entry";

type Choice = "maker" | "pattern" | "grade" | "handle" | "box" | "venue" | "text";

/** What is known of a sale, field by field. */
export function SaleFields({ book, ...of }: OfSale & { book: Book }) {
  const { sale, set, problem } = of;
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
      <Dated label="When" field="sold" placeholder="May 2025" {...of} />
      <Chosen label="Maker" field="maker" options={named(book.makers)} {...of} />
      <Chosen label="Pattern" field="pattern" options={named(book.patterns)} {...of} />
      <Dated label="Its years" field="made" placeholder="1900-1910" {...of} />
      <Chosen label="Grade" field="grade" options={book.condition.grades} {...of} />
      <Chosen label="Handle" field="handle" options={answersOf(book, "handle_material")} {...of} />
      <Chosen label="Box and papers" field="box" options={book.condition.box?.grades ?? []} {...of} />
      <HowLong {...of} />
      <Chosen label="Where it was sold" field="venue" options={book.choices.venue} {...of} />
      <Chosen
        label="A text on it"
        field="text"
        nothing="none told of"
        options={answersOf(book, "inscription")}
        {...of}
      />
      <WhatWasDone alterations={book.condition.alterations} {...of} />
    </>
  );
}

function HowLong({ sale, set, problem }: OfSale) {
  const { units } = usePreferences();
  return (
    <TextField
      label="Closed length"
      placeholder={units === "in" ? "3 7/8" : "98.4"}
      maxLength={24}
      problem={problem("length")}
      value={sale.length}
      onCommit={(text) => set({ length: text && withUnit(text, units) })}
    />
  );
}

const NOTHING = "nothing";

/** Not told, nothing, or one thing after another. */
function WhatWasDone({ alterations, sale, set }: OfSale & { alterations: Option[] }) {
  const done = sale.done ?? [];
  const others = alterations.filter((a) => !done.includes(a.id)).map(({ id, label }) => ({ id, label }));
  const without = (id: string) => done.filter((d) => d !== id);
  return (
    <>
      <SelectField
        label="What was done to it"
        className="col-span-2"
        value={sale.done?.length === 0 ? NOTHING : undefined}
        nothing={done.length > 0 ? "and more" : "not known"}
        options={done.length > 0 ? others : [{ id: NOTHING, label: "nothing" }, ...others]}
        onChange={(id) => set({ done: id === undefined ? undefined : id === NOTHING ? [] : [...done, id] })}
      />
      {done.length > 0 && (
        <ul className="col-span-2 flex flex-wrap gap-x-4 gap-y-1">
          {done.map((id) => (
            <li key={id}>
              {alterations.find((a) => a.id === id)?.label ?? id}{" "}
              <button
                type="button"
                className="min-h-6 text-ink2 underline"
                onClick={() => set({ done: without(id).length > 0 ? without(id) : undefined })}
              >
                Remove<span className="sr-only"> {alterations.find((a) => a.id === id)?.label ?? id}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

/** What one may have seen, by the look. */
export const answersOf = (book: Book, look: string) =>
  book.questions.find((q) => q.id === look)?.answers ?? [];

interface OfSale {
  sale: ComparableSale;
  /** Takes what changed alone: a price and a date may both be on their way. */
  set: (changed: Partial<ComparableSale>) => void;
  problem: (field: string) => Problem | undefined;
}

function Chosen({
  label,
  field,
  options,
  nothing = "not known",
  sale,
  set,
  problem,
}: OfSale & { label: string; field: Choice; options: Option[]; nothing?: string }) {
  return (
    <SelectField
      label={label}
      problem={problem(field)}
      value={sale[field]}
      nothing={nothing}
      options={options}
      onChange={(id) => set({ [field]: id })}
    />
  );
}

function Dated({
  label,
  field,
  placeholder,
  sale,
  set,
  problem,
}: OfSale & { label: string; field: "sold" | "made"; placeholder: string }) {
  return (
    <DateEntry
      label={label}
      placeholder={placeholder}
      problem={problem(field)}
      value={sale[field]}
      onChange={(written) => set({ [field]: written })}
    />
  );
}

const named = (all: { id: string; name: string }[]): Option[] =>
  all.map((o) => ({ id: o.id, label: o.name }));
