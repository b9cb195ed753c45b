import type { NumberWay } from "../../api/types";
import { sentence } from "../../format";

type Way = NumberWay["fields"][number];

const nameOf = (f: Way) => (f.mark ? f.codes[0]?.code : f.label || "says nothing one can see") ?? "";

/** A way in words. */
export const titleOf = (way: NumberWay) =>
  sentence(
    way.fields
      .filter((f) => !f.mark)
      .map((f) => {
        const places = f.width === 1 ? "one place" : `${f.width} places`;
        return `${nameOf(f).toLowerCase()} in ${places}${f.optional ? " where it is there" : ""}`;
      })
      .join(", then "),
  );

/** As a pack has them. */
export const fieldsOf = (way: NumberWay) =>
  way.fields.map((f, i) => ({
    id: f.meaning ?? `part-${i + 1}`,
    label: f.mark ? "" : f.label || "Running number",
    width: f.width,
    ...(f.meaning && { meaning: f.meaning }),
    ...(f.optional && { optional: true }),
    codes: Object.fromEntries(f.codes.map((c) => [c.code, { label: c.label, values: c.values }])),
  }));

/** The fields side by side, each with its codes; what no example has is told as supposed. */
export function Fields({ way }: { way: NumberWay }) {
  return (
    <div className="flex flex-wrap gap-x-6 gap-y-2">
      {way.fields.map((f, i) =>
        f.mark ? (
          // biome-ignore lint/suspicious/noArrayIndexKey: a part of a number is known by its place
          <p key={`mark ${i + 1}`} className="font-steel text-ink2">
            {nameOf(f)}
          </p>
        ) : (
          <table key={f.meaning ?? `part ${i + 1}`} className="self-start">
            <caption className="text-left text-[0.78125rem] text-ink2">{nameOf(f)}</caption>
            <tbody>
              {f.codes.map((c) => (
                <tr key={c.code} className={c.supposed ? "text-ink3" : ""}>
                  <th scope="row" className="pr-3 text-left font-steel font-normal">
                    {c.code}
                  </th>
                  <td>
                    {c.label}
                    {c.supposed && <span className="voice"> supposed</span>}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        ),
      )}
    </div>
  );
}
