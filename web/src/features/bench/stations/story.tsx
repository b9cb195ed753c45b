import type { StoryEvent } from "../../../api/types";
import { sentence } from "../../../format";
import { Field } from "../../../ui/field";
import { Select } from "../../../ui/select";
import { TextEntry } from "../../../ui/text-entry";
import type { StationProps } from "../panel";
import { problemAt } from "../problems";
import { MoneyEntry } from "./money-entry";
import { Rows } from "./rows";

const KINDS = ["held", "bought", "given", "inherited", "found", "engraved", "advertised"];
const SOURCES = ["own-record", "document", "catalogue", "book", "family", "dealer", "hearsay"];
const options = (ids: string[]) => ids.map((id) => ({ id, label: sentence(id.replace("-", " ")) }));

/** Where it has been: holders and events with dates as uncertain as they are, each with its source. */
export function StoryStation({ knife }: StationProps) {
  return (
    <div className="mt-1">
      <p className="text-ink2">
        Dates may be open: 1936, 193X, 1936~ about, ../1936 by then. A story counts as much as its source, and
        may contradict the knife.
      </p>
      <Rows<StoryEvent>
        entries={knife.specimen.story}
        name="Event"
        add="Add an event"
        empty="Nothing known. Where did it come from?"
        blank={{ kind: "bought", source: "own-record" }}
        onChange={(story) => knife.change((s) => ({ ...s, story }))}
      >
        {(event, set, i) => (
          <>
            <Field label="What">
              {(ids) => (
                <Select
                  {...ids}
                  value={event.kind}
                  nothing="choose"
                  options={options(KINDS)}
                  onChange={(kind) => kind && set({ ...event, kind: kind as StoryEvent["kind"] })}
                />
              )}
            </Field>
            <Field label="When" problem={problemAt(knife.problems, `story[${i}].date`)}>
              {(ids) => (
                <TextEntry
                  {...ids}
                  placeholder="193X"
                  value={event.date ?? ""}
                  onCommit={(date) => set({ ...event, date: date.trim() || undefined })}
                />
              )}
            </Field>
            <Field label="Holder">
              {(ids) => (
                <TextEntry
                  {...ids}
                  maxLength={120}
                  value={event.holder ?? ""}
                  onCommit={(holder) => set({ ...event, holder: holder.trim() || undefined })}
                />
              )}
            </Field>
            <Field label="From where">
              {(ids) => (
                <TextEntry
                  {...ids}
                  maxLength={120}
                  value={event.place ?? ""}
                  onCommit={(place) => set({ ...event, place: place.trim() || undefined })}
                />
              )}
            </Field>
            <Field label="Who says so">
              {(ids) => (
                <Select
                  {...ids}
                  value={event.source}
                  nothing="choose"
                  options={options(SOURCES)}
                  onChange={(source) => source && set({ ...event, source: source as StoryEvent["source"] })}
                />
              )}
            </Field>
            <MoneyEntry
              label="Price paid"
              amount={event.price}
              currency={event.currency}
              problem={
                problemAt(knife.problems, `story[${i}].price`) ??
                problemAt(knife.problems, `story[${i}].currency`)
              }
              onChange={(price, currency) => set({ ...event, price, currency })}
            />
            <Field label="Note" className="col-span-2">
              {(ids) => (
                <TextEntry
                  {...ids}
                  maxLength={1000}
                  value={event.note ?? ""}
                  onCommit={(note) => set({ ...event, note: note.trim() || undefined })}
                />
              )}
            </Field>
          </>
        )}
      </Rows>
    </div>
  );
}
