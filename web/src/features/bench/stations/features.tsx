import { useQuery } from "@tanstack/react-query";
import { useMemo, useState } from "react";
import { useParams } from "react-router";
import { api } from "../../../api/client";
import type { Book, Question, Seen, Specimen } from "../../../api/types";
import { answerOptions } from "../../../drawing/pictures";
import { RestingOn } from "../../../ui/resting-on";
import { FactsOfKnife } from "../../facts";
import { Answers, type Asked } from "../answers";
import { withSeen } from "../edits";
import type { StationProps } from "../panel";
import { SeenChoice } from "../seen-choice";
import { useAsking } from "../use-asking";
import { Measures } from "./measures";
import { Walk } from "./walk";

/** A group stands open where one of so many looks to take next is in it. */
const FIRST_LOOKS = 3;

const NOTHING = { value: "none", sureness: "sure" } as const;

const askedOf = (book: Book, q: Question): Asked => ({
  id: q.id,
  label: q.label,
  answers: answerOptions(book, q) ?? q.answers,
});

/** The questions of a station, each with its answers, and how to know the one in hand. */
export function FeaturesStation({ knife, book, station }: OfStation) {
  const { seen } = knife.specimen;
  const { questions, single, groups } = useQuestions(book, station);
  const tellsMost = (knife.verdict?.dating.lookNext ?? []).map((n) => n.feature);
  const asking = useAsking(single, seen, tellsMost);
  const inHand = questions.find((q) => q.id === asking?.inHand.id);
  const tell: Tell = (question, now) => knife.change((s) => withSeen(s, question, now));
  return (
    <div className="mt-2 grid gap-x-6 gap-y-2 md:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <div className="grid content-start gap-x-6 gap-y-2 sm:grid-cols-2">
        {single.map((q) => (
          <SeenChoice
            key={q.id}
            label={q.label}
            seen={seen[q.id]}
            options={q.answers}
            orElse={book.choices.share}
            onFocus={() => asking?.onAsk(q.id)}
            onChange={(now) => {
              asking?.onAsk(q.id);
              tell(q.id, now);
            }}
          />
        ))}
        <Measures knife={knife} book={book} station={station} />
        <NoneOfTheOthers knife={knife} questions={questions} />
      </div>
      <div className="grid content-start gap-y-2 border-rule max-md:order-first md:border-l md:pl-4">
        {asking && <Answers {...asking} questions={single} given={seen} onAnswer={tell} />}
        {inHand && <HowToKnow question={inHand} specimen={knife.specimen} />}
      </div>
      <div className="md:col-span-2">
        <FactsOfKnife verdict={knife.verdict} specimen={knife.specimen} station={station} book={book} />
        <Walks knife={knife} questions={questions} groups={groups} tellsMost={tellsMost} tell={tell} />
      </div>
    </div>
  );
}

type OfStation = StationProps & { station: string };
type Tell = (question: string, now: Seen | undefined) => void;

function useQuestions(book: Book, station: string) {
  return useMemo(() => {
    const questions = book.questions.filter((q) => q.station === station && q.asked === "once");
    return {
      questions,
      single: questions.filter((q) => !q.group).map((q) => askedOf(book, q)),
      groups: [...new Set(questions.flatMap((q) => q.group ?? []))],
    };
  }, [book, station]);
}

function NoneOfTheOthers({ knife, questions }: Pick<StationProps, "knife"> & { questions: Question[] }) {
  const { seen } = knife.specimen;
  const bare = questions.filter((q) => !seen[q.id] && q.answers.some((a) => a.id === NOTHING.value));
  if (bare.length <= 2) return null;
  return (
    <p className="self-end sm:col-span-2">
      <button
        type="button"
        className="press"
        onClick={() => knife.change((s) => bare.reduce((so, q) => withSeen(so, q.id, NOTHING), s))}
      >
        None of the other {bare.length}
      </button>{" "}
      <span className="voice text-ink2">looked at, and not there</span>
    </p>
  );
}

/** The questions asked as one quick walk, group by group. */
function Walks({
  knife,
  questions,
  groups,
  tellsMost,
  tell,
}: Pick<StationProps, "knife"> & {
  questions: Question[];
  groups: string[];
  tellsMost: string[];
  tell: Tell;
}) {
  const { seen } = knife.specimen;
  const [walked, setWalked] = useState<string>();
  const first = new Set(tellsMost.slice(0, FIRST_LOOKS));
  const said = Object.fromEntries(
    (knife.verdict?.dating.clues ?? []).flatMap((c) => (c.country ? [[c.feature, c.country.words]] : [])),
  );
  return groups.map((name) => {
    const asks = questions.filter((q) => q.group === name);
    const inWalk = asks.find((q) => q.id === walked);
    return (
      <Walk
        key={name}
        name={name}
        // What is told with one glance comes before what must be turned over.
        questions={[...asks].sort((a, b) => a.answers.length - b.answers.length)}
        seen={seen}
        said={said}
        isOpen={asks.some((q) => seen[q.id] || first.has(q.id))}
        asked={walked}
        howToKnow={inWalk && <HowToKnow question={inWalk} specimen={knife.specimen} />}
        onAsk={setWalked}
        onChange={tell}
      />
    );
  });
}

/** What to look for once it was answered, and what that is worth. */
export function HowToKnow({ question, specimen }: { question: Question; specimen: Specimen }) {
  const value = specimen.seen[question.id]?.value;
  const answer = question.answers.find((a) => a.id === value);
  if (!answer) return null;
  return (
    <div>
      <h3 className="voice text-[0.8125rem] text-ink2">How to know it</h3>
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
