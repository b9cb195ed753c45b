import { TextField } from "../../../ui/text-field";
import type { StationProps } from "../panel";
import { problemAt } from "../problems";
import { DateCodes } from "./codes";
import { RegisteredNumbers } from "./registered";

const WORDS = { agrees: "agrees", contradicts: "contradicts", unknown: "not yet known" } as const;

/** The pattern number, taken apart and held against the knife; date codes; patents and designs. */
export function NumberStation({ knife, book }: StationProps) {
  return (
    <>
      <PatternNumber knife={knife} />
      <DateCodes knife={knife} book={book} />
      <RegisteredNumbers knife={knife} book={book} />
    </>
  );
}

function PatternNumber({ knife }: Pick<StationProps, "knife">) {
  const number = knife.verdict?.number;
  return (
    <div className="mt-2 grid gap-x-8 gap-y-3 md:grid-cols-[14rem_minmax(0,1fr)]">
      <TextField
        label="Number as struck"
        hint="_ for a figure that cannot be read"
        problem={problemAt(knife.problems, "number")}
        entryClassName="font-steel !text-[1.3125rem] uppercase"
        maxLength={16}
        value={knife.specimen.number}
        onCommit={(number) => knife.change((s) => ({ ...s, number: number?.toUpperCase() }))}
      />
      {!knife.specimen.number && (
        <p className="voice text-ink3">No number entered. Look at the pile side of the main tang.</p>
      )}
      {knife.specimen.number && !number && (
        <p className="text-ink2">No maker on the shelf is known to have built a number like this.</p>
      )}
      {number && (
        <div>
          <p className="text-ink2">Read as {number.makerName} built its numbers.</p>
          <table className="mt-1 w-full text-left" data-testid="number">
            <tbody>
              {number.decoded.fields.map((f) => (
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
        </div>
      )}
    </div>
  );
}
