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
  const past = useSteps(() => specimenOf(saving), changed);
  const { specimen } = past;
  const { verdict, problems } = useVerdict(specimen);
  return {
    number: saved.number,
    specimen,
    verdict,
    problems: problems.length > 0 || saving.phase.kind !== "refused" ? problems : saving.phase.problems,
    save: saving.phase,
    isUnkept,
    change: past.change,
    undo: past.undo,
    redo: past.redo,
    retry,
    choose: (side) => {
      const shown = choose(side);
      if (side === "theirs") past.replace(shown);
    },
  };
}

/** What is shown and the way back through what was; `changed` is told of all but what came from elsewhere. */
function useSteps(first: () => Specimen, changed: (specimen: Specimen) => void) {
  const [specimen, setSpecimen] = useState<Specimen>(first);
  const latest = useRef(specimen);
  const [past, setPast] = useState<Specimen[]>([]);
  const [future, setFuture] = useState<Specimen[]>([]);
  const show = (next: Specimen) => {
    latest.current = next;
    setSpecimen(next);
  };
  const change: Knife["change"] = (with_) => {
    const before = latest.current;
    const next = with_(before);
    if (canonical(next) === canonical(before)) return;
    setPast((all) => [...all.slice(1 - MOST_UNDONE), before]);
    setFuture([]);
    show(next);
    changed(next);
  };
  const stepBack = (from: Specimen[], setFrom: typeof setPast, setOnto: typeof setPast) => {
    const target = from.at(-1);
    if (!target) return undefined;
    return () => {
      const now = latest.current;
      setFrom(from.slice(0, -1));
      setOnto((all) => [...all, now]);
      show(target);
      changed(target);
    };
  };
  return {
    specimen,
    change,
    undo: stepBack(past, setPast, setFuture),
    redo: stepBack(future, setFuture, setPast),
    replace: (theirs: Specimen) => {
      const mine = latest.current;
      setPast((all) => [...all, mine]);
      show(theirs);
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
