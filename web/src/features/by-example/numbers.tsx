import type { RefObject } from "react";
import type { Book, OwnNumber } from "../../api/types";
import { sentence } from "../../format";
import { SelectField } from "../../ui/select-field";
import { TextField } from "../../ui/text-field";
import type { Taught } from "./known-from";
import { Fields, titleOf } from "./number-ways";
import { ExampleSheet } from "./sheet";
import { type NumberLine, type Numbers, useNumbers } from "./use-numbers";
import { Row, Ways } from "./ways";

const COUNTS = ["1", "2", "3", "4", "5", "6"].map((n) => ({ id: n, label: n }));
const HANDLE = "handle_material";

/** A few numbers on knives one knows: how they are built is found, looked at, and put on file. */
export function NumbersByExample({
  maker,
  own,
  isNumbered,
  book,
  from,
  onClose,
}: {
  maker: Taught;
  /** Numbers on the knives of one's own that are held to be theirs. */
  own: OwnNumber[];
  /** Whether there is a way of theirs on file, which this one would take the place of. */
  isNumbered: boolean;
  book: Book;
  from: RefObject<HTMLElement | null>;
  onClose: () => void;
}) {
  const numbers = useNumbers(maker, own, onClose);
  const looks = looksOf(book);
  const { told } = numbers.weighing;
  return (
    <ExampleSheet
      title="Pattern numbers by example"
      intro={
        <p className="mt-2 text-ink2">
          Numbers on knives of {maker.name}, each with what the knife is. Five mostly settle it; knives that
          differ in one thing alone tell most.
        </p>
      }
      examples={numbers.lines.map((line, i) => (
        <Example key={line.id} line={line} n={i + 1} numbers={numbers} looks={looks} />
      ))}
      onAdd={numbers.add}
      weighing={numbers.weighing}
      nothing={told && told.ways.length === 0 ? "No two of them are built alike." : ""}
      found={<Found numbers={numbers} isNumbered={isNumbered} />}
      book={book}
      from={from}
      onClose={onClose}
    />
  );
}

/** What of a knife its number may tell, as it is asked. */
function looksOf(book: Book) {
  const handles = book.questions.find((q) => q.id === HANDLE)?.answers ?? [];
  return [
    { look: "blades", label: "Blades", options: COUNTS },
    {
      look: "frame",
      label: "Outline",
      options: book.frames.map((f) => ({ id: f.id, label: sentence(f.name) })),
    },
    { look: HANDLE, label: "Handle", options: handles.map((a) => ({ id: a.id, label: a.label })) },
  ];
}

function Example({
  line,
  n,
  numbers,
  looks,
}: {
  line: NumberLine;
  n: number;
  numbers: Numbers;
  looks: ReturnType<typeof looksOf>;
}) {
  const field = `examples[${numbers.filled.indexOf(line)}].number`;
  return (
    <Row n={n} from={line.knife} isOdd={numbers.isOdd(line)} onDrop={() => numbers.drop(line.id)}>
      <TextField
        label={`Number, row ${n}`}
        maxLength={24}
        entryClassName="font-steel"
        value={line.number}
        problem={numbers.weighing.problems.find((p) => p.field === field)}
        onCommit={(number) => numbers.number(line.id, number)}
      />
      {looks.map(({ look, label, options }) => (
        <SelectField
          key={look}
          label={`${label}, row ${n}`}
          value={line.shows[look]}
          nothing="not said"
          options={options}
          onChange={(value) => numbers.show(line.id, look, value)}
        />
      ))}
    </Row>
  );
}

function Found({ numbers, isNumbered }: { numbers: Numbers; isNumbered: boolean }) {
  const { told, way, choose } = numbers.weighing;
  if (!told || !way) return null;
  return (
    <>
      <Ways
        ways={told.ways.map((w) => ({
          key: w.fields.map((f) => `${f.meaning ?? f.mark} ${f.width}`).join(),
          share: w.share,
          title: titleOf(w),
          shown: <Fields way={w} />,
        }))}
        chosen={told.ways.indexOf(way)}
        onChoose={choose}
      />
      {told.settling && (
        <p className="mt-2">
          <span className="voice">What would settle it: </span>
          the number of a knife with {told.settling.knife}:{" "}
          <span className="font-steel">{told.settling.first}</span> by the first way,{" "}
          <span className="font-steel">{told.settling.second}</span> by the second.
        </p>
      )}
      {isNumbered && <p className="voice mt-2 text-ink2">It goes in place of the way that is on file now.</p>}
    </>
  );
}
