import type { Dating } from "../../api/types";

type Clue = Dating["clues"][number];

/** Every clue in the order of its influence, to be left out and put back. */
export function Clues({
  all,
  now,
  off,
  onFlip,
  hasMark,
}: {
  all: Clue[];
  now: Clue[];
  off: ReadonlySet<string>;
  onFlip: (feature: string) => void;
  hasMark: boolean;
}) {
  if (all.length === 0 && !hasMark) return <p className="voice text-ink3">No clue has been entered yet.</p>;
  return (
    <div className="overflow-x-auto">
      <table className="w-full border-t border-ink text-left">
        <caption className="sr-only">Clues</caption>
        <thead>
          <tr className="voice text-ink2">
            <th className="no-print pr-2 font-normal whitespace-nowrap">Use</th>
            <th className="py-1 pr-3 font-normal">Part</th>
            <th className="pr-3 font-normal">Seen</th>
            <th className="pr-3 font-normal whitespace-nowrap">Not before</th>
            <th className="pr-3 font-normal whitespace-nowrap">Not after</th>
            <th className="pr-3 font-normal">Moves the middle</th>
            <th className="font-normal">Reason, and where from</th>
          </tr>
        </thead>
        <tbody>
          {hasMark && (
            <tr className="border-t border-rule align-top">
              <Use name="The mark" on={!off.has(MARK)} onFlip={() => onFlip(MARK)} />
              <th scope="row" className="py-0.5 pr-3 font-semibold">
                Mark
              </th>
              <td colSpan={5} className="text-ink2">
                What is read on tangs and blades, held against all marks on the shelf.
              </td>
            </tr>
          )}
          {all.map((c, i) => {
            const isOn = !off.has(c.feature);
            const told = now.find((o) => o.feature === c.feature) ?? c;
            return (
              <tr
                key={c.feature}
                className={`border-t border-rule align-top ${i < MOST_PRINTED ? "" : "print:hidden"} ${isOn ? "" : "text-ink3 line-through"} ${told.inConflict && isOn ? "text-lead" : ""}`}
              >
                <Use name={`${c.label}: ${c.value}`} on={isOn} onFlip={() => onFlip(c.feature)} />
                <th scope="row" className="py-0.5 pr-3 font-semibold whitespace-nowrap">
                  {c.part}
                </th>
                <td className="min-w-[9rem] pr-3">{c.value}</td>
                <td className="num pr-3">{c.notBefore ?? NONE}</td>
                <td className="num pr-3">{c.notAfter ?? NONE}</td>
                <td className="pr-3 whitespace-nowrap">{isOn ? moves(told) : "left out"}</td>
                <td className="min-w-[16rem] text-[0.8125rem]/4 text-ink2">
                  {c.why} {c.source && <span className="voice">({c.source})</span>}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {all.length > MOST_PRINTED && (
        <p className="hidden print:block">And {all.length - MOST_PRINTED} clues more that move less.</p>
      )}
    </div>
  );
}

const MARK = "mark";
/** With these the sheet fills one page. */
const MOST_PRINTED = 15;
const NONE = "\u2013";

const moves = (c: Clue) =>
  c.medianShift === 0
    ? "nothing"
    : `${c.medianShift > 0 ? "later" : "earlier"} by ${Math.abs(c.medianShift)} y`;

function Use({ name, on, onFlip }: { name: string; on: boolean; onFlip: () => void }) {
  return (
    <td className="no-print">
      <input type="checkbox" aria-label={name} checked={on} onChange={onFlip} className="size-4" />
    </td>
  );
}
