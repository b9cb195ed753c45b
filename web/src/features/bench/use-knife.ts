import { useEffect, useRef, useState } from "react";
import { api, Refused } from "../../api/client";
import { useGrading } from "../../api/grading";
import { useOwnReferences } from "../../api/own";
import type { Problem, SavedKnife, Specimen, Verdict } from "../../api/types";
import { canonical, type Draft, type Phase, RETRY_AFTER_MS } from "./saving/machine";
import { specimenOf, useSaving } from "./saving/use-saving";

export interface Knife {
  number: number;
  specimen: Specimen;
  verdict: Verdict | undefined;
  problems: Problem[];
  save: Phase;
  /** Whether this browser has no room to keep what is not saved. */
  isUnkept: boolean;
  change: (with_: (now: Specimen) => Specimen) => void;
  undo: (() => void) | undefined;
  redo: (() => void) | undefined;
  retry: () => void;
  choose: (keep: "mine" | "theirs") => void;
}

const MOST_UNDONE = 200;
const noAnswer = (e: unknown) => !(e instanceof Refused) || e.status === 0 || e.status >= 500;
const problemsOf = (e: unknown): Problem[] => (e instanceof Refused ? e.problems : []);

/** A knife under examination: what is changed is judged at once and saved soon after, with a way back. */
export function useKnife(saved: SavedKnife, draft: Draft | undefined, tab: string): Knife {
  const { saving, isUnkept, changed, retry, choose } = useSaving(saved, draft, tab);
  const [specimen, setSpecimen] = useState<Specimen>(() => specimenOf(saving));
  const latest = useRef(specimen);
  const [past, setPast] = useState<Specimen[]>([]);
  const [future, setFuture] = useState<Specimen[]>([]);
  const { verdict, problems } = useVerdict(specimen);

  const show = (next: Specimen) => {
    latest.current = next;
    setSpecimen(next);
    changed(next);
  };
  const change: Knife["change"] = (with_) => {
    const next = with_(latest.current);
    if (canonical(next) === canonical(latest.current)) return;
    const before = latest.current;
    setPast((all) => [...all.slice(1 - MOST_UNDONE), before]);
    setFuture([]);
    show(next);
  };
  const stepBack = (from: Specimen[], setFrom: typeof setPast, setOnto: typeof setPast) => {
    const target = from.at(-1);
    if (!target) return undefined;
    return () => {
      const now = latest.current;
      setFrom(from.slice(0, -1));
      setOnto((all) => [...all, now]);
      show(target);
    };
  };

  return {
    number: saved.number,
    specimen,
    verdict,
    problems: problems.length > 0 || saving.phase.kind !== "refused" ? problems : saving.phase.problems,
    save: saving.phase,
    isUnkept,
    change,
    undo: stepBack(past, setPast, setFuture),
    redo: stepBack(future, setFuture, setPast),
    retry,
    choose: (side) => {
      const mine = latest.current;
      const shown = choose(side);
      if (side === "theirs") {
        setPast((all) => [...all, mine]);
        latest.current = shown;
        setSpecimen(shown);
      }
    },
  };
}

/** The verdict on what is entered. While an entry cannot be used, the last one stays. */
function useVerdict(specimen: Specimen): { verdict: Verdict | undefined; problems: Problem[] } {
  const [verdict, setVerdict] = useState<Verdict>();
  const [problems, setProblems] = useState<Problem[]>([]);
  const judgedBy = useGrading().grading;
  const { steps } = useOwnReferences();
  // biome-ignore lint/correctness/useExhaustiveDependencies: judged by others, the same knife has another verdict
  useEffect(() => {
    const stop = new AbortController();
    let again: number | undefined;
    const ask = () =>
      api.examine({ specimen }, stop.signal).then(
        (now) => {
          setVerdict(now);
          setProblems([]);
        },
        (e) => {
          if (stop.signal.aborted) return;
          setProblems(problemsOf(e));
          if (noAnswer(e)) again = window.setTimeout(ask, RETRY_AFTER_MS);
        },
      );
    ask();
    return () => {
      window.clearTimeout(again);
      stop.abort();
    };
  }, [specimen, judgedBy, steps]);
  return { verdict, problems };
}
