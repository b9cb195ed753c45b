import { useMemo } from "react";
import type { SeenBlade } from "../../../api/types";
import { BackView } from "../../../drawing/back";
import { answerOptions, bladeOptions } from "../../../drawing/pictures";
import { percent, shownLength, withUnit } from "../../../format";
import { usePreferences } from "../../../preferences";
import { Key } from "../../../ui/key";
import type { PictureOption } from "../../../ui/picker";
import { TextEntry } from "../../../ui/text-entry";
import { TextField } from "../../../ui/text-field";
import { useNewRow } from "../../../ui/use-new-row";
import { blankBlade, isAskedOf, sharedWithBefore, withAnswer, withoutBlade, withShared } from "../edits";
import { useReadings } from "../instruments";
import type { StationProps } from "../panel";
import { problemAt } from "../problems";
import { SeenChoice } from "../seen-choice";
import { FeaturesStation } from "./features";
import { readHeights, writeHeights } from "./heights";

/** Which blades there are, where they turn and which springs they press; then what the main blade shows. */
export function BladesStation({ knife, book }: StationProps) {
  const { blades } = knife.specimen;
  const kinds = useMemo(() => bladeOptions(book), [book]);
  const { list, adder, ours } = useNewRow<HTMLDivElement>(blades.length);
  const set = (all: SeenBlade[]) => knife.change((s) => ({ ...s, blades: all }));
  return (
    <>
      <FromTheBack knife={knife} />
      <div ref={list} className="mt-1 border-t border-rule">
        {blades.map((b, i) => (
          <BladeRow
            // biome-ignore lint/suspicious/noArrayIndexKey: a blade is known by its place
            key={i}
            place={i}
            blade={b}
            knife={knife}
            book={book}
            kinds={kinds}
            onChange={(changed) => set(blades.map((o, k) => (k === i ? changed : o)))}
            onRemove={ours(() => knife.change((s) => withoutBlade(s, i)))}
          />
        ))}
      </div>
      <button
        type="button"
        ref={adder}
        data-adds
        className="press mt-2"
        disabled={blades.length >= 12}
        onClick={ours(() => set([...blades, blankBlade(blades.length === 0)]))}
      >
        {blades.length === 0 ? "Add the main blade" : "Add a blade or tool"}
      </button>
      <div className="mt-2 border-t border-rule">
        <FeaturesStation knife={knife} book={book} station="blades" />
      </div>
    </>
  );
}

function FromTheBack({ knife }: Pick<StationProps, "knife">) {
  const sketch = knife.verdict?.sketch;
  return (
    <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-1">
      <p className="text-ink2">Main blade first.</p>
      {sketch && knife.specimen.blades.length > 0 && (
        <figure className="text-right">
          <BackView back={sketch.back} />
          <figcaption className="voice text-[0.78125rem]/4 text-ink2">
            From the back, mark side up; dashed where nobody looked
          </figcaption>
        </figure>
      )}
    </div>
  );
}

function BladeRow({ kinds, onRemove, ...row }: OfBlade & { kinds: PictureOption[]; onRemove: () => void }) {
  const { place, blade, knife, book, onChange } = row;
  const name = nameOf(place);
  const problem = problemAt(knife.problems, `blades[${place}].length`);
  return (
    <fieldset className="grid grid-cols-[1.25rem_minmax(0,1.4fr)_minmax(0,1.2fr)] items-center gap-x-3 border-b border-rule py-1 sm:grid-cols-[1.25rem_minmax(0,2fr)_minmax(0,1.2fr)_minmax(0,1fr)_minmax(0,0.75fr)_auto]">
      <legend className="sr-only">{name}</legend>
      <span className="num text-ink2">{place + 1}</span>
      <SeenChoice
        label={`${name}: kind`}
        isBare
        orElse={book.choices.share}
        className="max-sm:col-span-2"
        nothing="kind not yet looked"
        seen={blade.type}
        options={kinds}
        onChange={(type) => onChange({ ...blade, type })}
      />
      <WhereItTurns {...row} />
      <BladeLength {...row} />
      <button
        type="button"
        className="min-h-6 text-ink2 hover:underline max-sm:justify-self-end"
        aria-label={`Remove ${name.toLowerCase()}`}
        onClick={onRemove}
      >
        Remove
      </button>
      <BladeLooks {...row} />
      <LikeTheBladeBefore {...row} />
      {problem && (
        <p className="col-span-full text-[0.78125rem]/4 text-lead">
          {problem.given}: {problem.accepted}.
        </p>
      )}
    </fieldset>
  );
}

type OfBlade = StationProps & { place: number; blade: SeenBlade; onChange: (b: SeenBlade) => void };

const nameOf = (place: number) => (place === 0 ? "Main blade" : `Blade ${place + 1}`);

/** At which end it turns, and which spring it presses. */
function WhereItTurns({ place, blade, book, onChange }: OfBlade) {
  return (
    <>
      <span className="sm:hidden" />
      <SeenChoice
        label={`${nameOf(place)}: end`}
        isBare
        nothing="end not yet looked"
        seen={blade.end}
        options={book.choices.end}
        onChange={(end) => onChange({ ...blade, end })}
      />
      <SeenChoice
        label={`${nameOf(place)}: presses`}
        isBare
        nothing="springs not looked"
        seen={blade.presses}
        options={book.choices.presses}
        onChange={(presses) => onChange({ ...blade, presses })}
      />
      <span className="sm:hidden" />
    </>
  );
}

