import { useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useRef, useState } from "react";
import { api, Refused } from "../../api/client";
import type { Problem, SavedKnife, Specimen, Verdict } from "../../api/types";
import { forget, keep, recall } from "./unsaved";

export type SaveState =
  | { kind: "saved" }
  | { kind: "saving" }
  | { kind: "failed"; message: string }
  | { kind: "refused"; problems: Problem[] }
  | { kind: "changed-elsewhere"; current: SavedKnife };

export interface Knife {
  number: number;
  specimen: Specimen;
  verdict: Verdict | undefined;
  problems: Problem[];
  save: SaveState;
  change: (with_: (now: Specimen) => Specimen) => void;
  undo: (() => void) | undefined;
  redo: (() => void) | undefined;
  retry: () => void;
  resolve: (keep: "mine" | "theirs") => void;
}

const SAVE_AFTER_MS = 350;
const RETRY_AFTER_MS = 4000;
const noAnswer = (e: unknown) => !(e instanceof Refused) || e.status === 0 || e.status >= 500;
const problemsOf = (e: unknown): Problem[] => (e instanceof Refused ? e.problems : []);

/**
 * A knife under examination: what is changed is judged at once, kept in this browser until the server has
 * it, and saved soon after. What was saved is never overwritten by an older copy from another tab.
 */
export function useKnife(saved: SavedKnife): Knife {
  const queries = useQueryClient();
  const id = saved.id;
  const version = useRef(saved.version);
  const [specimen, setSpecimen] = useState<Specimen>(() => recall(id) ?? saved.specimen);
  const latest = useRef(specimen);
  const kept = useRef(JSON.stringify(saved.specimen));
  const [past, setPast] = useState<Specimen[]>([]);
  const [future, setFuture] = useState<Specimen[]>([]);
  const [save, setSave] = useState<SaveState>({ kind: "saved" });
  const { verdict, problems } = useVerdict(specimen);
  const timer = useRef<number>(undefined);
  const busy = useRef(false);

  const push = useCallback(async (): Promise<void> => {
    window.clearTimeout(timer.current);
    const sent = latest.current;
    const text = JSON.stringify(sent);
    if (busy.current || text === kept.current) return;
    busy.current = true;
    setSave({ kind: "saving" });
    try {
      const now = await api.change(id, { version: version.current, specimen: sent });
      version.current = now.version;
      kept.current = text;
      setSave({ kind: "saved" });
      queries.setQueryData(["knife", id], now);
      queries.invalidateQueries({ queryKey: ["tray"] });
      if (latest.current === sent) forget(id);
      else timer.current = window.setTimeout(push, SAVE_AFTER_MS);
    } catch (e) {
      setSave(failed(e));
      if (noAnswer(e)) timer.current = window.setTimeout(push, RETRY_AFTER_MS);
    } finally {
      busy.current = false;
    }
  }, [id, queries]);

  const show = useCallback(
    (next: Specimen) => {
      latest.current = next;
      setSpecimen(next);
      keep(id, next);
      window.clearTimeout(timer.current);
      timer.current = window.setTimeout(push, SAVE_AFTER_MS);
    },
    [id, push],
  );

  // Leaving the page: send what is not yet saved on its way; should it not arrive, the browser has it.
  useEffect(() => {
    if (JSON.stringify(latest.current) !== kept.current) push();
    const leave = () => {
      if (JSON.stringify(latest.current) !== kept.current && !busy.current)
        api.change(id, { version: version.current, specimen: latest.current }, true).then(
          () => forget(id),
          () => undefined,
        );
    };
    window.addEventListener("pagehide", leave);
    return () => {
      window.removeEventListener("pagehide", leave);
      push();
    };
  }, [id, push]);

  const change: Knife["change"] = (with_) => {
    const next = with_(latest.current);
    if (JSON.stringify(next) === JSON.stringify(latest.current)) return;
    const before = latest.current;
    setPast((all) => [...all.slice(-199), before]);
    setFuture([]);
    show(next);
  };
  const step = (from: Specimen[], setFrom: typeof setPast, setOnto: typeof setPast) => {
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
    problems: problems.length > 0 ? problems : save.kind === "refused" ? save.problems : [],
    save,
    change,
    undo: step(past, setPast, setFuture),
    redo: step(future, setFuture, setPast),
    retry: push,
    resolve: (side) => {
      if (save.kind !== "changed-elsewhere") return;
      version.current = save.current.version;
      kept.current = JSON.stringify(save.current.specimen);
      if (side === "theirs") {
        const mine = latest.current;
        setPast((all) => [...all, mine]);
        latest.current = save.current.specimen;
        setSpecimen(save.current.specimen);
        forget(id);
        setSave({ kind: "saved" });
      } else push();
    },
  };
}

function failed(e: unknown): SaveState {
  if (e instanceof Refused && e.status === 409 && e.current)
    return { kind: "changed-elsewhere", current: e.current };
  if (e instanceof Refused && e.status === 400) return { kind: "refused", problems: e.problems };
  return { kind: "failed", message: (e as Error).message };
}

/** The verdict on what is entered. While an entry cannot be used, the last one stays. */
function useVerdict(specimen: Specimen): { verdict: Verdict | undefined; problems: Problem[] } {
  const [verdict, setVerdict] = useState<Verdict>();
  const [problems, setProblems] = useState<Problem[]>([]);
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
  }, [specimen]);
  return { verdict, problems };
}
