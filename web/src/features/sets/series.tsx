import { Link } from "react-router";
import type { ReadableEntry, SetSeries } from "../../api/types";
import { percent } from "../../format";
import { span } from "./row";

type SeriesPlace = SetSeries["places"][number];

/** What a maker changed over its years: each shield, handle or code in its place, with the knife that shows it. */
export function Series({
  series,
  onlyGaps,
  knives,
}: {
  series: SetSeries;
  onlyGaps: boolean;
  knives: Map<number, ReadableEntry>;
}) {
  const shown = series.places.filter((p) => !onlyGaps || p.gap);
  if (shown.length === 0) return null;
  return (
    <section aria-label={series.label} className="mt-4 break-inside-avoid">
      <h3 className="flex flex-wrap items-baseline gap-x-3">
        <span className="font-semibold">{series.label}</span>
        <span className="text-ink2">
          <span className="num">{series.owned}</span> of <span className="num">{series.places.length}</span>
        </span>
      </h3>
      <ul className="mt-1 grid grid-cols-[repeat(auto-fill,minmax(8.5rem,1fr))] pt-px pl-px">
        {shown.map((p) => (
          <Place key={`${p.value} ${p.from}`} place={p} knives={knives} />
        ))}
      </ul>
    </section>
  );
}

function Place({ place, knives }: { place: SeriesPlace; knives: Map<number, ReadableEntry> }) {
  const best = place.held[0];
  const knife = best && knives.get(best.number);
  const isFilled = place.stand === "owned" || place.stand === "better-wanted";
  return (
    <li className={`-mt-px -ml-px border border-rule px-2 py-1 ${isFilled ? "bg-lit" : ""}`}>
      <p className="flex items-baseline justify-between gap-2">
        <span className="min-w-0 break-words">{place.label}</span>
        <span className="num text-[0.78125rem]/4 text-ink2">{span(place)}</span>
      </p>
      {best ? (
        <p className="text-[0.84375rem]/[1.125rem]">
          {place.stand === "perhaps" && <span className="voice">perhaps </span>}
          {knife ? (
            <Link to={`/bench/${knife.id}`} className="inline-block min-h-6 underline">
              No. {best.number}
            </Link>
          ) : (
            `No. ${best.number}`
          )}
          {place.stand === "perhaps" && `, ${percent(best.chance)} in 100`}
          {place.held.length > 1 && <span className="text-ink2"> and {place.held.length - 1} more</span>}
          {place.stand === "better-wanted" && <span className="block text-lead">a better one is wanted</span>}
        </p>
      ) : (
        <p className="voice text-ink3">missing</p>
      )}
    </li>
  );
}
