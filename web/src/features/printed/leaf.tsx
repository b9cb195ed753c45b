import { useMemo } from "react";
import type { Book, Leaf, ReadableEntry } from "../../api/types";
import { drawClosed, reach } from "../../drawing/closed";
import { placed } from "../../drawing/geometry";
import { Shapes } from "../../drawing/shapes";
import { lengthText, money, percent, titleBy, years } from "../../format";
import { asRead } from "../../letters";
import { usePreferences } from "../../preferences";

/** CSS pixels to a millimetre, the same for all. */
const SCALE = 2;
/** Room around it, in millimetres: a bail or a lanyard's eye may stand out. */
const EDGE = 2.5;

export interface Told {
  values: boolean;
  photographs: boolean;
  notes: boolean;
}

/** One knife in a printed catalogue: its drawing, its photograph, and what is known of it. */
export function LeafShown({ leaf, book, told }: { leaf: Leaf; book: Book; told: Told }) {
  const { school } = usePreferences();
  const { knife } = leaf;
  if (!knife.summary || !knife.sketch)
    return (
      <li className="flex gap-x-4 border-b border-rule py-2 break-inside-avoid">
        <InTheTray number={knife.number} />
        <p className="text-ink2">
          {knife.pending ? "Not worked out yet." : `Cannot be read: ${knife.unreadable ?? "no reason given"}`}
        </p>
      </li>
    );
  const entry = knife as ReadableEntry;
  const name = titleBy(school, entry.summary);
  return (
    <li className="grid grid-cols-[2.25rem_15rem_minmax(0,1fr)_auto] gap-x-4 border-b border-rule py-2 break-inside-avoid max-sm:grid-cols-[2.25rem_minmax(0,1fr)] print:grid-cols-[2.25rem_15rem_minmax(0,1fr)_auto]">
      <InTheTray number={knife.number} />
      <Drawn entry={entry} book={book} />
      <div className="min-w-0 max-sm:col-span-2 print:col-span-1">
        <h3 className="text-[1.0625rem]/6">{entry.title ?? name}</h3>
        {entry.title && <p className="text-ink2">{name}</p>}
        <Facts leaf={leaf} entry={entry} isWorthTold={told.values} />
        {entry.summary.conflict && (
          <p className="text-lead">What was seen of it does not agree: it may not be all of a piece.</p>
        )}
        {told.notes && leaf.note && <p className="mt-1 whitespace-pre-line">{leaf.note}</p>}
      </div>
      {told.photographs && leaf.photo && (
        <img
          src={`/api/photos/${leaf.photo}/thumbnail`}
          alt=""
          className="max-h-24 w-32 object-contain object-right-top max-sm:col-span-2 print:col-span-1"
        />
      )}
    </li>
  );
}

const InTheTray = ({ number }: { number: number }) => (
  <p className="num text-right text-[1.0625rem]/6 font-semibold">{number}</p>
);

/** Of all the same scale: which is the larger knife is seen. */
function Drawn({ entry, book }: { entry: ReadableEntry; book: Book }) {
  const { units } = usePreferences();
  const drawn = useMemo(() => {
    const { above, below } = reach(entry.sketch, book);
    return {
      shapes: drawClosed(entry.sketch, book, placed(SCALE, [EDGE, EDGE + above]), 0.8),
      width: (entry.sketch.closedLengthMm + 2 * EDGE) * SCALE,
      height: (above + below + 2 * EDGE) * SCALE,
    };
  }, [entry.sketch, book]);
  return (
    <figure>
      <svg
        width={drawn.width}
        height={drawn.height}
        viewBox={`0 0 ${drawn.width} ${drawn.height}`}
        className="max-w-full"
        aria-hidden="true"
      >
        <Shapes shapes={drawn.shapes} />
      </svg>
      <figcaption className="text-[0.78125rem]/4 text-ink2">
        {entry.sketch.measured
          ? `${lengthText(entry.sketch.closedLengthMm, units)} closed`
          : "not measured, drawn at the usual length"}
      </figcaption>
    </figure>
  );
}

function Facts({ leaf, entry, isWorthTold }: OfFacts) {
  return (
    <dl className="text-[0.84375rem]/5">
      {factsOf({ leaf, entry, isWorthTold })
        .filter(([, said]) => said)
        .map(([what, said]) => (
          <div key={what} className="inline-block pr-4">
            <dt className="inline text-ink2">{what}</dt> <dd className="inline">{said}</dd>
          </div>
        ))}
    </dl>
  );
}

interface OfFacts {
  leaf: Leaf;
  entry: ReadableEntry;
  isWorthTold: boolean;
}

function factsOf({ leaf, entry, isWorthTold }: OfFacts): [what: string, said: string | undefined][] {
  const { summary } = entry;
  return [
    [
      summary.maker ? "Maker" : "Made in",
      [summary.maker, leaf.country].filter(Boolean).join(", ") || undefined,
    ],
    ["Years", summary.span && `${years(summary.span)}, ${percent(summary.span.share)} chances in 100`],
    ["Mark", leaf.mark && asRead(leaf.mark)],
    ["Number", leaf.stamped],
    ["Handle", leaf.handle],
    ["Blades", leaf.blades === undefined ? undefined : `${leaf.blades}`],
    ["Grade", gradeWords(summary)],
    ["With it", summary.box],
    ["Lies", entry.place],
    ["Tags", entry.tags?.join(", ")],
    ["Worth", isWorthTold ? worthWords(summary) : undefined],
  ];
}

function gradeWords({ grade: { best, atLeast } }: ReadableEntry["summary"]): string | undefined {
  if (!best || !atLeast || atLeast.id === best.id) return best?.label;
  return `${best.label}; not all was looked at, ${atLeast.label} at least`;
}

function worthWords({ low, high, currency }: ReadableEntry["summary"]): string | undefined {
  if (low === undefined || high === undefined || !currency) return undefined;
  return `${money(Math.round(low), currency)} to ${money(Math.round(high), currency)}, half of like sales`;
}
