import { Toolbar } from "radix-ui";
import { useMemo } from "react";
import type { Frame, Verdict } from "../../../api/types";
import { type Point, path, smooth } from "../../../drawing/geometry";
import { bolsterOptions, frameOptions } from "../../../drawing/pictures";
import { lengthInFull, percent, shownLength, withUnit } from "../../../format";
import { usePreferences } from "../../../preferences";
import { TextField } from "../../../ui/text-field";
import { useReadings } from "../instruments";
import type { StationProps } from "../panel";
import { problemAt } from "../problems";
import { SeenChoice } from "../seen-choice";

/** The usual outlines stand in the open; all of them are found by name. */
const USUAL_FRAMES = 16;

/** The first look: outline, size, bolsters and springs; and what the knife is called by them. */
export function PatternStation({ knife, book }: StationProps) {
  const { specimen } = knife;
  const frames = useMemo(() => frameOptions(book), [book]);
  const bolsters = useMemo(() => bolsterOptions(book), [book]);
  return (
    <>
      <UsualOutlines knife={knife} book={book} />
      <div className="mt-2 grid grid-cols-2 gap-x-4 gap-y-2 md:grid-cols-[minmax(0,25fr)_minmax(0,10.5fr)_minmax(0,28fr)_minmax(0,16.5fr)]">
        <SeenChoice
          label="Any outline"
          className="max-md:col-span-2"
          orElse={book.choices.share}
          seen={specimen.frame}
          options={frames}
          onChange={(frame) => knife.change((s) => ({ ...s, frame }))}
        />
        <ClosedLength knife={knife} />
        <SeenChoice
          label="Bolsters"
          className="max-md:col-span-2"
          orElse={book.choices.share}
          seen={specimen.bolsters}
          options={bolsters}
          onChange={(bolsters) => knife.change((s) => ({ ...s, bolsters }))}
        />
        <Springs knife={knife} />
      </div>
      <Names knife={knife} />
    </>
  );
}

type OfKnife = Pick<StationProps, "knife">;

function UsualOutlines({ knife, book }: StationProps) {
  const seen = knife.specimen.frame?.value;
  return (
    <fieldset className="mt-1">
      <legend className="voice text-[0.8125rem] text-ink2">
        Outline, slot up, main pivot at the right, as it is drawn above
      </legend>
      <Toolbar.Root
        aria-label="Usual outlines"
        className="mt-1 grid grid-cols-[repeat(auto-fill,minmax(5.9rem,1fr))]"
      >
        {book.frames.slice(0, USUAL_FRAMES).map((f) => (
          <FrameChoice
            key={f.id}
            frame={f}
            chosen={seen === f.id}
            onChoose={() =>
              knife.change((s) => ({
                ...s,
                frame: s.frame?.value === f.id ? undefined : { value: f.id, sureness: "sure" },
              }))
            }
          />
        ))}
      </Toolbar.Root>
    </fieldset>
  );
}

function ClosedLength({ knife }: OfKnife) {
  const { units, parts } = usePreferences();
  const sketch = knife.verdict?.sketch;
  const problem = problemAt(knife.problems, "closedLength");
  // What cannot be used stays as it was typed; the verdict still tells of what was there before.
  const lengthMm = sketch?.measured && !problem ? sketch.closedLengthMm : undefined;
  const caliper = useReadings("length", "closedLength", (closedLength) =>
    knife.change((s) => ({ ...s, closedLength })),
  );
  return (
    <TextField
      label="Closed length"
      problem={problem}
      placeholder={units === "in" ? "3 7/8" : "98.4"}
      value={shownLength(knife.specimen.closedLength, lengthMm, units, Number(parts))}
      hint={lengthMm === undefined ? undefined : lengthInFull(lengthMm, Number(parts))}
      readings={caliper}
      onCommit={(text) => knife.change((s) => ({ ...s, closedLength: text && withUnit(text, units) }))}
    />
  );
}

function Springs({ knife }: OfKnife) {
  const { springs } = knife.specimen;
  return (
    <SeenChoice
      label="Springs, counted at the back"
      seen={springs && { ...springs, value: springs.value?.toString() }}
      options={["0", "1", "2", "3"].map((n) => ({ id: n, label: n }))}
      onChange={(seen) =>
        knife.change((s) => ({
          ...s,
          springs: seen && { ...seen, value: seen.value === undefined ? undefined : Number(seen.value) },
        }))
      }
    />
  );
}

