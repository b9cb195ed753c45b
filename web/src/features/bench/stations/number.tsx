import type { Verdict } from "../../../api/types";
import { percent } from "../../../format";
import { TextField } from "../../../ui/text-field";
import { TeachIts } from "../../by-example";
import { FactsOfKnife } from "../../facts";
import type { StationProps } from "../panel";
import { problemAt } from "../problems";
import { DateCodes } from "./codes";
import { Hallmarks } from "./hallmarks";
import { NotFound } from "./not-found";
import { RegisteredNumbers } from "./registered";

type NumberTold = NonNullable<Verdict["number"]>;

const WORDS = { agrees: "agrees", contradicts: "contradicts", unknown: "not yet known" } as const;

/** The pattern number, taken apart and held against the knife; date codes; patents and designs. */
export function NumberStation({ knife, book }: StationProps) {
  return (
    <>
      <PatternNumber knife={knife} book={book} />
      {knife.specimen.number && (
        <FactsOfKnife verdict={knife.verdict} specimen={knife.specimen} station="number" book={book} />
      )}
      <DateCodes knife={knife} book={book} />
      <RegisteredNumbers knife={knife} book={book} />
      <Hallmarks knife={knife} book={book} />
    </>
  );
}

function PatternNumber({ knife, book }: StationProps) {
  const number = knife.verdict?.number;
  const struck = knife.specimen.number;
  return (
    <div className="mt-2 grid gap-x-8 gap-y-3 md:grid-cols-[14rem_minmax(0,1fr)]">
      <TextField
        label="Number as struck"
        hint="_ cannot be read, [17] either"
        problem={problemAt(knife.problems, "number")}
        entryClassName="font-steel !text-[1.3125rem] uppercase"
        maxLength={24}
        value={struck}
        onCommit={(number) => knife.change((s) => ({ ...s, number: number?.toUpperCase() }))}
      />
      {!struck && <NoNumber knife={knife} book={book} />}
      {struck && !number?.decoded && (
        <div>
          <p className="text-ink2">No maker on the shelf is known to have built a number like this.</p>
          {knife.verdict && <TeachIts what="numbers" knife={knife.verdict} book={book} />}
        </div>
      )}
      {number?.decoded && (
        <div>
          <p className="text-ink2">Read as {number.makerName} built its numbers.</p>
          <Fields all={number.decoded.fields} />
          {number.completions.length > 0 && <Completions all={number.completions} />}
          {number.reasons.length > 0 && <Reasons number={number} />}
        </div>
      )}
    </div>
  );
}

function NoNumber({ knife, book }: StationProps) {
  const number = knife.verdict?.number;
  return (
    <div>
      <p className="voice text-ink3">
        {knife.specimen.notFound.includes("number")
          ? "No number to be found."
          : "No number entered. Look at the pile side of the main tang."}
        {number?.expected && (
          <>
            {" "}
            As it stands, {number.makerName} would have numbered it{" "}
            <span className="font-steel text-ink not-italic" data-testid="expected">
              {number.expected}
            </span>
            .
          </>
        )}
      </p>
      <NotFound book={book} knife={knife} sought="number" />
    </div>
  );
}

/** The number taken apart, each part held against the knife. */
function Fields({ all }: { all: NonNullable<NumberTold["decoded"]>["fields"] }) {
  return (
    <table className="mt-1 w-full text-left" data-testid="number">
      <tbody>
        {all.map((f) => (
          <tr
            key={f.label}
            className={`border-t border-rule ${f.holds === "contradicts" ? "bg-lead-wash text-lead" : ""}`}
          >
            <th scope="row" className="py-1 pr-4 font-semibold whitespace-nowrap">
              {f.label}
            </th>
            <td className="pr-4 font-steel font-semibold whitespace-nowrap">{f.struck}</td>
            <td className="pr-4">{f.says}</td>
            <td className="voice text-[0.8125rem] whitespace-nowrap">{WORDS[f.holds]}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Reasons({ number }: { number: NumberTold }) {
  return (
    <div className="mt-2" data-testid="reasons">
      <h3 className="voice text-[0.8125rem] text-ink2">Why it may say something else</h3>
      <ul>
        {number.reasons
          .filter((r) => percent(r.probability) >= 1)
          .map((r) => (
            <li key={r.says} className="grid grid-cols-[2.75rem_minmax(0,1fr)] border-t border-rule">
              <span className="num">{percent(r.probability)}%</span>
              {r.says}
            </li>
          ))}
      </ul>
      {number.expected && (
        <p className="text-ink2">
          As it stands it would have been <span className="font-steel">{number.expected}</span>.
        </p>
      )}
    </div>
  );
}

function Completions({ all }: { all: NumberTold["completions"] }) {
  return (
    <div className="mt-2" data-testid="completions">
      <h3 className="voice text-[0.8125rem] text-ink2">What it may have been, by what the knife shows</h3>
      <ol>
        {all
          .filter((c) => percent(c.probability) >= 1)
          .map((c) => (
            <li key={c.number} className="grid grid-cols-[2.75rem_6rem_minmax(0,1fr)] border-t border-rule">
              <span className="num">{percent(c.probability)}%</span>
              <span className="font-steel font-semibold">{c.number}</span>
              <span className="text-ink2">{c.says}</span>
            </li>
          ))}
      </ol>
    </div>
  );
}
