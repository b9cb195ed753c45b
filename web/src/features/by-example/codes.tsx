import type { RefObject } from "react";
import type { Book, OwnCode } from "../../api/types";
import { inWords } from "../../format";
import { SelectField } from "../../ui/select-field";
import { TextField } from "../../ui/text-field";
import { type Sign, titleOf, Years } from "./code-ways";
import type { Taught } from "./known-from";
import { ExampleSheet } from "./sheet";
import { type CodeLine, type Codes, useCodes } from "./use-codes";
import { Row, Ways } from "./ways";

const whole = (text: string | undefined) => (text && /^\d{4}$/.test(text) ? Number(text) : undefined);

/** A few codes of known years: which way they go with years is found, looked at, and put on file. */
export function CodesByExample({
  maker,
  own,
  book,
  from,
  onClose,
}: {
  maker: Taught;
  /** Codes on the knives of one's own that are held to be theirs. */
  own: OwnCode[];
  book: Book;
  from: RefObject<HTMLElement | null>;
  onClose: () => void;
}) {
  const codes = useCodes(maker, own, onClose);
  return (
    <ExampleSheet
      title="A date code by example"
      intro={<Intro name={maker.name} codes={codes} book={book} />}
      examples={codes.lines.map((line, i) => (
        <Example key={line.id} line={line} n={i + 1} codes={codes} book={book} />
      ))}
      onAdd={codes.add}
      weighing={codes.weighing}
      found={<Found codes={codes} />}
      book={book}
      from={from}
      onClose={onClose}
    />
  );
}

function Intro({ name, codes, book }: { name: string; codes: Codes; book: Book }) {
  return (
    <>
      <p className="mt-2 text-ink2">
        Codes on knives of {name} whose years you know from elsewhere. Two begin to tell; five or six mostly
        settle it.
      </p>
      <SelectField
        label="What is struck"
        className="mt-2"
        value={codes.sign}
        nothing="choose"
        options={book.signs.map((s) => ({ id: s.id, label: inWords(s.id) }))}
        onChange={(next) => codes.strike((next ?? "letter") as Sign)}
      />
    </>
  );
}

function Example({ line, n, codes, book }: { line: CodeLine; n: number; codes: Codes; book: Book }) {
  const { problems, way } = codes.weighing;
  const at = codes.filled.indexOf(line);
  const problem = (field: string) => problems.find((p) => p.field === `examples[${at}].${field}`);
  const isCounted = book.signs.find((s) => s.id === codes.sign)?.counted;
  return (
    <Row n={n} from={line.knife} isOdd={way?.odd.includes(at) ?? false} onDrop={() => codes.drop(line.id)}>
      <TextField
        label={`${isCounted ? "How many" : "As struck"}, row ${n}`}
        maxLength={6}
        entryClassName="font-steel"
        value={line.written}
        problem={problem("written")}
        onCommit={(written) => codes.change(line.id, { written })}
      />
      <TextField
        label={`Made, row ${n}`}
        maxLength={40}
        placeholder="1951, c. 1950"
        className="sm:col-span-3"
        value={line.years}
        problem={problem("years")}
        onCommit={(years) => codes.change(line.id, { years })}
      />
    </Row>
  );
}

function Found({ codes }: { codes: Codes }) {
  const { told, way, choose, isEnough } = codes.weighing;
  return (
    <>
      {told && way && (
        <Ways
          ways={told.guesses.map((g) => ({
            key: `${g.kind} ${g.letters.join("")} ${g.years[0]?.year} ${g.years[0]?.codes[0]}`,
            share: g.share,
            title: titleOf(g),
            shown: <Years way={g} />,
          }))}
          chosen={told.guesses.indexOf(way)}
          onChoose={choose}
        />
      )}
      {told?.settling && way && (
        <p className="mt-2">
          <span className="voice">What would settle it: </span>
          {told.settling.written} is of <span className="num">{told.settling.first}</span> by the first way,{" "}
          {told.settling.second ? `of ${told.settling.second}` : "not told"} by the second.
        </p>
      )}
      {isEnough && <CalledAndUsed codes={codes} />}
    </>
  );
}

function CalledAndUsed({ codes }: { codes: Codes }) {
  const { problems, way } = codes.weighing;
  return (
    <div className="mt-3 grid grid-cols-2 gap-x-5 sm:grid-cols-3">
      <TextField
        label="Called"
        className="max-sm:col-span-2"
        maxLength={100}
        value={codes.called}
        problem={problems.find((p) => p.field === "label")}
        onCommit={codes.call}
      />
      {(["from", "to"] as const).map((end) => (
        <TextField
          key={end}
          label={end === "from" ? "In use from" : "until"}
          maxLength={4}
          entryClassName="num"
          value={`${codes.use[end] ?? way?.[end] ?? ""}`}
          problem={problems.find((p) => p.field === end)}
          onCommit={(text) => codes.setUse((now) => ({ ...now, [end]: text && (whole(text) ?? text) }))}
        />
      ))}
    </div>
  );
}
