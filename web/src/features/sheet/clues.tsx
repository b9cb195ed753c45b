import type { Dating } from "../../api/types";

type Clue = Dating["clues"][number];
type Group = Dating["clueGroups"][number];

/** Every clue in the order of its influence, those that agree together, to be left out and put back. */
export function Clues(of: OfClues) {
  const { whole } = of;
  const all = whole.clues;
  if (all.length === 0 && !whole.mark)
    return <p className="voice text-ink3">No clue has been entered yet.</p>;
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
          <MarkRow {...of} />
          {whole.clueGroups.map((group) => (
            <Group key={group.features.join()} group={group} {...of} />
          ))}
        </tbody>
      </table>
      {all.length > MOST_PRINTED && (
        <p className="hidden print:block">And {all.length - MOST_PRINTED} clues more that move less.</p>
      )}
    </div>
  );
}

interface OfClues {
  whole: Dating;
  now: Dating;
  off: ReadonlySet<string>;
  onFlip: (features: string[]) => void;
}

function MarkRow({ whole, now, off, onFlip }: OfClues) {
  if (!whole.mark) return null;
  return (
    <Row
      clue={whole.mark}
      told={now.mark ?? whole.mark}
      isPrinted
      isOn={!off.has(MARK)}
      isOfSeveral={false}
      onFlip={() => onFlip([MARK])}
    />
  );
}

/** Clues that agree, told together and each by itself. */
function Group({ group, ...of }: OfClues & { group: Dating["clueGroups"][number] }) {
  const { whole, now, off, onFlip } = of;
  const printed = new Set(whole.clueGroups.flatMap((g) => g.features).slice(0, MOST_PRINTED));
  const isOfSeveral = group.features.length > 1;
  const clues = group.features.map((f) => clueOf(whole, f)).filter((c) => c !== undefined);
  return (
    <>
      {isOfSeveral && (
        <Together
          group={group}
          told={alike(now, group) ?? group}
          labels={group.features.map((f) => clueOf(whole, f)?.label ?? f)}
          off={off}
          onFlip={onFlip}
        />
      )}
      {clues.map((clue) => (
        <Row
          key={clue.feature}
          clue={clue}
          told={clueOf(now, clue.feature) ?? clue}
          isPrinted={printed.has(clue.feature)}
          isOn={!off.has(clue.feature)}
          isOfSeveral={isOfSeveral}
          onFlip={() => onFlip([clue.feature])}
        />
      ))}
    </>
  );
}

const MARK = "mark";
/** With these the sheet fills one page. */
const MOST_PRINTED = 15;
const NONE = "\u2013";

const clueOf = (dating: Dating, feature: string) => dating.clues.find((c) => c.feature === feature);

/** The same clues as they stand in another verdict, where they still agree. */
const alike = (dating: Dating, group: Group) =>
  dating.clueGroups.find(
    (g) => g.features.length === group.features.length && g.features.every((f) => group.features.includes(f)),
  );

const moves = (years: number) =>
  years === 0 ? "nothing" : `${years > 0 ? "later" : "earlier"} by ${Math.abs(years)} y`;

/** What clues that agree do together: each of them alone seems to do little. */
function Together({
  group,
  told,
  labels,
  off,
  onFlip,
}: {
  group: Group;
  told: Group;
  labels: string[];
  off: ReadonlySet<string>;
  onFlip: (features: string[]) => void;
}) {
  const left = group.features.filter((f) => off.has(f));
  const allOff = left.length === group.features.length;
  return (
    <tr className={`border-t border-rule align-baseline ${allOff ? "text-ink3" : ""}`}>
      <Use
        name={`All that agree: ${labels.join(", ")}`}
        on={left.length === 0}
        onFlip={() => onFlip(left.length === 0 || allOff ? group.features : left)}
      />
      <th scope="rowgroup" colSpan={4} className="voice py-0.5 pr-3 font-normal text-ink2">
        {group.features.length} clues that agree, together
      </th>
      <td className="pr-3 whitespace-nowrap">
        {left.length === 0 ? moves(told.medianShift) : allOff ? "left out" : "some left out"}
      </td>
      <td />
    </tr>
  );
}

function Row({
  clue,
  told,
  isPrinted,
  isOn,
  isOfSeveral,
  onFlip,
}: {
  clue: Clue;
  told: Clue;
  isPrinted: boolean;
  isOn: boolean;
  isOfSeveral: boolean;
  onFlip: () => void;
}) {
  return (
    <tr
      className={`align-baseline ${isOfSeveral ? "" : "border-t border-rule"} ${isPrinted ? "" : "print:hidden"} ${isOn ? "" : "text-ink3 line-through"} ${told.inConflict && isOn ? "text-lead" : ""}`}
    >
      <Use
        name={clue.feature === MARK ? clue.label : `${clue.label}: ${clue.value}`}
        on={isOn}
        onFlip={onFlip}
      />
      <th scope="row" className={`py-0.5 pr-3 font-semibold whitespace-nowrap ${isOfSeveral ? "pl-3" : ""}`}>
        {clue.part}
      </th>
      <td className="min-w-[9rem] pr-3">{clue.value}</td>
      <td className="num pr-3">{clue.notBefore ?? NONE}</td>
      <td className="num pr-3">{clue.notAfter ?? NONE}</td>
      <td className="pr-3 whitespace-nowrap">{isOn ? moves(told.medianShift) : "left out"}</td>
      <td className="min-w-[16rem] text-[0.8125rem]/4 text-ink2">
        {told.country && isOn && <span className="text-ink">Speaks {told.country.words}. </span>}
        {clue.why} {clue.source && <span className="voice">({clue.source})</span>}
      </td>
    </tr>
  );
}

function Use({ name, on, onFlip }: { name: string; on: boolean; onFlip: () => void }) {
  return (
    <td className="no-print h-7">
      <input type="checkbox" aria-label={name} checked={on} onChange={onFlip} className="size-4" />
    </td>
  );
}