function BladeLength({ place, blade, knife, onChange }: OfBlade) {
  const { units, parts } = usePreferences();
  const at = `blades[${place}].length`;
  const drawn = knife.verdict?.sketch.blades[place];
  const problem = problemAt(knife.problems, at);
  // What cannot be used stays as it was typed; the verdict still tells of what was there before.
  const lengthMm = drawn?.measured && !problem ? drawn.lengthMm : undefined;
  const caliper = useReadings("length", at, (length) => onChange({ ...blade, length }));
  return (
    <TextEntry
      readings={caliper}
      aria-label={`${nameOf(place)}: length`}
      aria-invalid={problem ? true : undefined}
      placeholder={units === "in" ? "length, 2 3/4" : "length, 70"}
      value={shownLength(blade.length, lengthMm, units, Number(parts)) ?? ""}
      onCommit={(text) => onChange({ ...blade, length: withUnit(text, units) || undefined })}
    />
  );
}

/** One press for what blades of a knife have in common; it names what it takes over. */
function LikeTheBladeBefore({ place, knife, book }: OfBlade) {
  const shared = sharedWithBefore(knife.specimen, place, book.questions);
  const words = book.questions.flatMap((q) => {
    const answer = q.answers.find((a) => a.id === shared[q.id]?.value);
    return answer ? [answer.label.toLowerCase()] : [];
  });
  if (words.length === 0) return null;
  return (
    <button
      type="button"
      data-as-before
      className="col-span-full min-h-6 justify-self-start text-left text-[0.78125rem]/4 hover:underline"
      onClick={(e) => {
        // The button goes with the press: the keys go on from what it filled in.
        if (document.activeElement === e.currentTarget)
          e.currentTarget.closest("fieldset")?.querySelector("summary")?.focus();
        knife.change((s) => withShared(s, place, book.questions));
      }}
    >
      As the blade before: {words.join(", ")} <Key>=</Key>
    </button>
  );
}

/** What else one looks at on every blade: where it lies, its heights, and the looks of the book. */
function BladeLooks({ ...row }: OfBlade) {
  const { place, blade, knife, book, onChange } = row;
  const questions = book.questions.filter((q) => isAskedOf(q, place));
  const looked = lookedAt(blade);
  const left = knife.verdict?.sketch.blades[place]?.left;
  return (
    <details className="col-span-full">
      <summary className="min-h-6 cursor-pointer text-[0.78125rem]/6 text-ink2">
        Pull, half stop, etch, swedge, edge, which spring, and wear
        {looked > 0 && `, ${looked} looked at`}
        {left && `: ${percent(left.share)}% left (${percent(left.low)} to ${percent(left.high)})`}
      </summary>
      <div className="grid grid-cols-2 gap-x-5 gap-y-1.5 pb-2 pl-8 md:grid-cols-3">
        {questions.map((q) => (
          <SeenChoice
            key={q.id}
            label={q.label}
            orElse={book.choices.share}
            seen={blade.seen[q.id]}
            options={answerOptions(book, q) ?? q.answers}
            onChange={(seen) => onChange({ ...blade, seen: withAnswer(blade.seen, q.id, seen) })}
          />
        ))}
        <WhereItLies {...row} />
        <HowMuchIsLeft {...row} />
      </div>
    </details>
  );
}

const lookedAt = (blade: SeenBlade): number =>
  Object.keys(blade.seen).length +
  (blade.side ? 1 : 0) +
  (blade.spring ? 1 : 0) +
  (blade.heights.length > 0 || blade.area ? 1 : 0);

function WhereItLies({ blade, book, onChange }: OfBlade) {
  const { spring } = blade;
  return (
    <>
      <SeenChoice
        label="Lies"
        seen={blade.side}
        options={book.choices.side}
        onChange={(side) => onChange({ ...blade, side })}
      />
      <SeenChoice
        label="Works against"
        seen={spring && { ...spring, value: spring.value?.toString() }}
        options={book.choices.spring}
        onChange={(now) =>
          onChange({
            ...blade,
            spring: now && { ...now, value: now.value === undefined ? undefined : Number(now.value) },
          })
        }
      />
    </>
  );
}

function HowMuchIsLeft({ place, blade, knife, onChange }: OfBlade) {
  const { units } = usePreferences();
  return (
    <>
      <TextField
        label="Heights along it"
        hint="place from the tang : height; the first close to the tang"
        problem={knife.problems.find((p) => p.field.startsWith(`blades[${place}].heights`))}
        placeholder={units === "in" ? "1/8 : 1/2; 1 : 7/16" : "4 : 12.5; 30 : 11"}
        maxLength={300}
        value={writeHeights(blade.heights)}
        onCommit={(text) => onChange({ ...blade, heights: readHeights(text ?? "", units) })}
      />
      {blade.area && (
        <p className="text-[0.78125rem]/4 text-ink2">
          Traced on a photograph:{" "}
          <span className="num">
            {blade.area.mm2.toFixed(0)} mm{"\u00b2"} {"\u00b1"} {(1.645 * blade.area.spread).toFixed(0)}
          </span>
          <button
            type="button"
            className="ml-2 min-h-6 hover:underline"
            onClick={() => onChange({ ...blade, area: undefined })}
          >
            forget it
          </button>
        </p>
      )}
    </>
  );
}
