import type { Book, Problem, SeenNumber, Verdict } from "../../../api/types";
import { SelectField } from "../../../ui/select-field";
import { TextField } from "../../../ui/text-field";
import type { StationProps } from "../panel";
import { problemAt } from "../problems";
import { Part } from "./part";
import { Rows } from "./rows";

/** Patent, design and model numbers: each says not before which year the knife is. */
export function RegisteredNumbers({ knife, book }: StationProps) {
  return (
    <Part
      title="Patents, designs and models"
      told="Not before the year of the number. What it protects may have nothing to do with the knife."
    >
      <Rows<SeenNumber>
        entries={knife.specimen.registered}
        name="Number"
        add="Add a patent or design"
        empty="None seen."
        blank={{ table: book.registered[0]?.id ?? "" }}
        change={(update) => knife.change((s) => ({ ...s, registered: update(s.registered) }))}
        note={(i) => <NotBefore told={knife.verdict?.registered[i]} />}
      >
        {(entry, set, i) => (
          <Entry
            entry={entry}
            set={set}
            book={book}
            problem={problemAt(knife.problems, `registered[${i}].number`)}
          />
        )}
      </Rows>
    </Part>
  );
}

interface OfEntry {
  entry: SeenNumber;
  set: (part: Partial<SeenNumber>) => void;
  book: Book;
  problem: Problem | undefined;
}

function Entry({ entry, set, book, problem }: OfEntry) {
  const kind = book.registered.find((r) => r.id === entry.table);
  return (
    <>
      <SelectField
        label="Wording"
        className="col-span-2"
        value={entry.table}
        nothing="choose"
        options={book.registered.map((r) => ({ id: r.id, label: r.label }))}
        onChange={(table) => table && set({ table })}
      />
      <TextField
        label="Number"
        placeholder={kind?.numbered ? "as struck" : "not on file"}
        maxLength={20}
        problem={problem}
        value={entry.number}
        onCommit={(number) => set({ number })}
      />
    </>
  );
}

function NotBefore({ told }: { told: Verdict["registered"][number] | undefined }) {
  if (!told) return null;
  return (
    <>
      <span className="num font-semibold text-blue">Not before {told.notBefore}.</span> {told.why} {told.note}
    </>
  );
}
