import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useParams } from "react-router";
import { api } from "../../../api/client";
import type { Question, Specimen } from "../../../api/types";
import { answerOptions } from "../../../drawing/pictures";
import { RestingOn } from "../../../ui/resting-on";
import type { StationProps } from "../panel";
import { SeenChoice } from "../seen-choice";
import { Measures } from "./measures";
import { Walk } from "./walk";

/** A group stands open where one of so many looks to take next is in it. */
const FIRST_LOOKS = 3;

const NOTHING = { value: "none", sureness: "sure" } as const;

/** The questions of a station, each with its answers, and how to know the one in hand. */
export function FeaturesStation({ knife, book, station }: StationProps & { station: string }) {
  const questions = book.questions.filter((q) => q.station === station && q.asked === "once");
  const [asked, setAsked] = useState<string>();
  const bare = questions.filter(
    (q) => !knife.specimen.seen[q.id] && q.answers.some((a) => a.id === NOTHING.value),
  );
  const inHand =
    questions.find((q) => q.id === asked) ?? questions.find((q) => !q.group && knife.specimen.seen[q.id]);
  const groups = [...new Set(questions.flatMap((q) => q.group ?? []))];
  const next = new Set(knife.verdict?.dating.lookNext.slice(0, FIRST_LOOKS).map((n) => n.feature));
  const said = Object.fromEntries(
    (knife.verdict?.dating.clues ?? []).flatMap((c) => (c.country ? [[c.feature, c.country.words]] : [])),
  );
  return (
    <div className="mt-2 grid gap-x-6 gap-y-2 md:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <div className="grid content-start gap-x-6 gap-y-2 sm:grid-cols-2">
        {questions
          .filter((q) => !q.group)
          .map((q) => (
            <SeenChoice
              key={q.id}
              label={q.label}
              seen={knife.specimen.seen[q.id]}
              options={answerOptions(book, q) ?? q.answers}
              mayBeEither
              onFocus={() => setAsked(q.id)}
              onChange={(seen) => {
                setAsked(q.id);
                knife.change((s) => withSeen(s, q.id, seen));
              }}
            />
          ))}
        <Measures knife={knife} book={book} station={station} />
      </div>
      <div className="grid content-start gap-y-2">
        {bare.length > 2 && (
          <p>
            <button
              type="button"
              className="press"
              onClick={() => knife.change((s) => bare.reduce((so, q) => withSeen(so, q.id, NOTHING), s))}
            >
              None of the other {bare.length}
            </button>{" "}
            <span className="voice text-ink2">looked at, and not there</span>
          </p>
        )}
        {inHand && !inHand.group && <HowToKnow question={inHand} specimen={knife.specimen} />}
      </div>
      <div className="md:col-span-2">
        {groups.map((name) => {
          const asks = questions.filter((q) => q.group === name);
          return (
            <Walk
              key={name}
              name={name}
              // What is told with one glance comes before what must be turned over.
              questions={[...asks].sort((a, b) => a.answers.length - b.answers.length)}
              seen={knife.specimen.seen}
              said={said}
              isOpen={asks.some((q) => knife.specimen.seen[q.id] || next.has(q.id))}
              asked={asked}
              howToKnow={inHand && <HowToKnow question={inHand} specimen={knife.specimen} />}
              onAsk={setAsked}
              onChange={(question, seen) => knife.change((s) => withSeen(s, question, seen))}
            />
          );
        })}
      </div>
    </div>
  );
}

export function withSeen(s: Specimen, feature: string, seen: Specimen["seen"][string] | undefined): Specimen {
  const { [feature]: _, ...rest } = s.seen;
  return { ...s, seen: seen ? { ...rest, [feature]: seen } : rest };
}

/** What to look for, and what it is worth. */
export function HowToKnow({ question, specimen }: { question: Question; specimen: Specimen }) {
  const value = specimen.seen[question.id]?.value;
  const answer = question.answers.find((a) => a.id === value);
  return (
    <div className="border-rule md:border-l md:pl-4">
      <h3 className="voice text-[0.8125rem] text-ink2">{answer ? "How to know it" : question.label}</h3>
      {answer ? (
        <>
          <p className="font-serif text-[0.9375rem]/5">{answer.label}</p>
          <p className="mt-0.5">{answer.lookFor}</p>
          {answer.test && (
            <p className="mt-1">
              <span className="voice text-ink2">Without harm: </span>
              {answer.test}
            </p>
          )}
          <p className="mt-1 text-ink2">{answer.why}</p>
          <OthersShowing feature={question.id} answer={answer.id} />
        </>
      ) : (
        <p className="mt-0.5 text-ink2">{question.answers.map((a) => a.label).join("; ")}.</p>
      )}
    </div>
  );
}

/** The other knives of the tray on which the same was seen. */
function OthersShowing({ feature, answer }: { feature: string; answer: string }) {
  const { id } = useParams();
  const showing = useQuery({
    queryKey: ["showing", feature, answer],
    queryFn: () => api.showing(feature, answer),
  });
  return <RestingOn knives={(showing.data ?? []).filter((k) => k.id !== id).slice(0, MOST_OTHERS)} />;
}

const MOST_OTHERS = 6;
