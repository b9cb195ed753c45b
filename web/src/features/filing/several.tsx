import type { ReadableEntry } from "../../api/types";
import { OneLine } from "../../ui/one-line";
import { Closes, PopUp } from "../../ui/pop-up";
import { tagsOf } from "./tags";
import { useFiling } from "./use-filing";
import { useKnown } from "./use-known";

const many = (n: number) => (n === 1 ? "1 knife" : `${n.toLocaleString()} knives`);

/** Puts the chosen knives somewhere, or sorts them by a word. */
export function Several({ knives }: { knives: ReadableEntry[] }) {
  const file = useFiling();
  const known = useKnown();
  const ids = knives.map((k) => k.id);
  const are = knives.length === 1 ? "lies" : "lie";
  return (
    <PopUp name="Place and tags" align="start">
      <OneLine
        label="Where they lie"
        placeholder="cabinet 2, drawer 4"
        maxLength={80}
        known={known.places}
        button="Put there"
        onDone={(place) => file(ids, { place }, `${many(ids.length)} ${are} in ${place} now.`)}
      />
      {knives.some((k) => k.place !== undefined) && (
        <Closes
          className="mt-0.5 block min-h-6 text-ink2 underline"
          onClick={() => file(ids, { place: "" }, `Where ${many(ids.length)} ${are} is not told any more.`)}
        >
          No longer told
        </Closes>
      )}
      <div className="mt-3">
        <OneLine
          label="Tag them"
          placeholder="carried, to sell"
          maxLength={120}
          known={known.tags}
          button="Tag"
          onDone={(text) => {
            const tagged = tagsOf(text);
            if (tagged.length > 0) file(ids, { tagged }, `${many(ids.length)} tagged ${tagged.join(", ")}.`);
          }}
        />
      </div>
      <TheirTags knives={knives} />
    </PopUp>
  );
}

/** The tags these knives have, each with how many have it where not all do. */
function TheirTags({ knives }: { knives: ReadableEntry[] }) {
  const file = useFiling();
  const ids = knives.map((k) => k.id);
  const counts = new Map<string, number>();
  for (const k of knives) for (const t of k.tags ?? []) counts.set(t, (counts.get(t) ?? 0) + 1);
  if (counts.size === 0) return null;
  return (
    <ul className="mt-1 flex flex-wrap gap-x-2 gap-y-1">
      {[...counts].map(([tag, count]) => (
        <li key={tag} className="inline-flex items-center border border-edge pl-1.5">
          {tag}
          {count < knives.length && <span className="num ml-1.5 text-ink3">{count}</span>}
          <Closes
            className="min-h-6 min-w-6 text-ink2 hover:text-lead"
            aria-label={`Take ${tag} away from ${many(count)}`}
            onClick={() => file(ids, { untagged: [tag] }, `${tag} taken away from ${many(count)}.`)}
          >
            {"\u00d7"}
          </Closes>
        </li>
      ))}
    </ul>
  );
}
