import { useState } from "react";
import type { Problem, StoryEvent } from "../../../api/types";
import { sentence } from "../../../format";
import { Field } from "../../../ui/field";
import { Select } from "../../../ui/select";
import { TextField } from "../../../ui/text-field";
import type { StationProps } from "../panel";
import { problemAt } from "../problems";
import { DateEntry } from "./date-entry";
import { MoneyEntry } from "./money-entry";
import { OwnPicture } from "./own-picture";

interface EventProps extends StationProps {
  event: StoryEvent;
  set: (event: StoryEvent) => void;
  /** Its place in the story. */
  i: number;
}

/** Takes what changed alone: a price and a date may both be on their way to be read. */
const changed = (knife: StationProps["knife"], place: number, what: Partial<StoryEvent>) =>
  knife.change((s) => ({
    ...s,
    story: s.story.map((e, at) => (at === place ? { ...e, ...what } : e)),
  }));

/** An event of a story: what, who says so, what was paid and what is kept with it. */
export function EventFields(event: EventProps) {
  return (
    <>
      <WhatHappened {...event} />
      <WhoSaysSo {...event} />
      <KeptWithIt {...event} />
    </>
  );
}

function WhatHappened({ event, set, i, knife, book }: EventProps) {
  return (
    <>
      <Field label="What">
        {(ids) => (
          <Select
            {...ids}
            value={event.kind}
            nothing="choose"
            options={book.choices.story}
            onChange={(kind) => kind && set({ ...event, kind: kind as StoryEvent["kind"] })}
          />
        )}
      </Field>
      <DateEntry
        label="When"
        placeholder="c. 1936"
        problem={problemAt(knife.problems, `story[${i}].date`)}
        value={event.date}
        onChange={(date) => changed(knife, i, { date })}
      />
      <TextField label="Holder" value={event.holder} onCommit={(holder) => set({ ...event, holder })} />
      {(event.kind === "engraved" || event.letters !== undefined) && (
        <TextField
          label="What was cut"
          placeholder="J.B.R."
          maxLength={120}
          value={event.letters}
          onCommit={(letters) => set({ ...event, letters })}
        />
      )}
    </>
  );
}

function WhoSaysSo({ event, set, book }: EventProps) {
  return (
    <>
      <TextField label="From where" value={event.place} onCommit={(place) => set({ ...event, place })} />
      <Field label="Who says so">
        {(ids) => (
          <Select
            {...ids}
            value={event.source}
            nothing="choose"
            options={book.choices.source}
            onChange={(source) => source && set({ ...event, source: source as StoryEvent["source"] })}
          />
        )}
      </Field>
      <TextField
        label="Told by"
        maxLength={120}
        value={event.teller}
        onCommit={(teller) => set({ ...event, teller })}
      />
      <Field label="Said to be from">
        {(ids) => (
          <Select
            {...ids}
            value={event.region}
            nothing="not said"
            options={book.regions.map((r) => ({ id: r.id, label: sentence(r.name) }))}
            onChange={(region) => set({ ...event, region })}
          />
        )}
      </Field>
      <Field label="Said to be by">
        {(ids) => (
          <Select
            {...ids}
            value={event.maker}
            nothing="not said"
            options={book.makers.map((m) => ({ id: m.id, label: m.name }))}
            onChange={(maker) => set({ ...event, maker })}
          />
        )}
      </Field>
    </>
  );
}

function KeptWithIt({ event, set, i, knife, book }: EventProps) {
  return (
    <>
      <MoneyEntry
        label="Price paid"
        amount={event.price}
        currency={event.currency}
        problem={
          problemAt(knife.problems, `story[${i}].price`) ?? problemAt(knife.problems, `story[${i}].currency`)
        }
        onChange={(price, currency) => changed(knife, i, { price, currency })}
      />
      {(event.kind === "advertised" || event.shows) && (
        <ShownWith
          book={book}
          shows={event.shows ?? {}}
          problem={knife.problems.find((p) => p.field.startsWith(`story[${i}].shows`))}
          onChange={(shows) => set({ ...event, shows })}
        />
      )}
      <OwnPicture
        label="The paper that says so"
        alt="The paper that says so"
        value={event.document}
        onChange={(document) => set({ ...event, document })}
      />
      <TextField
        label="Note"
        className="col-span-2"
        maxLength={1000}
        value={event.note}
        onCommit={(note) => set({ ...event, note })}
      />
    </>
  );
}

/** What such a knife is shown with in a picture or a text of its date, look by look. */
function ShownWith({
  book,
  shows,
  problem,
  onChange,
}: {
  book: StationProps["book"];
  shows: Record<string, string>;
  problem?: Problem;
  onChange: (shows: Record<string, string> | undefined) => void;
}) {
  const asked = book.questions.filter((q) => q.asked === "once" && q.answers.length > 0);
  const [adding, setAdding] = useState<string>();
  const open = asked.find((q) => q.id === adding);
  const answered = asked.filter((q) => shows[q.id] !== undefined);
  const answer = (question: string, id: string | undefined) => {
    const { [question]: _, ...rest } = shows;
    const all = id ? { ...rest, [question]: id } : rest;
    onChange(Object.keys(all).length > 0 ? all : undefined);
    setAdding(undefined);
  };
  return (
    <div className="col-span-full grid grid-cols-2 items-end gap-x-4 gap-y-1 sm:grid-cols-4">
      {[...answered, ...(open ? [open] : [])].map((q) => (
        <Field key={q.id} label={`Shown with: ${q.label.toLowerCase()}`} problem={problem}>
          {(ids) => (
            <Select
              {...ids}
              value={shows[q.id]}
              nothing="choose"
              options={q.answers}
              onChange={(id) => answer(q.id, id)}
            />
          )}
        </Field>
      ))}
      <Field label="Such a knife is shown with">
        {(ids) => (
          <Select
            {...ids}
            value={undefined}
            nothing={answered.length > 0 ? "and what else" : "nothing told"}
            options={asked.filter((q) => shows[q.id] === undefined && q.id !== adding)}
            onChange={setAdding}
          />
        )}
      </Field>
    </div>
  );
}
