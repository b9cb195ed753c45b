import { Toolbar } from "radix-ui";
import { type KeyboardEvent, type ReactNode, useLayoutEffect, useRef } from "react";
import type { Seen } from "../../api/types";
import { Worded } from "../../ui/worded";
import { answered, CANNOT_TELL, isGiven } from "./seen";
import type { Asking } from "./use-asking";

/** A question with all that may be answered to it. */
export interface Asked {
  id: string;
  label: string;
  answers: { id: string; label: string; picture?: ReactNode; title?: string }[];
}

/** Pictures take room: of so many the first stand open, the rest are found by name in the field. */
const MOST_PICTURES = 12;
const FIGURES = 9;

type Move = { answer: string } | { step: 1 | -1 } | "clear" | "leave" | "nothing";

/** What a key does where the answers have the keys; nothing of their own for keys they leave alone. */
function moveOf(key: string, shown: Asked["answers"]): Move | undefined {
  if (key === "0") return { answer: CANNOT_TELL.id };
  // A figure that stands at no answer does nothing: it is no station from here.
  if (/^\d$/.test(key)) {
    const id = shown[Number(key) - 1]?.id;
    return id ? { answer: id } : "nothing";
  }
  if (key === "ArrowDown") return { step: 1 };
  if (key === "ArrowUp") return { step: -1 };
  if (key === "Backspace" || key === "Delete") return "clear";
  return key === "Escape" ? "leave" : undefined;
}

/**
 * The question in hand with its answers in the open, each one press away. Here figures answer and the
 * next question comes to hand; arrows up and down go from question to question.
 */
export function Answers(of: OfAnswers) {
  const { questions, inHand, given, onAsk, onAnswer } = of;
  const isPictured = inHand.answers.some((a) => a.picture);
  const shown = inHand.answers.slice(0, isPictured ? MOST_PICTURES : undefined);
  const seen = given[inHand.id];
  const { bar, onKeyDown, beside } = useAnswerKeys(of, shown);
  return (
    <section aria-label="Answers">
      <InHand questions={questions} inHand={inHand} onNext={() => onAsk(beside(1).id)} />
      <Toolbar.Root
        ref={bar}
        aria-label={`Answers: ${inHand.label}`}
        data-answers
        onKeyDown={onKeyDown}
        className={`grid content-start gap-x-1 ${isPictured ? "grid-cols-3 [&>button]:justify-end" : "grid-cols-2"}`}
      >
        {[...shown, CANNOT_TELL].map((a, i) => (
          <Choice
            key={a.id}
            answer={a}
            figure={a.id === CANNOT_TELL.id ? "0" : i < FIGURES ? `${i + 1}` : ""}
            isChosen={isGiven(a.id, seen)}
            onChoose={() => {
              onAnswer(inHand.id, isGiven(a.id, seen) ? undefined : answered(a.id, seen));
              onAsk(inHand.id);
            }}
          />
        ))}
      </Toolbar.Root>
      {shown.length < inHand.answers.length && (
        <p className="voice text-[0.78125rem]/4 text-ink2">
          {inHand.answers.length - shown.length} more, by name, in the field.
        </p>
      )}
    </section>
  );
}

/** Figures answer and go on to the next question, arrows go from question to question. */
function useAnswerKeys(
  { questions, inHand, given, next, onAsk, onAnswer }: OfAnswers,
  shown: Asked["answers"],
) {
  const { bar, keepKeys } = useKeptKeys(inHand.id);
  const beside = (step: number) =>
    questions[(questions.indexOf(inHand) + step + questions.length) % questions.length] as Asked;
  const goTo = (question: Asked) => {
    if (question.id !== inHand.id) keepKeys();
    onAsk(question.id);
  };
  const onKeyDown = (e: KeyboardEvent) => {
    const move = e.ctrlKey || e.metaKey || e.altKey ? undefined : moveOf(e.key, shown);
    if (!move) return;
    e.preventDefault();
    if (move === "leave") document.getElementById("station")?.focus({ preventScroll: true });
    else if (move === "clear") onAnswer(inHand.id, undefined);
    else if (typeof move === "object" && "step" in move) goTo(beside(move.step));
    else if (move !== "nothing") {
      onAnswer(inHand.id, answered(move.answer, given[inHand.id]));
      if (next) goTo(next);
    }
  };
  return { bar, onKeyDown, beside };
}

type OfAnswers = Asking & {
  questions: Asked[];
  given: Record<string, Seen>;
  onAnswer: (question: string, seen: Seen | undefined) => void;
};

function InHand({ questions, inHand, onNext }: { questions: Asked[]; inHand: Asked; onNext: () => void }) {
  return (
    <div className="flex items-baseline justify-between gap-3">
      <h3 className="voice text-[0.8125rem] text-ink2">
        <Worded>{inHand.label}</Worded>
      </h3>
      {questions.length > 1 && (
        <button
          type="button"
          className="min-h-6 shrink-0 text-[0.78125rem] text-ink2 hover:underline"
          onClick={onNext}
        >
          {questions.indexOf(inHand) + 1} of {questions.length}, next
        </button>
      )}
    </div>
  );
}

/** Lets the answers of another question take the keys those of the one before had. */
function useKeptKeys(question: string) {
  const bar = useRef<HTMLDivElement>(null);
  const keeps = useRef(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the answers of another question stand there
  useLayoutEffect(() => {
    if (keeps.current) bar.current?.querySelector("button")?.focus();
    keeps.current = false;
  }, [question]);
  return {
    bar,
    keepKeys: () => {
      keeps.current = true;
    },
  };
}

function Choice({
  answer,
  figure,
  isChosen,
  onChoose,
}: {
  answer: Asked["answers"][number];
  figure: string;
  isChosen: boolean;
  onChoose: () => void;
}) {
  return (
    <Toolbar.Button
      aria-pressed={isChosen}
      title={answer.title}
      onClick={onChoose}
      className="flex min-h-6 min-w-0 flex-col justify-start border-b-2 border-transparent px-1 py-0.5 text-left hover:bg-bone aria-pressed:border-blue aria-pressed:bg-lit aria-pressed:font-semibold"
    >
      {answer.picture && <span aria-hidden="true">{answer.picture}</span>}
      <span className="text-[0.8125rem]/[1.0625rem]">
        <span className="mr-1 font-steel text-[0.6875rem] text-ink3" aria-hidden="true">
          {figure}
        </span>
        {answer.label}
      </span>
    </Toolbar.Button>
  );
}
