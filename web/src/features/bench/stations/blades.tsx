import type { SeenBlade } from "../../../api/types";
import { withUnit } from "../../../format";
import { usePreferences } from "../../../preferences";
import { Select } from "../../../ui/select";
import { TextEntry } from "../../../ui/text-entry";
import type { StationProps } from "../panel";
import { problemAt } from "../problems";
import { FeaturesStation } from "./features";

const ENDS = [
  { id: "A", label: "A, with the main blade" },
  { id: "B", label: "B, the other end" },
];
const PRESSES = [
  { id: "one", label: "one spring" },
  { id: "both", label: "both springs" },
];

/** Which blades there are, where they turn and which springs they press; then what the main blade shows. */
export function BladesStation({ knife, book }: StationProps) {
  const { blades } = knife.specimen;
  const set = (all: SeenBlade[]) => knife.change((s) => ({ ...s, blades: all }));
  return (
    <>
      <p className="text-ink2">
        Main blade first. Pinch the back of a blade, never the edge, and keep fingers out of its path.
      </p>
      <div className="mt-1 border-t border-rule">
        {blades.map((b, i) => (
          <BladeRow
            // biome-ignore lint/suspicious/noArrayIndexKey: a blade is known by its place
            key={i}
            place={i}
            blade={b}
            knife={knife}
            book={book}
            onChange={(changed) => set(blades.map((o, k) => (k === i ? changed : o)))}
            onRemove={() => {
              knife.change((s) => ({
                ...s,
                blades: blades.filter((_, k) => k !== i),
                marks: s.marks
                  .filter((m) => m.blade !== i + 1)
                  .map((m) => (m.blade > i + 1 ? { ...m, blade: m.blade - 1 } : m)),
              }));
            }}
          />
        ))}
      </div>
      <button
        type="button"
        className="press mt-2"
        disabled={blades.length >= 12}
        onClick={() => set([...blades, { end: blades.length === 0 ? "A" : undefined }])}
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
  onChange,
  onRemove,
}: StationProps & {
  place: number;
  blade: SeenBlade;
  onChange: (b: SeenBlade) => void;
  onRemove: () => void;
}) {
  const { units } = usePreferences();
  const name = place === 0 ? "Main blade" : `Blade ${place + 1}`;
  const problem = problemAt(knife.problems, `blades[${place}].length`);
  return (
    <fieldset className="grid grid-cols-[1.25rem_minmax(0,1.4fr)_minmax(0,1.2fr)] items-center gap-x-3 border-b border-rule py-1 sm:grid-cols-[1.25rem_minmax(0,1.6fr)_minmax(0,1.3fr)_minmax(0,1fr)_minmax(0,0.9fr)_auto]">
      <legend className="sr-only">{name}</legend>
      <span className="num text-ink2">{place + 1}</span>
      <Select
        aria-label={`${name}: kind`}
        value={blade.type}
        nothing="kind not yet looked"
        options={book.blades.map((t) => ({ id: t.id, label: t.name }))}
        onChange={(type) => onChange({ ...blade, type })}
      />
      <Select
        aria-label={`${name}: end`}
        value={blade.end}
        nothing="end not yet looked"
        options={ENDS}
        onChange={(end) => onChange({ ...blade, end: end as SeenBlade["end"] })}
      />
      <span className="sm:hidden" />
      <Select
        aria-label={`${name}: presses`}
        value={blade.presses}
        nothing="springs not looked"
        options={PRESSES}
        onChange={(presses) => onChange({ ...blade, presses: presses as SeenBlade["presses"] })}
      />
      <TextEntry
        aria-label={`${name}: length`}
        aria-invalid={problem ? true : undefined}
        placeholder={units === "in" ? "length, 2 3/4" : "length, 70"}
        value={blade.length ?? ""}
        onCommit={(text) => onChange({ ...blade, length: withUnit(text, units) || undefined })}
      />
      <button
        type="button"
        className="min-h-6 text-ink2 hover:underline"
        aria-label={`Remove ${name.toLowerCase()}`}
        onClick={onRemove}
      >
        Remove
      </button>
      {problem && (
        <p className="col-span-full text-[0.78125rem]/4 text-lead">
          {problem.given}: {problem.accepted}.
        </p>
      )}
    </fieldset>
  );
}
