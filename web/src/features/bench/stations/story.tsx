import { useState } from "react";
import { Link, useParams } from "react-router";
import type { StoryEvent } from "../../../api/types";
import { Field } from "../../../ui/field";
import { OfKnife } from "../../filing/of-knife";
import { StoryAxis } from "../../story/axis";
import { FromLedger } from "../../story/from-ledger";
import { HeldAgainst } from "../../story/held";
import { useStory } from "../../story/use-story";
import type { StationProps } from "../panel";
import { problemAt } from "../problems";
import { Rows } from "./rows";
import { EventFields } from "./story-event";

/** Whatever else one wants to keep with the knife; it says nothing of its years. */
function KnifeNote({ knife }: Pick<StationProps, "knife">) {
  const [written, setWritten] = useState<string>();
  const kept = knife.specimen.note ?? "";
  const commit = () => {
    if (written !== undefined && written !== kept) {
      const note = written.trim() || undefined;
      knife.change((s) => ({ ...s, note }));
    }
    setWritten(undefined);
  };
  return (
    <Field label="Your note" problem={problemAt(knife.problems, "note")} className="mt-2">
      {(ids) => (
        <textarea
          {...ids}
          rows={Math.min(8, 1 + (written ?? kept).split("\n").length)}
          maxLength={4000}
          className="entry h-auto w-full"
          value={written ?? kept}
          onChange={(e) => setWritten(e.target.value)}
          onBlur={commit}
        />
      )}
    </Field>
  );
}

/** Where it has been: holders and events with dates as uncertain as they are, each with its source. */
export function StoryStation({ knife, book }: StationProps) {
  const { id } = useParams();
  const told = useStory(knife.specimen.story.length > 0 ? knife.specimen : undefined);
  return (
    <div className="mt-1">
      <p className="text-ink2">
        Dates as you would write them: c. 1936, 1930s, May 1936, before 1936, 1917-1919. A story counts as
        much as its source, and may contradict the knife.
      </p>
      {told.data && knife.specimen.story.length > 0 && (
        <>
          <StoryAxis story={told.data} />
          {id && (
            <Link to={`/bench/${id}/story`} className="inline-block min-h-6 underline">
              Provenance sheet to print
            </Link>
          )}
        </>
      )}
      {id && <FromLedger knife={id} />}
      <OfKnife knife={knife} />
      <KnifeNote knife={knife} />
      <Rows<StoryEvent>
        entries={knife.specimen.story}
        name="Event"
        add="Add an event"
        empty="Nothing known. Where did it come from?"
        blank={{ kind: "bought", source: "own-record" }}
        note={(i) => <HeldAgainst link={told.data?.links[i]} />}
        change={(update) => knife.change((s) => ({ ...s, story: update(s.story) }))}
      >
        {(event, set, i) => <EventFields event={event} set={set} i={i} knife={knife} book={book} />}
      </Rows>
    </div>
  );
}
