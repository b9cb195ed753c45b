import { useState } from "react";
import type { FacetTold, FacetValue } from "../../api/types";
import type { Search } from "./use-search";

/** So many values of a facet are shown before one asks for more. */
const SHOWN = 6;

/** By what the knives have in common: ticked values narrow the tray, several of one facet widen it again. */
export function Facets({ search }: { search: Search }) {
  const facets = (search.told?.facets ?? []).filter((f) => tells(f, search.ticks));
  if (facets.length === 0) return <p className="voice text-ink3">Nothing to narrow by yet.</p>;
  return (
    <div className="grid gap-y-3 sm:max-lg:grid-cols-3 sm:max-lg:gap-x-6">
      {facets.map((f) => (
        <Facet key={f.id} facet={f} search={search} />
      ))}
    </div>
  );
}

const tickOf = (facet: FacetTold, value: FacetValue) => `${facet.id}:${value.value}`;

/** One value that every knife has tells none from another. */
const tells = (facet: FacetTold, ticks: string[]) =>
  facet.values.length > 1 || facet.values.some((v) => ticks.includes(tickOf(facet, v)));

function Facet({ facet, search }: { facet: FacetTold; search: Search }) {
  const [isWhole, setWhole] = useState(false);
  const isTicked = (v: FacetValue) => search.ticks.includes(tickOf(facet, v));
  const shown = facet.values.filter((v, i) => isWhole || i < SHOWN || isTicked(v));
  const hidden = facet.values.length - shown.length;
  return (
    <fieldset className="min-w-0">
      <legend className="voice w-full border-b border-rule pb-0.5 text-ink2">{facet.label}</legend>
      {shown.map((v) => (
        <label
          key={v.value}
          className="grid min-h-6 grid-cols-[1rem_minmax(0,1fr)_auto] items-center gap-x-1.5 hover:bg-lit has-focus-visible:bg-lit"
        >
          <input
            type="checkbox"
            className="accent-blue"
            checked={isTicked(v)}
            onChange={() => search.toggle(tickOf(facet, v))}
          />
          <span className={`truncate ${v.found === 0 ? "text-ink3" : ""}`} title={v.value}>
            {v.value}
          </span>{" "}
          <Share value={v} />
        </label>
      ))}
      {(hidden > 0 || isWhole) && (
        <button type="button" className="min-h-6 text-ink2 underline" onClick={() => setWhole(!isWhole)}>
          {isWhole ? "fewer" : `${hidden} more`}
        </button>
      )}
    </fieldset>
  );
}

/** Up to so many knives stand as ticks, one each; more are a bar. */
const TICKS = 12;
const WIDE = 48;

function Share({ value: { of, found } }: { value: FacetValue }) {
  const isFew = of <= TICKS;
  const step = WIDE / TICKS;
  return (
    <span className="flex items-center gap-1.5">
      <svg width={WIDE} height="10" viewBox={`0 0 ${WIDE} 10`} aria-hidden="true">
        {isFew ? (
          Array.from({ length: of }, (_, i) => (
            <path
              // biome-ignore lint/suspicious/noArrayIndexKey: one tick is like another
              key={i}
              d={`M${WIDE - (i + 0.5) * step} 1v8`}
              stroke={i < found ? "var(--color-blue)" : "var(--color-edge)"}
              strokeWidth={i < found ? 2 : 1}
            />
          ))
        ) : (
          <>
            <path d={`M0 5H${WIDE}`} stroke="var(--color-edge)" />
            <path d={`M${WIDE} 5H${WIDE - (WIDE * found) / of}`} stroke="var(--color-blue)" strokeWidth="5" />
          </>
        )}
      </svg>
      <span className="num min-w-6 text-right">
        {found.toLocaleString()}
        <span className="sr-only"> of {of}</span>
      </span>
    </span>
  );
}
