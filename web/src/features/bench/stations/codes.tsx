import type { Book, Problem, SeenCode, Verdict } from "../../../api/types";
import { inWords, percent, sentence } from "../../../format";
import { SelectField } from "../../../ui/select-field";
import { TextField } from "../../../ui/text-field";
import { TeachIts } from "../../by-example";
import type { StationProps } from "../panel";
import { problemAt } from "../problems";
import { NotFound } from "./not-found";
import { Part } from "./part";
import { Rows } from "./rows";

type Reading = Verdict["codes"][number]["readings"][number];

/** Date codes as seen, each drawn as it was struck, and the years it allows by the schemes on the shelf. */
export function DateCodes({ knife, book }: StationProps) {
  const { codes, notFound } = knife.specimen;
  return (
    <Part title="Date codes" told={`Letters and figures: ${LEGIBILITY}. Other signs: how many, ${COUNT}.`}>
      <Rows<SeenCode>
        entries={codes}
        name="Code"
        add="Add a date code"
        empty={
          notFound.includes("code")
            ? "None to be found."
            : "None seen. Look beside the mark and the number, and on every tang."
        }
        blank={{ sign: "letter", written: "_" }}
        change={(update) => knife.change((s) => ({ ...s, codes: update(s.codes) }))}
        note={(i) => <Readings told={knife.verdict?.codes[i]} />}
      >
        {(code, set, i) => (
          <CodeEntry
            code={code}
            book={book}
            problem={problemAt(knife.problems, `codes[${i}].written`)}
            onChange={set}
          />
        )}
      </Rows>
      {knife.verdict?.codes.some((c) => c.readings.length === 0) && (
        <TeachIts what="codes" knife={knife.verdict} book={book} />
      )}
      {codes.length === 0 && <NotFound book={book} knife={knife} sought="code" />}
    </Part>
  );
}

function CodeEntry({ code, book, problem, onChange }: OfCode & { problem: Problem | undefined }) {
  const known = (id: string) => book.signs.find((s) => s.id === id);
  const blank = (id: string) => (id === PLACEMENT ? book.places[0] : known(id)?.counted ? "1" : "_");
  return (
    <>
      <SelectField
        label="Sign"
        value={code.sign}
        nothing="choose"
        options={book.signs.map((s) => ({ id: s.id, label: inWords(s.id) }))}
        onChange={(chosen) =>
          chosen &&
          onChange({ sign: chosen as SeenCode["sign"], written: blank(chosen) ?? "_", form: undefined })
        }
      />
      {code.sign === PLACEMENT ? (
        <SelectField
          label="Where it stands"
          value={code.written}
          nothing="choose"
          options={book.places.map((id) => ({ id, label: inWords(id) }))}
          onChange={(written) => written && onChange({ written })}
        />
      ) : (
        <TextField
          label={known(code.sign)?.counted ? "How many" : "As struck"}
          entryClassName="font-steel uppercase"
          maxLength={12}
          problem={problem}
          value={code.written}
          onCommit={(written) => written && onChange({ written: written.toUpperCase() })}
        />
      )}
      <FormOf code={code} book={book} onChange={onChange} />
    </>
  );
}

/** The form of a sign that has several; of any other, how it should look on the steel. */
function FormOf({ code, book, onChange }: OfCode) {
  const forms = book.signs.find((s) => s.id === code.sign)?.forms ?? [];
  if (forms.length === 0) return code.sign === PLACEMENT ? null : <Struck code={code} />;
  return (
    <SelectField
      label="Form"
      value={code.form}
      nothing="not yet looked"
      options={forms.map((id) => ({ id, label: sentence(id) }))}
      onChange={(form) => onChange({ form })}
    />
  );
}

interface OfCode {
  code: SeenCode;
  book: Book;
  onChange: (part: Partial<SeenCode>) => void;
}

function Readings({ told }: { told: Verdict["codes"][number] | undefined }) {
  if (!told) return null;
  if (told.readings.length === 0)
    return <>No maker on the shelf is known to have dated by {told.seen.sign.replaceAll("-", " ")}.</>;
  return (
    <ul>
      {told.readings.map((r) => (
        <li key={`${r.maker} ${r.id}`} title={r.note}>
          {r.makerName}, {r.scheme.toLowerCase()}: <YearsOf reading={r} />
        </li>
      ))}
    </ul>
  );
}

function YearsOf({ reading: { years } }: { reading: Reading }) {
  if (years.length === 0) return <span className="voice">no such code</span>;
  return (
    <span className="num text-blue">
      {years
        .slice(0, SHOWN)
        .map((y) => `${y.part ? `${y.part} of ` : ""}${y.year} (${percent(y.share)}%)`)
        .join(", ")}
      {years.length > SHOWN && `, and ${years.length - SHOWN} years more`}
    </span>
  );
}

const PLACEMENT = "placement";

const SIGNS: Record<string, string> = {
  dot: "M5 8a3 3 0 1 0 6 0a3 3 0 1 0-6 0Z",
  star: "M8 2.5l1.6 3.7 4 .3-3 2.6.9 3.9L8 10.9 4.5 13l.9-3.9-3-2.6 4-.3Z",
  bar: "M6.8 2.5h2.4v11H6.8Z",
  cross: "M3.4 4.6l1.2-1.2L8 6.8l3.4-3.4 1.2 1.2L9.2 8l3.4 3.4-1.2 1.2L8 9.2l-3.4 3.4-1.2-1.2L6.8 8Z",
  ring: "M3.5 8a4.5 4.5 0 1 0 9 0a4.5 4.5 0 1 0-9 0ZM5.3 8a2.7 2.7 0 1 1 5.4 0a2.7 2.7 0 1 1-5.4 0Z",
};
const LEGIBILITY = "_ for one that is lost, ? after a doubtful one";
const COUNT = "7, or 7+ for at least seven";
const MOST_DRAWN = 24;
const SHOWN = 4;

/** The code as it should look on the steel; what may be worn away is dashed. */
function Struck({ code }: { code: SeenCode }) {
  const sign = SIGNS[code.sign];
  if (!sign) {
    const shown = [...code.written.replaceAll("?", "")].join(" ");
    return <p className="font-steel self-center text-[1.3125rem]/6">{shown}</p>;
  }
  const count = Math.min(MOST_DRAWN, Number.parseInt(code.written, 10) || 0);
  const more = code.written.endsWith("+");
  return (
    <svg
      viewBox={`0 0 ${16 * (count + (more ? 1 : 0))} 16`}
      height="20"
      className="max-w-full self-center"
      role="img"
      aria-label={`${count}${more ? " or more" : ""} ${code.sign}${count === 1 ? "" : "s"}`}
    >
      {Array.from({ length: count }, (_, i) => 16 * i).map((x) => (
        <path key={x} d={sign} fillRule="evenodd" fill="currentColor" transform={`translate(${x} 0)`} />
      ))}
      {more && (
        <path
          d={sign}
          fill="none"
          stroke="currentColor"
          strokeDasharray="2 1.4"
          transform={`translate(${16 * count} 0)`}
        />
      )}
    </svg>
  );
}
