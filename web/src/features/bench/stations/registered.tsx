import type { SeenNumber } from "../../../api/types";
import { Field } from "../../../ui/field";
import { Select } from "../../../ui/select";
import { TextField } from "../../../ui/text-field";
import type { StationProps } from "../panel";
import { problemAt } from "../problems";
import { Rows } from "./rows";

/** Patent, design and model numbers: each says not before which year the knife is. */
export function RegisteredNumbers({ knife, book }: StationProps) {
  const series = book.registered.map((r) => ({ id: r.id, label: r.label }));
  return (
    <section aria-labelledby="registered-name" className="mt-3 border-t border-rule pt-2">
      <h3 id="registered-name" className="font-semibold">
        Patents, designs and models
      </h3>
      <p className="text-ink2">
        Not before the year of the number. What it protects may have nothing to do with the knife.
      </p>
      <Rows<SeenNumber>
        entries={knife.specimen.registered}
        name="Number"
        add="Add a patent or design"
        empty="None seen."
        blank={{ table: series[0]?.id ?? "" }}
        onChange={(registered) => knife.change((s) => ({ ...s, registered }))}
        note={(i) => {
          const told = knife.verdict?.registered[i];
          return (
            told && (
              <>
                <span className="num font-semibold text-blue">Not before {told.notBefore}.</span> {told.why}{" "}
                {told.note}
              </>
            )
          );
        }}
      >
        {(entry, set, i) => {
          const kind = book.registered.find((r) => r.id === entry.table);
          return (
            <>
              <Field label="Wording" className="col-span-2">
                {(ids) => (
                  <Select
                    {...ids}
                    value={entry.table}
                    nothing="choose"
                    options={series}
                    onChange={(table) => table && set({ ...entry, table })}
                  />
                )}
              </Field>
              <TextField
                label="Number"
                placeholder={kind?.numbered ? "as struck" : "not on file"}
                maxLength={20}
                problem={problemAt(knife.problems, `registered[${i}].number`)}
                value={entry.number}
                onCommit={(number) => set({ ...entry, number })}
              />
            </>
          );
        }}
      </Rows>
    </section>
  );
}
