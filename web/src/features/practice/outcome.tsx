import { useEffect, useRef } from "react";
import type { Book, PracticeTold, RoundTold, Unveiled } from "../../api/types";
import { percent } from "../../format";
import { asRead } from "../../letters";
import { KnifeDrawn } from "../sheet/knife-drawn";
import { Strike } from "./strike";
import { ASKED, inWords, lost, type Scored, UNIT } from "./words";

/** What came of a guess, beside what the model made of the same looks. */
export function Outcome({
  round,
  unveiled,
  told,
  book,
  isNext,
  onNext,
}: {
  round: RoundTold;
  unveiled: Unveiled;
  told: PracticeTold;
  book: Book;
  isNext: boolean;
  onNext: () => void;
}) {
  const next = useRef<HTMLButtonElement>(null);
  const isOwn = round.kind === "mine";
  const top = useRef<HTMLElement>(null);
  useEffect(() => {
    top.current?.scrollIntoView?.({ block: "start" });
    next.current?.focus({ preventScroll: true });
  }, []);
  const maker = inWords("maker", unveiled.maker, told);
  return (
    <section ref={top} aria-label="What it was" className="mt-3 scroll-mt-3">
      <div className="grid gap-x-10 gap-y-4 lg:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
        <div className="min-w-0">
          {round.drawn && <KnifeDrawn sketch={round.drawn} book={book} label="The whole knife" />}
          <Strike faces={round.knife?.marks ?? []} />
        </div>
        <div className="min-w-0">
          <h2 className="text-[1.1875rem]/[1.375rem]">
            {isOwn ? "By all you know of it: " : "It was: "}
            {maker}, {isOwn && "about "}
            <span className="num">{unveiled.year}</span>
          </h2>
          <Answers answers={unveiled.answers} told={told} isOwn={isOwn} />
          <p className="mt-2 text-ink2">
            On the same looks the model says: <span className="text-ink">{unveiled.headline}</span>
          </p>
          <Missed missed={unveiled.missed} />
          <button ref={next} type="button" className="press mt-3" disabled={!isNext} onClick={onNext}>
            The next knife
          </button>
        </div>
      </div>
    </section>
  );
}

const right = (a: Scored, isOwn: boolean) =>
  isOwn ? `${percent(a.right)} in 100` : a.right > 0.5 ? "right" : "not so";

function Answers({ answers, told, isOwn }: OfAnswers & { answers: Scored[] }) {
  if (answers.length === 0) return <p className="voice mt-2 text-ink3">You said nothing of it.</p>;
  return (
    <div className="mt-2">
      <table className="w-full max-sm:block">
        <thead className="max-sm:sr-only">
          <tr className="border-b border-ink text-left text-[0.78125rem]/4 text-ink2">
            <th scope="col" className="font-normal">
              <span className="sr-only">Of what</span>
            </th>
            <th scope="col" className="font-normal">
              You said
            </th>
            <th scope="col" className="font-normal">
              {isOwn ? "Likeliest" : "It was"}
            </th>
            <th scope="col" className="text-right font-normal">
              You lost
            </th>
            <th scope="col" className="text-right font-normal">
              The model
            </th>
          </tr>
        </thead>
        <tbody className="max-sm:block">
          {answers.map((a) => (
            <OneAnswer key={a.question} answer={a} told={told} isOwn={isOwn} />
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[0.8125rem]/[1.125rem] text-ink2">
        Less is better. A coin toss loses one bit, being sure and wrong up to ten; of years one loses how many
        one named, and twenty for each the knife lies outside of them.
      </p>
    </div>
  );
}

interface OfAnswers {
  told: PracticeTold;
  isOwn: boolean;
}

function OneAnswer({ answer: a, told, isOwn }: OfAnswers & { answer: Scored }) {
  return (
    <tr className="border-b border-rule align-baseline max-sm:grid max-sm:grid-cols-2 max-sm:py-1">
      <th scope="row" className="py-1 pr-3 text-left font-normal text-ink2 max-sm:col-span-2 max-sm:py-0">
        {ASKED[a.question]}
      </th>
      <td className="py-1 pr-3 max-sm:py-0">
        <OnPhone>You said</OnPhone>
        {inWords(a.question, a.said, told)}{" "}
        <span className="text-[0.8125rem] text-ink2">
          {a.question !== "years" && `${percent(a.sure)} in 100 sure; `}
          {right(a, isOwn)}
        </span>
      </td>
      <td className="py-1 pr-3 font-semibold max-sm:py-0">
        <OnPhone>{isOwn ? "Likeliest" : "It was"}</OnPhone>
        {inWords(a.question, a.was, told)}
      </td>
      <td
        className={`num py-1 pl-2 text-right whitespace-nowrap max-sm:pl-0 max-sm:text-left ${a.own > a.models ? "text-lead" : ""}`}
      >
        <OnPhone>You lost</OnPhone>
        {lost(a.question, a.own)} {UNIT[a.question]}
      </td>
      <td className="num py-1 text-right max-sm:text-left">
        <OnPhone>The model</OnPhone>
        {lost(a.question, a.models)}
        <span className="block font-sans text-[0.78125rem]/4 text-ink2">
          {inWords(a.question, a.model, told)}
        </span>
      </td>
    </tr>
  );
}

/** The head of a column where there is no room for columns. */
function OnPhone({ children }: { children: string }) {
  return (
    <span className="font-sans text-[0.78125rem]/4 font-normal text-ink2 sm:hidden" aria-hidden="true">
      {children}{" "}
    </span>
  );
}

function Missed({ missed }: { missed: Unveiled["missed"] }) {
  if (missed.length === 0) return null;
  return (
    <>
      <h3 className="mt-3 font-semibold">What would have told</h3>
      <ul className="text-ink2">
        {missed.map((m) => (
          <li key={m.look}>
            {m.label}: <span className="font-semibold text-ink">{asRead(m.answer ?? "")}</span>, worth{" "}
            <span className="num">{m.bits.toFixed(1)}</span> bits
          </li>
        ))}
      </ul>
    </>
  );
}
