import { Toolbar } from "radix-ui";
import type { ReactNode } from "react";
import type { Question, Seen } from "../../../api/types";
import { Worded } from "../../../ui/worded";
import { answered, CANNOT_TELL, isGiven } from "../seen";

/** Questions that are looked at in one go: every answer stands open, and one press gives it. */
export function Walk({ name, questions, isOpen, ...walk }: OfWalk) {
  const looked = questions.filter((q) => walk.seen[q.id]).length;
  return (
    <details className="border-t border-rule" open={isOpen}>
      <summary className="min-h-6 cursor-pointer py-1">
        {name}
        <span className="voice text-ink2">
          , {looked} of {questions.length} looked at
        </span>
      </summary>
      <ul className="pb-1">
        {questions.map((q) => (
          <Looked key={q.id} question={q} {...walk} />
        ))}
      </ul>
    </details>
  );
}

interface Walked {
  seen: Record<string, Seen>;
  /** What an answer says of the country, by question. */
  said: Record<string, string>;
  /** The question in hand, and how to know its answer. */
  asked: string | undefined;
  howToKnow: ReactNode;
  onAsk: (question: string) => void;
  onChange: (question: string, seen: Seen | undefined) => void;
}

interface OfWalk extends Walked {
  name: string;
  questions: Question[];
  isOpen: boolean;
}

function Looked({
  question: q,
  seen,
  said,
  asked,
  howToKnow,
  onAsk,
  onChange,
}: Walked & { question: Question }) {
  const given = seen[q.id];
  return (
    <li className="flex flex-wrap items-baseline gap-x-3 border-t border-rule py-0.5">
      <span className="w-44 shrink-0 text-[0.8125rem] text-ink2 max-sm:w-full">
        <Worded>{q.label}</Worded>
      </span>
      <Toolbar.Root aria-label={q.label} className="flex min-w-0 flex-1 flex-wrap gap-x-1">
        {[...q.answers, CANNOT_TELL].map((a) => (
          <Toolbar.Button
            key={a.id}
            aria-pressed={isGiven(a.id, given)}
            className={`min-h-6 border-b-2 border-transparent px-1.5 text-left hover:bg-bone aria-pressed:border-blue aria-pressed:bg-lit aria-pressed:font-semibold ${a.id === CANNOT_TELL.id ? "voice text-ink2" : ""}`}
            // A press that moved what lies under the pointer would never become a click.
            onFocus={(e) => e.target.matches(":focus-visible") && onAsk(q.id)}
            onClick={() => {
              onAsk(q.id);
              onChange(q.id, isGiven(a.id, given) ? undefined : answered(a.id, given));
            }}
          >
            {a.label}
          </Toolbar.Button>
        ))}
      </Toolbar.Root>
      {said[q.id] && <span className="voice text-[0.78125rem]/4 text-ink2">{said[q.id]}</span>}
      {asked === q.id && given && <div className="basis-full pb-2 sm:pl-44">{howToKnow}</div>}
    </li>
  );
}
