import type { ComponentProps } from "react";
import type { Book, Problem, SeenHallmark, Verdict } from "../../../api/types";
import { SelectField } from "../../../ui/select-field";
import { TextField } from "../../../ui/text-field";
import type { StationProps } from "../panel";
import { problemAt } from "../problems";
import { Part } from "./part";
import { Rows } from "./rows";

/** Silver hallmarks: the date letter by the cycles of its assay office, and the years that leaves. */
export function Hallmarks({ knife, book }: StationProps) {
  if (book.assayOffices.length === 0 && knife.specimen.hallmarks.length === 0) return null;
  return (
    <Part
      title="Silver hallmarks"
      told="On blades and fittings of silver. The letter tells the year by its form, its shield and the marks beside it."
    >
      <Rows<SeenHallmark>
        entries={knife.specimen.hallmarks}
        name="Hallmark"
        add="Add a hallmark"
        empty="None seen."
        blank={{ office: book.assayOffices[0]?.id ?? "", letter: "_" }}
        change={(update) => knife.change((s) => ({ ...s, hallmarks: update(s.hallmarks) }))}
        note={(i) => <Told told={knife.verdict?.hallmarks[i]} />}
      >
        {(mark, set, i) => (
          <Entry
            mark={mark}
            set={set}
            book={book}
            problem={problemAt(knife.problems, `hallmarks[${i}].letter`)}
          />
        )}
      </Rows>
    </Part>
  );
}

function Told({ told }: { told: Verdict["hallmarks"][number] | undefined }) {
  if (!told) return null;
  return (
    <>
      <span className="num font-semibold text-blue">{yearsText(told.years)}</span> {told.note}
    </>
  );
}

interface OfEntry {
  mark: SeenHallmark;
  set: (part: Partial<SeenHallmark>) => void;
  book: Book;
  problem: Problem | undefined;
}

function Entry({ mark, set, book, problem }: OfEntry) {
  const office = book.assayOffices.find((o) => o.id === mark.office);
  return (
    <>
      <Wide
        label="Office"
        title={office?.townMark}
        value={mark.office}
        nothing="choose"
        options={book.assayOffices.map((o) => ({ id: o.id, label: o.label }))}
        onChange={(id) => id && set({ office: id, form: undefined })}
      />
      <TextField
        label="Letter"
        hint="_ cannot be read"
        maxLength={1}
        entryClassName="font-steel"
        problem={problem}
        value={mark.letter}
        onCommit={(letter) => set({ letter: letter ?? "_" })}
      />
      <Wide
        label="Its form"
        value={mark.form}
        nothing="not looked at"
        options={[...new Set(office?.cycles.map((c) => c.form))].map((f) => ({ id: f, label: f }))}
        onChange={(form) => set({ form })}
      />
      <Wide
        label="Duty"
        value={mark.duty === undefined ? undefined : mark.duty ? "yes" : "no"}
        nothing="not looked for"
        options={book.choices.duty}
        onChange={(d) => set({ duty: d === undefined ? undefined : d === "yes" })}
      />
    </>
  );
}

function Wide(choice: ComponentProps<typeof SelectField>) {
  return <SelectField {...choice} className="col-span-2" />;
}

const SHOWN = 6;

function yearsText(years: number[]): string {
  if (years.length === 0) return "No year has these together: read it again, or it is not right.";
  const more = years.length > SHOWN ? ` and ${years.length - SHOWN} years more` : "";
  return `Assayed in ${years.slice(0, SHOWN).join(", ")}${more}.`;
}
