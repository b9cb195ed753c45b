import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { useNavigate } from "react-router";
import { api, Refused } from "../../api/client";
import { useMakersInUse } from "../../api/makers-in-use";
import type { QuickBook } from "../../api/types";
import { useKeys } from "../../keys";
import { Failed } from "../../ui/failed";
import { usePageTitle } from "../../ui/page-title";
import { SelectField } from "../../ui/select-field";
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
  usePageTitle("A quick look");
  if (book.isError)
    return (
      <Failed what="The quick look could not be opened." error={book.error} onAgain={() => book.refetch()} />
    );
  if (!book.data) return <p className="voice p-6 text-ink3">Getting ready.</p>;
  return <Look book={book.data} onBench={onBench} />;
}

/** The looks taken of one knife, and what is told after each. */
function useLooks(book: QuickBook) {
  const makers = useMakersInUse();
  const [look, setLook] = useState<Taken>(NOTHING);
  const { maker, asked, answers } = look;
  const told = useTold(look);
  const problems = told.error instanceof Refused ? told.error.problems : [];
  const checks = book.checks.filter((c) => !(c.byMaker && maker));
  const chosen = makers.find((m) => m.id === maker);
  const set = (what: Partial<Taken>) => setLook((now) => ({ ...now, ...what }));
  return {
    makers,
    maker,
    setMaker: (by: string | undefined) => set({ maker: by }),
    asked,
    ask: (amount: number | undefined, currency: string | undefined) =>
      set({ asked: amount === undefined ? undefined : { amount, currency } }),
    checks,
    answers,
    answer: (check: string, given: string | undefined) =>
      setLook((now) => {
        const { [check]: _, ...rest } = now.answers;
        return { ...now, answers: given ? { ...rest, [check]: given } : rest };
      }),
    told,
    problem: problems.find((p) => p.field === "asked"),
    title: chosen ? `From a stall, ${chosen.name}` : "From a stall",
    note: noteOf(checks, answers),
    again: () => {
      setLook(NOTHING);
      window.scrollTo({ top: 0 });
    },
  };
}

/** What was taken in at a stall: whose it is, what they ask for it, and the looks. */
interface Taken {
  maker?: string;
  asked?: { amount: number; currency: string | undefined };
  answers: Record<string, string>;
}

const NOTHING: Taken = { answers: {} };

function useTold({ maker, asked, answers }: Taken) {
  const taken = Object.entries(answers).map(([check, answer]) => `${check}:${answer}`);
  return useQuery({
    queryKey: ["quick", "look", maker, asked, taken],
    queryFn: ({ signal }) => api.quickLook(maker, asked, taken, signal),
    placeholderData: keepPreviousData,
  });
}

const noteOf = (checks: QuickBook["checks"], answers: Taken["answers"]) =>
  checks
    .map((c) => [c.label, c.answers.find((a) => a.id === answers[c.id])?.label])
    .filter(([, a]) => a)
    .map(([c, a]) => `${c}: ${a}.`)
    .join(" ");

type Looks = ReturnType<typeof useLooks>;

function Look({
  book,
  onBench,
}: {
  book: QuickBook;
  onBench: (title: string, note: string) => Promise<void>;
}) {
  const looks = useLooks(book);
  const { told, problem } = looks;
  const toBench = () => onBench(looks.title, looks.note);
  return (
    <main className="mx-auto max-w-[64rem] px-4 pt-3 pb-8 lg:px-6">
      <div className="flex flex-wrap items-baseline gap-x-4 border-b border-ink pb-1">
        <h1 className="text-[1.5625rem]/[1.75rem] tracking-tight">A quick look</h1>
        <p className="text-ink2">at a stall: six looks in the order of the hand, any can be left out</p>
        <button type="button" className="press ml-auto" onClick={looks.again}>
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
            checks={looks.checks}
            onBench={toBench}
          />
        </div>
        <div className="min-w-0">
          <WhoAndHowMuch looks={looks} />
          <Checks looks={looks} />
          <button type="button" className="press mt-3 lg:hidden" onClick={toBench}>
            To the bench with it
          </button>
          <Pocket />
          <Cautions cautions={book.cautions} />
        </div>
      </div>
    </main>
  );
}

function WhoAndHowMuch({ looks }: { looks: Looks }) {
  const { makers, maker, setMaker, asked, ask, problem } = looks;
  return (
    <div className="mt-2 grid grid-cols-2 gap-x-5">
      <SelectField
        label="Maker, where it can be read"
        value={maker}
        options={makers.map((m) => ({ id: m.id, label: m.name }))}
        nothing="not known"
        onChange={setMaker}
      />
      <MoneyEntry
        label="They ask"
        amount={asked?.amount}
        currency={asked?.currency}
        problem={problem}
        onChange={ask}
      />
    </div>
  );
}

/** The looks in the order of the hand; each answered brings the next into sight. */
function Checks({ looks }: { looks: Looks }) {
  const { checks, answers, answer, told } = looks;
  const list = useRef<HTMLOListElement>(null);
  const goOn = (check: string) => {
    const next = checks[checks.findIndex((c) => c.id === check) + 1];
    const there = list.current?.querySelector<HTMLElement>(`[data-check="${next?.id}"] button`);
    there?.focus();
    there?.scrollIntoView?.({ block: "center" });
  };
  return (
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
  );
}

function Cautions({ cautions }: Pick<QuickBook, "cautions">) {
  return (
    <ul className="mt-4 border-t border-ink pt-2 text-[0.8125rem] text-ink2">
      {cautions.map((c) => (
        <li key={c} className="mt-1">
          {c}
        </li>
      ))}
    </ul>
  );
}
