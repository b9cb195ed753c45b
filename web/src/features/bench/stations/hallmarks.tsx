import type { SeenHallmark } from "../../../api/types";
import { Field } from "../../../ui/field";
import { Select } from "../../../ui/select";
import { TextField } from "../../../ui/text-field";
import type { StationProps } from "../panel";
import { problemAt } from "../problems";
import { Rows } from "./rows";

/** Silver hallmarks: the date letter by the cycles of its assay office, and the years that leaves. */
export function Hallmarks({ knife, book }: StationProps) {
  if (book.assayOffices.length === 0 && knife.specimen.hallmarks.length === 0) return null;
  const offices = book.assayOffices.map((o) => ({ id: o.id, label: o.label }));
  return (
    <section aria-labelledby="hallmarks-name" className="mt-3 border-t border-rule pt-2">
      <h3 id="hallmarks-name" className="font-semibold">
        Silver hallmarks
      </h3>
      <p className="text-ink2">
        On blades and fittings of silver. The letter tells the year by its form, its shield and the marks
        beside it.
      </p>
      <Rows<SeenHallmark>
        entries={knife.specimen.hallmarks}
        name="Hallmark"
        add="Add a hallmark"
        empty="None seen."
        blank={{ office: offices[0]?.id ?? "", letter: "_" }}
        onChange={(hallmarks) => knife.change((s) => ({ ...s, hallmarks }))}
        note={(i) => {
          const told = knife.verdict?.hallmarks[i];
          return (
            told && (
              <>
                <span className="num font-semibold text-blue">{yearsText(told.years)}</span> {told.note}
              </>
            )
          );
        }}
      >
        {(mark, set, i) => {
          const office = book.assayOffices.find((o) => o.id === mark.office);
          const forms = [...new Set(office?.cycles.map((c) => c.form))];
          return (
            <>
              <Field label="Office" className="col-span-2">
                {(ids) => (
                  <Select
                    {...ids}
                    title={office?.townMark}
                    value={mark.office}
                    nothing="choose"
                    options={offices}
                    onChange={(id) => id && set({ ...mark, office: id, form: undefined })}
                  />
                )}
              </Field>
              <TextField
                label="Letter"
                hint="_ cannot be read"
                maxLength={1}
                entryClassName="font-steel"
                problem={problemAt(knife.problems, `hallmarks[${i}].letter`)}
                value={mark.letter}
                onCommit={(letter) => set({ ...mark, letter: letter ?? "_" })}
              />
              <Field label="Its form" className="col-span-2">
                {(ids) => (
                  <Select
                    {...ids}
                    value={mark.form}
                    nothing="not looked at"
                    options={forms.map((f) => ({ id: f, label: f }))}
                    onChange={(form) => set({ ...mark, form })}
                  />
                )}
              </Field>
              <Field label="Duty" className="col-span-2">
                {(ids) => (
                  <Select
                    {...ids}
                    value={mark.duty === undefined ? undefined : mark.duty ? "yes" : "no"}
                    nothing="not looked for"
                    options={book.choices.duty}
                    onChange={(d) => set({ ...mark, duty: d === undefined ? undefined : d === "yes" })}
                  />
                )}
              </Field>
            </>
          );
        }}
      </Rows>
    </section>
  );
}

const SHOWN = 6;

function yearsText(years: number[]): string {
  if (years.length === 0) return "No year has these together: read it again, or it is not right.";
  const more = years.length > SHOWN ? ` and ${years.length - SHOWN} years more` : "";
  return `Assayed in ${years.slice(0, SHOWN).join(", ")}${more}.`;
}
