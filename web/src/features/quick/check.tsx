import type { QuickBook } from "../../api/types";

/** One look with its answers, large enough for a thumb; pressed again an answer is taken back. */
export function Check({
  check,
  isNext,
  answer,
  onAnswer,
}: {
  check: QuickBook["checks"][number];
  isNext: boolean;
  answer: string | undefined;
  onAnswer: (answer: string | undefined) => void;
}) {
  return (
    <li data-check={check.id} className="border-t border-rule py-2 first:border-t-0">
      <fieldset>
        <legend className="flex w-full flex-wrap items-baseline gap-x-3">
          <span className={`font-semibold ${isNext ? "border-b-[3px] border-blue" : ""}`}>{check.label}</span>
          <span className="text-ink2">{check.ask}</span>
        </legend>
        <div className="mt-1 grid pt-px pl-px sm:grid-cols-3">
          {check.answers.map((a) => (
            <button
              key={a.id}
              type="button"
              aria-pressed={answer === a.id}
              className="-mt-px -ml-px flex min-h-14 flex-col justify-center border border-edge px-3 py-1.5 text-left hover:bg-lit aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-paper"
              onClick={() => onAnswer(answer === a.id ? undefined : a.id)}
            >
              <span className="font-semibold">{a.label}</span>
              {a.look && <span className="text-[0.8125rem]/[1.125rem] opacity-80">{a.look}</span>}
            </button>
          ))}
        </div>
      </fieldset>
    </li>
  );
}
