import { useMemo } from "react";
import type { SeenBlade } from "../../../api/types";
import { BackView } from "../../../drawing/back";
import { answerOptions, bladeOptions } from "../../../drawing/pictures";
import { percent, shownLength, withUnit } from "../../../format";
import { usePreferences } from "../../../preferences";
import type { PictureOption } from "../../../ui/picker";
import { TextEntry } from "../../../ui/text-entry";
import { TextField } from "../../../ui/text-field";
import { useNewRow } from "../../../ui/use-new-row";
import { useReadings } from "../instruments";
import type { StationProps } from "../panel";
import { problemAt } from "../problems";
import { SeenChoice } from "../seen-choice";
import { FeaturesStation } from "./features";
import { readHeights, writeHeights } from "./heights";

/** Which blades there are, where they turn and which springs they press; then what the main blade shows. */
export function BladesStation({ knife, book }: StationProps) {
  const { blades } = knife.specimen;
  const sketch = knife.verdict?.sketch;
  const kinds = useMemo(() => bladeOptions(book), [book]);
  const { list, adder, ours } = useNewRow<HTMLDivElement>(blades.length);
  const set = (all: SeenBlade[]) => knife.change((s) => ({ ...s, blades: all }));
  return (
    <>
      <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-1">
        <p className="text-ink2">Main blade first.</p>
        {sketch && blades.length > 0 && (
          <figure className="text-right">
            <BackView back={sketch.back} />
            <figcaption className="voice text-[0.78125rem]/4 text-ink2">
              From the back, mark side up; dashed where nobody looked
            </figcaption>
          </figure>
        )}
      </div>
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
            onRemove={ours(() =>
              knife.change((s) => ({
                ...s,
                blades: blades.filter((_, k) => k !== i),
                marks: s.marks
                  .filter((m) => m.blade !== i + 1)
                  .map((m) => (m.blade > i + 1 ? { ...m, blade: m.blade - 1 } : m)),
              })),
            )}
          />
        ))}
      </div>
      <button
        type="button"
        ref={adder}
        data-adds
        className="press mt-2"
        disabled={blades.length >= 12}
        onClick={ours(() =>
          set([
            ...blades,
            {
              end: blades.length === 0 ? { value: "A", sureness: "sure" } : undefined,
              heights: [],
              seen: {},
              condition: {},
            },
          ]),
        )}
      >
        {blades.length === 0 ? "Add the main blade" : "Add a blade or tool"}
      </button>
      <div className="mt-2 border-t border-rule">
        <FeaturesStation knife={knife} book={book} station="blades" />
      </div>
    </>
  );
}

function BladeRow({
  place,
  blade,
  knife,
  book,
  kinds,
  onChange,
  onRemove,
}: StationProps & {
  place: number;
  kinds: PictureOption[];
  blade: SeenBlade;
  onChange: (b: SeenBlade) => void;
  onRemove: () => void;
}) {
  const { units, parts } = usePreferences();
  const drawn = knife.verdict?.sketch.blades[place];
  const caliper = useReadings("length", `blades[${place}].length`, (length) =>
    onChange({ ...blade, length }),
  );
  const name = place === 0 ? "Main blade" : `Blade ${place + 1}`;
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
      <span className="sm:hidden" />
      <SeenChoice
        label={`${name}: end`}
        isBare
        nothing="end not yet looked"
        seen={blade.end}
        options={book.choices.end}
        onChange={(end) => onChange({ ...blade, end })}
      />
      <SeenChoice
        label={`${name}: presses`}
        isBare
        nothing="springs not looked"
        seen={blade.presses}
        options={book.choices.presses}
        onChange={(presses) => onChange({ ...blade, presses })}
      />
      <span className="sm:hidden" />
      <TextEntry
        readings={caliper}
        aria-label={`${name}: length`}
        aria-invalid={problem ? true : undefined}
        placeholder={units === "in" ? "length, 2 3/4" : "length, 70"}
        value={
          shownLength(blade.length, drawn?.measured ? drawn.lengthMm : undefined, units, Number(parts)) ?? ""
        }
        onCommit={(text) => onChange({ ...blade, length: withUnit(text, units) || undefined })}
      />
      <button
        type="button"
        className="min-h-6 text-ink2 hover:underline max-sm:justify-self-end"
        aria-label={`Remove ${name.toLowerCase()}`}
        onClick={onRemove}
      >
        Remove
      </button>
      <BladeLooks place={place} blade={blade} knife={knife} book={book} onChange={onChange} />
      {problem && (
        <p className="col-span-full text-[0.78125rem]/4 text-lead">
          {problem.given}: {problem.accepted}.
        </p>
      )}
    </fieldset>
  );
}

/** What else one looks at on every blade: where it lies, its heights, and the looks of the book. */
function BladeLooks({
  place,
  blade,
  knife,
  book,
  onChange,
}: StationProps & { place: number; blade: SeenBlade; onChange: (b: SeenBlade) => void }) {
  const questions = book.questions.filter(
    (q) => q.asked === "each-blade" || (q.asked === "other-blades" && place > 0),
  );
  const { units } = usePreferences();
  const looked =
    Object.keys(blade.seen).length +
    (blade.side ? 1 : 0) +
    (blade.spring ? 1 : 0) +
    (blade.heights.length > 0 || blade.area ? 1 : 0);
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
            onChange={(seen) => {
              const { [q.id]: _, ...rest } = blade.seen;
              onChange({ ...blade, seen: seen ? { ...rest, [q.id]: seen } : rest });
            }}
          />
        ))}
        <SeenChoice
          label="Lies"
          seen={blade.side}
          options={book.choices.side}
          onChange={(side) => onChange({ ...blade, side })}
        />
        <SeenChoice
          label="Works against"
          seen={blade.spring && { ...blade.spring, value: blade.spring.value?.toString() }}
          options={book.choices.spring}
          onChange={(spring) =>
            onChange({
              ...blade,
              spring: spring && {
                ...spring,
                value: spring.value === undefined ? undefined : Number(spring.value),
              },
            })
          }
        />
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
      </div>
    </details>
  );
}
