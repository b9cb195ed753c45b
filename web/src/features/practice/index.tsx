import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { api, Refused } from "../../api/client";
import type { Book, PracticeTold, RoundKind, RoundTold } from "../../api/types";
import { useKeys } from "../../keys";
import { Failed } from "../../ui/failed";
import { Field } from "../../ui/field";
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
  useEffect(() => {
    document.title = "Practice \u2013 Snikra";
  }, []);
  if (told.isError)
    return <Failed what="Practice could not be opened." error={told.error} onAgain={() => told.refetch()} />;
  if (!told.data) return <p className="voice p-6 text-ink3">Getting ready.</p>;
  return <Practice told={told.data} book={book} />;
}

function Practice({ told, book }: { told: PracticeTold; book: Book }) {
  const queries = useQueryClient();
  const [player, setPlayer] = useState(() => localStorage.getItem(KEPT) ?? told.players[0]?.name ?? "");
  const [round, setRound] = useState<RoundTold>();
  const head = useRef<HTMLHeadingElement>(null);
  // The same until it was dealt: asked for twice because no answer came, one knife is dealt.
  const next = useRef(crypto.randomUUID());
  const name = player.trim();
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
  const known = told.players.find((p) => p.name.toLowerCase() === name.toLowerCase());
  const ten = told.book.ten.value;
  const problems = begin.error instanceof Refused ? begin.error.problems : [];
  const came = (after: RoundTold) => {
    setRound(after);
    if (after.unveiled) queries.invalidateQueries({ queryKey: ["practice"] });
  };
  const kinds: [RoundKind, string][] = [
    ["today", `Ten of today${known ? `, ${Math.min(ten, known.today)} done` : ""}`],
    ["more", "Any knife"],
    ["drill", "What I get wrong"],
    ["mine", "One of mine"],
  ];
  return (
    <main className="mx-auto max-w-[76rem] px-4 pt-3 pb-8 lg:px-6">
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2 border-b border-ink pb-2">
        <h1 ref={head} tabIndex={-1} className="text-[1.5625rem]/[1.75rem] tracking-tight outline-none">
          Practice
        </h1>
        <Field label="Who practises" className="w-44" problem={problems.find((p) => p.field === "player")}>
          {(ids) => (
            <input
              {...ids}
              className="entry"
              list="players"
              value={player}
              maxLength={40}
              placeholder="a name"
              onChange={(e) => {
                setPlayer(e.target.value);
                setRound(undefined);
                described.reset();
              }}
            />
          )}
        </Field>
        <datalist id="players">
          {told.players.map((p) => (
            <option key={p.name} value={p.name} />
          ))}
        </datalist>
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
      </div>
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
      {described.data && (
        <Grading
          key={described.submittedAt}
          knife={described.data}
          player={name}
          onGraded={() => queries.invalidateQueries({ queryKey: ["practice"] })}
          onNext={() => described.mutate()}
        />
      )}
      {described.data || described.isPending ? null : round?.unveiled ? (
        <Outcome
          round={round}
          unveiled={round.unveiled}
          told={told}
          book={book}
          isNext={!begin.isPending}
          onNext={() => begin.mutate(round.kind)}
        />
      ) : round ? (
        <InHand key={round.id} round={round} told={told} book={book} onRound={came} />
      ) : (
        <p className="mt-3 max-w-[46rem] text-ink2">
          A knife is made up, <span className="num">{Math.round(10 * told.book.listed.value)}</span> times in
          ten by a maker on file, and worn as knives wear. You have{" "}
          <span className="num">{told.book.glances.value}</span> glances for it: look where it tells most,
          then say who made it, when, and what was done to it, and how sure you are. The model is asked about
          the very same looks.
        </p>
      )}
      {known && !(round && !round.unveiled) && (
        <EyeOf
          key={known.name}
          player={known.name}
          told={told}
          onForgotten={() => {
            setRound(undefined);
            queries.invalidateQueries({ queryKey: ["practice"] });
          }}
        />
      )}
    </main>
  );
}