function FrameChoice({ frame, chosen, onChoose }: { frame: Frame; chosen: boolean; onChoose: () => void }) {
  return (
    <Toolbar.Button
      aria-pressed={chosen}
      title={frame.recognise}
      onClick={onChoose}
      className="flex flex-col items-center gap-0.5 border-b-[3px] border-transparent px-1 pt-1 pb-0.5 hover:bg-bone focus-visible:outline-offset-[-2px] aria-pressed:border-blue aria-pressed:bg-lit"
    >
      <FrameOutline frame={frame} />
      <span className={`text-center text-[0.78125rem]/4 ${chosen ? "font-semibold" : ""}`}>{frame.name}</span>
    </Toolbar.Button>
  );
}

function FrameOutline({ frame }: { frame: Frame }) {
  const rows = frame.profile as [number, number, number][];
  const wide = 76;
  const side = (k: 1 | 2) =>
    smooth(
      rows.map((r): Point => [r[0] * wide, 12 - r[k] * wide]),
      3,
    );
  return (
    <svg width={wide} height="25" viewBox={`-1 0 ${wide + 2} 25`} aria-hidden="true">
      <path
        transform={`rotate(180 ${wide / 2} 12.5)`}
        d={path([...side(1), ...side(2).reverse()])}
        fill="var(--color-bone)"
        stroke="currentColor"
        strokeWidth="1.1"
        strokeLinejoin="round"
      />
    </svg>
  );
}

function Names({ knife }: OfKnife) {
  const names = knife.verdict?.pattern.names ?? [];
  const { school } = usePreferences();
  if (names.length === 0)
    return (
      <p className="voice mt-3 text-ink3">
        No name yet. Choose an outline and set the blades in at station 2.
      </p>
    );
  const sorted =
    school === "trade" ? [...names].sort((a, b) => b.tradeProbability - a.tradeProbability) : names;
  return (
    <table className="mt-3 w-full border-t border-rule" data-testid="names">
      <thead>
        <tr className="voice text-left text-[0.78125rem] text-ink2">
          <th className="w-12 font-normal">strict</th>
          <th className="w-12 font-normal">trade</th>
          <th className="font-normal">
            <span className="sr-only">Name and reasons</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {sorted.map((n, i) => (
          <tr key={n.pattern} className="border-t border-rule align-top">
            <Share p={n.probability} isChosen={school === "strict"} />
            <Share p={n.tradeProbability} isChosen={school === "trade"} />
            <Named name={n} isFirst={i === 0} />
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Named({ name: n, isFirst }: { name: Verdict["pattern"]["names"][number]; isFirst: boolean }) {
  return (
    <td className="py-1">
      <p>
        <span className={isFirst ? "font-semibold" : ""}>{n.strictly}</span>
        {n.departures.length > 0 && <span>, {n.departures.join(", ")}</span>}
        {n.inTrade.length > 0 && (
          <span className="voice text-ink2">
            , in today{"\u2019"}s trade also {n.inTrade.join(", ").toLowerCase()}
          </span>
        )}
      </p>
      <p className="text-ink2">{n.because}</p>
      {n.settle && <p>To settle it: {n.settle.look}</p>}
      {isFirst && <Requirements list={n.requirements} />}
      {n.definition.length > 0 && (
        <p className="text-[0.78125rem]/4 text-ink2">Strictly: {n.definition.join(" ")}</p>
      )}
      {n.soldAs.length > 0 && (
        <p className="text-[0.78125rem]/4 text-ink2">In the shops: {n.soldAs.join(" ")}</p>
      )}
    </td>
  );
}

function Share({ p, isChosen }: { p: number; isChosen: boolean }) {
  return (
    <td className={`num py-1 ${isChosen ? "text-[1.0625rem]/5" : "text-ink2"}`}>
      {p === 0 ? (
        "\u2013"
      ) : (
        <>
          {percent(p)}
          <small className="text-[0.71875rem]">%</small>
        </>
      )}
    </td>
  );
}

function Requirements({ list }: { list: { asks: string; found?: string; standing: string }[] }) {
  const group = (standing: string) => list.filter((r) => r.standing === standing).map((r) => r.asks);
  const parts = [
    ["Met", group("met")],
    ["Missed", group("missed")],
    ["Not yet known", group("unknown")],
  ] as const;
  return (
    <p className="text-[0.78125rem]/4 text-ink2">
      {parts
        .filter(([, all]) => all.length > 0)
        .map(([word, all]) => `${word}: ${all.join("; ")}.`)
        .join(" ")}
    </p>
  );
}
