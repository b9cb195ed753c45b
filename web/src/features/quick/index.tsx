import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { api, Refused } from "../../api/client";
import { useMakersInUse } from "../../api/makers-in-use";
import type { QuickBook } from "../../api/types";
import { useKeys } from "../../keys";
import { Failed } from "../../ui/failed";
import { Field } from "../../ui/field";
import { Select } from "../../ui/select";
import { MoneyEntry } from "../bench/stations/money-entry";
import { Check } from "./check";
import { Pocket } from "./pocket";
import { Told } from "./told";

const BOOK = { queryKey: ["quick"], queryFn: () => api.quick(), staleTime: Number.POSITIVE_INFINITY };

/** At a stall: six looks in the order of the hand, and after each what to do. */
export function QuickPage({ onBench }: { onBench: (title: string, note: string) => Promise<void> }) {
  const navigate = useNavigate();
  const book = useQuery(BOOK);
  useKeys({ escape: () => navigate("/tray") });
  useEffect(() => {
    document.title = "A quick look \u2013 Snikra";
  }, []);
  if (book.isError)
    return (
      <Failed what="The quick look could not be opened." error={book.error} onAgain={() => book.refetch()} />
    );
  if (!book.data) return <p className="voice p-6 text-ink3">Getting ready.</p>;
  return <Look book={book.data} onBench={onBench} />;
}

function Look({
  book,
  onBench,
}: {
  book: QuickBook;
  onBench: (title: string, note: string) => Promise<void>;
}) {
  const makers = useMakersInUse();
  const [maker, setMaker] = useState<string>();
  const [asked, setAsked] = useState<{ amount: number; currency: string | undefined }>();
  const [answers, setAnswers] = useState<Record<string, string>>({});
  const list = useRef<HTMLOListElement>(null);
  const taken = Object.entries(answers).map(([check, answer]) => `${check}:${answer}`);
  const told = useQuery({
    queryKey: ["quick", "look", maker, asked, taken],
    queryFn: ({ signal }) => api.quickLook(maker, asked, taken, signal),
    placeholderData: keepPreviousData,
  });
  const problem =
    told.error instanceof Refused ? told.error.problems.find((p) => p.field === "asked") : undefined;
  const checks = book.checks.filter((c) => !(c.byMaker && maker));
  const answer = (check: string, given: string | undefined) =>
    setAnswers(({ [check]: _, ...rest }) => (given ? { ...rest, [check]: given } : rest));
  const goOn = (check: string) => {
    const next = checks[checks.findIndex((c) => c.id === check) + 1];
    const there = list.current?.querySelector<HTMLElement>(`[data-check="${next?.id}"] button`);
    there?.focus();
    there?.scrollIntoView?.({ block: "center" });
  };
  const again = () => {
    setMaker(undefined);
    setAsked(undefined);
    setAnswers({});
    window.scrollTo({ top: 0 });
  };
  const chosen = makers.find((m) => m.id === maker);
  const note = checks
    .map((c) => [c.label, c.answers.find((a) => a.id === answers[c.id])?.label])
    .filter(([, a]) => a)
    .map(([c, a]) => `${c}: ${a}.`)
    .join(" ");
  const toBench = () => onBench(chosen ? `From a stall, ${chosen.name}` : "From a stall", note);
  return (
    <main className="mx-auto max-w-[64rem] px-4 pt-3 pb-8 lg:px-6">
      <div className="flex flex-wrap items-baseline gap-x-4 border-b border-ink pb-1">
        <h1 className="text-[1.5625rem]/[1.75rem] tracking-tight">A quick look</h1>
        <p className="text-ink2">at a stall: six looks in the order of the hand, any can be left out</p>
        <button type="button" className="press ml-auto" onClick={again}>
          The next knife
        </button>
      </div>
      <div className="lg:grid lg:grid-cols-[minmax(0,1fr)_20rem] lg:gap-x-8">
        <div className="max-lg:sticky max-lg:top-0 max-lg:z-10 max-lg:-mx-4 max-lg:border-b max-lg:border-ink max-lg:bg-paper max-lg:px-4 lg:order-2">
          <Told
            told={told.data}
            error={problem ? null : told.error}
            isAskedWrong={problem !== undefined}
            onAgain={() => told.refetch()}
            checks={checks}
            onBench={toBench}
          />
        </div>
        <div className="min-w-0">
          <div className="mt-2 grid grid-cols-2 gap-x-5">
            <Field label="Maker, where it can be read">
              {(ids) => (
                <Select
                  {...ids}
                  value={maker}
                  options={makers.map((m) => ({ id: m.id, label: m.name }))}
                  nothing="not known"
                  onChange={setMaker}
                />
              )}
            </Field>
            <MoneyEntry
              label="They ask"
              amount={asked?.amount}
              currency={asked?.currency}
              problem={problem}
              onChange={(amount, currency) =>
                setAsked(amount === undefined ? undefined : { amount, currency })
              }
            />
          </div>
          <ol ref={list} className="mt-3">
            {checks.map((c) => (
              <Check
                key={c.id}
                check={c}
                isNext={told.data?.verdict.next === c.id}
                answer={answers[c.id]}
                onAnswer={(given) => {
                  answer(c.id, given);
                  if (given) goOn(c.id);
                }}
              />
            ))}
          </ol>
          <button type="button" className="press mt-3 lg:hidden" onClick={toBench}>
            To the bench with it
          </button>
          <Pocket />
          <ul className="mt-4 border-t border-ink pt-2 text-[0.8125rem] text-ink2">
            {book.cautions.map((c) => (
              <li key={c} className="mt-1">
                {c}
              </li>
            ))}
          </ul>
        </div>
      </div>
    </main>
  );
}
