import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { useNavigate } from "react-router";
import { api, Refused } from "../../api/client";
import type { Book, PracticeTold, RoundKind, RoundTold } from "../../api/types";
import { useKeys } from "../../keys";
import { Failed } from "../../ui/failed";
import { Field } from "../../ui/field";
import { usePageTitle } from "../../ui/page-title";
import { EyeOf } from "./eye";
import { Grading } from "./grading";
import { InHand } from "./in-hand";
import { Outcome } from "./outcome";

const KEPT = "snikra.player";
const PRACTICE = { queryKey: ["practice"], queryFn: () => api.practice(), staleTime: 0 };

/** Knives to judge for oneself, and how well one's own eye holds what it says. */
export function PracticePage({ book }: { book: Book }) {
  const navigate = useNavigate();
  const told = useQuery(PRACTICE);
  useKeys({ escape: () => navigate("/tray") });
  usePageTitle("Practice");
  if (told.isError)
    return <Failed what="Practice could not be opened." error={told.error} onAgain={() => told.refetch()} />;
  if (!told.data) return <p className="voice p-6 text-ink3">Getting ready.</p>;
  return <Practice told={told.data} book={book} />;
}

/** A round as it is dealt and judged, for one player. */
function usePractice(told: PracticeTold) {
  const queries = useQueryClient();
  const [player, setPlayer] = useState(() => localStorage.getItem(KEPT) ?? told.players[0]?.name ?? "");
  const [round, setRound] = useState<RoundTold>();
  const name = player.trim();
  const { head, begin, described } = useDealing(name, setRound);
  const again = () => queries.invalidateQueries({ queryKey: PRACTICE.queryKey });
  return {
    player,
    name,
    known: told.players.find((p) => p.name.toLowerCase() === name.toLowerCase()),
    call: (as: string) => {
      setPlayer(as);
      setRound(undefined);
      described.reset();
    },
    head,
    round,
    begin,
    described,
    problems: begin.error instanceof Refused ? begin.error.problems : [],
    came: (after: RoundTold) => {
      setRound(after);
      if (after.unveiled) again();
    },
    forget: () => {
      setRound(undefined);
      again();
    },
    again,
  };
}

/** Deals a knife to guess at, or one that is described to be graded; each puts the other away. */
function useDealing(name: string, setRound: (round: RoundTold | undefined) => void) {
  // The same until it was dealt: asked for twice because no answer came, one knife is dealt.
  const next = useRef(crypto.randomUUID());
  const head = useRef<HTMLHeadingElement>(null);
  const begin = useMutation({
    mutationFn: (kind: RoundKind) => api.beginRound(next.current, name, kind),
    onSuccess: (dealt) => {
      next.current = crypto.randomUUID();
      localStorage.setItem(KEPT, name);
      setRound(dealt);
      described.reset();
      head.current?.focus();
    },
  });
  const described = useMutation({
    mutationFn: () => api.toGrade(name),
    onSuccess: () => {
      localStorage.setItem(KEPT, name);
      setRound(undefined);
      begin.reset();
    },
  });
  return { head, begin, described };
}

type Practising = ReturnType<typeof usePractice>;

interface Shown {
  practising: Practising;
  told: PracticeTold;
  book: Book;
}

function Practice({ told, book }: { told: PracticeTold; book: Book }) {
  const practising = usePractice(told);
  const { known, round, forget } = practising;
  return (
    <main className="mx-auto max-w-[76rem] px-4 pt-3 pb-8 lg:px-6">
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2 border-b border-ink pb-2">
        <h1
          ref={practising.head}
          tabIndex={-1}
          className="text-[1.5625rem]/[1.75rem] tracking-tight outline-none"
        >
          Practice
        </h1>
        <WhoPractises practising={practising} told={told} />
        <DealMe practising={practising} told={told} />
      </div>
      <HowItWent practising={practising} />
      <OnTheTable practising={practising} told={told} book={book} />
      {known && !(round && !round.unveiled) && (
        <EyeOf key={known.name} player={known.name} told={told} onForgotten={forget} />
      )}
    </main>
  );
}

function WhoPractises({ practising, told }: Omit<Shown, "book">) {
  const { player, problems, call } = practising;
  return (
    <>
      <Field label="Who practises" className="w-44" problem={problems.find((p) => p.field === "player")}>
        {(ids) => (
          <input
            {...ids}
            className="entry"
            list="players"
            value={player}
            maxLength={40}
            placeholder="a name"
            onChange={(e) => call(e.target.value)}
          />
        )}
      </Field>
      <datalist id="players">
        {told.players.map((p) => (
          <option key={p.name} value={p.name} />
        ))}
      </datalist>
    </>
  );
}

function DealMe({ practising, told }: Omit<Shown, "book">) {
  const { name, known, begin, described } = practising;
  const kinds: [RoundKind, string][] = [
    ["today", `Ten of today${known ? `, ${Math.min(told.book.ten.value, known.today)} done` : ""}`],
    ["more", "Any knife"],
    ["drill", "What I get wrong"],
    ["mine", "One of mine"],
  ];
  return (
    <fieldset className="flex flex-wrap gap-1.5">
      <legend className="block text-[0.78125rem]/4 text-ink2">Deal me</legend>
      {kinds.map(([kind, label]) => (
        <button
          key={kind}
          type="button"
          className="press"
          disabled={!name || begin.isPending}
          onClick={() => begin.mutate(kind)}
        >
          {label}
        </button>
      ))}
      <button
        type="button"
        className="press"
        disabled={!name || described.isPending}
        onClick={() => described.mutate()}
      >
        One to grade
      </button>
    </fieldset>
  );
}

function HowItWent({ practising }: { practising: Practising }) {
  const { begin, described, problems } = practising;
  return (
    <>
      <div aria-live="polite">
        {begin.isPending && <p className="voice mt-2 text-ink3">Dealing a knife.</p>}
        {begin.isError && !problems.some((p) => p.field === "player") && (
          <p role="alert" className="mt-2 text-lead">
            No knife was dealt: {problems[0]?.accepted ?? begin.error.message}.
          </p>
        )}
      </div>
      {described.isError && (
        <p role="alert" className="mt-2 text-lead">
          No knife was described. {described.error.message}
        </p>
      )}
    </>
  );
}

/** The knife that was dealt: to grade, in hand, or unveiled; before the first what practice is. */
function OnTheTable({ practising, told, book }: Shown) {
  const { round, begin, described, name } = practising;
  if (described.data)
    return (
      <Grading
        key={described.submittedAt}
        knife={described.data}
        player={name}
        onGraded={practising.again}
        onNext={() => described.mutate()}
      />
    );
  if (described.isPending) return null;
  if (!round) return <HowItGoes told={told} />;
  return round.unveiled ? (
    <Outcome
      round={round}
      unveiled={round.unveiled}
      told={told}
      book={book}
      isNext={!begin.isPending}
      onNext={() => begin.mutate(round.kind)}
    />
  ) : (
    <InHand key={round.id} round={round} told={told} book={book} onRound={practising.came} />
  );
}

function HowItGoes({ told }: { told: PracticeTold }) {
  return (
    <p className="mt-3 max-w-[46rem] text-ink2">
      A knife is made up, <span className="num">{Math.round(10 * told.book.listed.value)}</span> times in ten
      by a maker on file, and worn as knives wear. You have{" "}
      <span className="num">{told.book.glances.value}</span> glances for it: look where it tells most, then
      say who made it, when, and what was done to it, and how sure you are. The model is asked about the very
      same looks.
    </p>
  );
}
