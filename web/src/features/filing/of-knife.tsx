import { useId } from "react";
import { Field } from "../../ui/field";
import { TextEntry } from "../../ui/text-entry";
import { problemAt } from "../bench/problems";
import type { Knife } from "../bench/use-knife";
import { Tags } from "./tags";
import { useKnown } from "./use-known";

/** Where the knife in hand lies, and the collector's own words for it. */
export function OfKnife({ knife }: { knife: Knife }) {
  const known = useKnown();
  const list = useId();
  return (
    <div className="mt-2 grid gap-x-4 gap-y-1 sm:grid-cols-2">
      <Field label="Where it lies" problem={problemAt(knife.problems, "place")}>
        {(ids) => (
          <>
            <TextEntry
              {...ids}
              list={list}
              maxLength={80}
              placeholder="cabinet 2, drawer 4"
              value={knife.specimen.place ?? ""}
              onCommit={(text) => knife.change((s) => ({ ...s, place: text.trim() || undefined }))}
            />
            <datalist id={list}>
              {known.places.map((p) => (
                <option key={p} value={p} />
              ))}
            </datalist>
          </>
        )}
      </Field>
      <Tags
        label="Tags"
        // A draft of an older Snikra has none.
        tags={knife.specimen.tags ?? []}
        known={known.tags}
        onChange={(tags) => knife.change((s) => ({ ...s, tags }))}
      />
    </div>
  );
}
