import { useState } from "react";
import type { Problem, StoryEvent } from "../../../api/types";
import { sentence } from "../../../format";
import { SelectField } from "../../../ui/select-field";
import { TextField } from "../../../ui/text-field";
import type { StationProps } from "../panel";
import { problemAt } from "../problems";
import { DateEntry } from "./date-entry";
import { MoneyEntry } from "./money-entry";
import { OwnPicture } from "./own-picture";

interface EventProps extends StationProps {
  event: StoryEvent;
  set: (part: Partial<StoryEvent>) => void;
  /** Its place in the story. */
  i: number;
}

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
      <SelectField
        label="What"
        value={event.kind}
        nothing="choose"
        options={book.choices.story}
        onChange={(kind) => kind && set({ kind: kind as StoryEvent["kind"] })}
      />
      <DateEntry
        label="When"
        placeholder="c. 1936"
        problem={problemAt(knife.problems, `story[${i}].date`)}
        value={event.date}
        onChange={(date) => set({ date })}
      />
      <TextField label="Holder" value={event.holder} onCommit={(holder) => set({ holder })} />
      {(event.kind === "engraved" || event.letters !== undefined) && (
        <TextField
          label="What was cut"
          placeholder="J.B.R."
          maxLength={120}
          value={event.letters}
          onCommit={(letters) => set({ letters })}
        />
      )}
    </>
  );
}

function WhoSaysSo({ event, set, book }: EventProps) {
  return (
    <>
      <TextField label="From where" value={event.place} onCommit={(place) => set({ place })} />
      <SelectField
        label="Who says so"
        value={event.source}
        nothing="choose"
        options={book.choices.source}
        onChange={(source) => source && set({ source: source as StoryEvent["source"] })}
      />
      <TextField
        label="Told by"
        maxLength={120}
        value={event.teller}
        onCommit={(teller) => set({ teller })}
      />
      <WhatIsClaimed event={event} set={set} book={book} />
    </>
  );
}

function WhatIsClaimed({ event, set, book }: Pick<EventProps, "event" | "set" | "book">) {
  return (
    <>
      <SelectField
        label="Said to be from"
        value={event.region}
        nothing="not said"
        options={book.regions.map((r) => ({ id: r.id, label: sentence(r.name) }))}
        onChange={(region) => set({ region })}
      />
      <SelectField
        label="Said to be by"
        value={event.maker}
        nothing="not said"
        options={book.makers.map((m) => ({ id: m.id, label: m.name }))}
        onChange={(maker) => set({ maker })}
      />
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
        onChange={(price, currency) => set({ price, currency })}
      />
      {(event.kind === "advertised" || event.shows) && (
        <ShownWith
          book={book}
          shows={event.shows ?? {}}
          problem={knife.problems.find((p) => p.field.startsWith(`story[${i}].shows`))}
          onChange={(shows) => set({ shows })}
        />
      )}
      <OwnPicture
        label="The paper that says so"
        alt="The paper that says so"
        orPaper
        value={event.document}
        onChange={(document) => set({ document })}
      />
      <TextField
        label="Note"
        className="col-span-2"
        maxLength={1000}
        value={event.note}
        onCommit={(note) => set({ note })}
      />
    </>
  );
}

/** What such a knife is shown with in a picture or a text of its date, look by look. */
function ShownWith({ book, shows, problem, onChange }: OfShown) {
  const asked = book.questions.filter((q) => q.asked === "once" && q.answers.length > 0);
  const [adding, setAdding] = useState<string>();
  const answered = asked.filter((q) => shows[q.id] !== undefined);
  const answer = (question: string, id: string | undefined) => {
    const { [question]: _, ...rest } = shows;
    const all = id ? { ...rest, [question]: id } : rest;
    onChange(Object.keys(all).length > 0 ? all : undefined);
    setAdding(undefined);
  };
  return (
    <div className="col-span-full grid grid-cols-2 items-end gap-x-4 gap-y-1 sm:grid-cols-4">
      {[...answered, ...asked.filter((q) => q.id === adding)].map((q) => (
        <SelectField
          key={q.id}
          label={`Shown with: ${q.label.toLowerCase()}`}
          problem={problem}
          value={shows[q.id]}
          nothing="choose"
          options={q.answers}
          onChange={(id) => answer(q.id, id)}
        />
      ))}
      <SelectField
        label="Such a knife is shown with"
        value={undefined}
        nothing={answered.length > 0 ? "and what else" : "nothing told"}
        options={asked.filter((q) => shows[q.id] === undefined && q.id !== adding)}
        onChange={setAdding}
      />
    </div>
  );
}

interface OfShown {
  book: StationProps["book"];
  shows: Record<string, string>;
  problem?: Problem;
  onChange: (shows: Record<string, string> | undefined) => void;
}
