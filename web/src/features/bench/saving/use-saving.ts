import { useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useRef, useState } from "react";
import { api, Refused } from "../../../api/client";
import type { SavedKnife, Specimen } from "../../../api/types";
import { forgetDraft, keepDraft } from "./drafts";
import { canonical, type Draft, type Effect, opened, type Saving, type SavingEvent, step } from "./machine";

export interface SavingKnife {
  saving: Saving;
  /** Whether this browser has no room to keep what is not saved. */
  isUnkept: boolean;
  changed: (specimen: Specimen) => void;
  retry: () => void;
  /** Decides between what was entered here and what was saved elsewhere; gives back what is shown from now on. */
  choose: (side: "mine" | "theirs") => Specimen;
}

/** Carries out what the machine says: sends, waits, keeps drafts in this browser and tells what came of it. */
export function useSaving(saved: SavedKnife, draft: Draft | undefined, tab: string): SavingKnife {
  const [first, begun] = useState(() => opened(keptOf(saved), draft))[0];
  const [saving, setSaving] = useState(first);
  const now = useRef(first);
  const { isUnkept, carryOut, stopWaiting } = useEffects(saved.id, tab);
  const dispatch = useCallback(
    (event: SavingEvent, isLeaving = false) => {
      const [next, effects] = step(now.current, event);
      now.current = next;
      setSaving(next);
      for (const effect of effects) carryOut(effect, dispatch, isLeaving);
    },
    [carryOut],
  );
  useEffect(() => {
    for (const effect of begun)
      if (effect.kind === "keep-draft" || effect.kind === "forget-draft") carryOut(effect, dispatch);
    dispatch({ kind: "due" });
    const leave = () => dispatch({ kind: "due" }, true);
    window.addEventListener("pagehide", leave);
    return () => {
      window.removeEventListener("pagehide", leave);
      stopWaiting();
      dispatch({ kind: "due" });
    };
  }, [begun, dispatch, carryOut, stopWaiting]);
  return {
    saving,
    isUnkept,
    changed: useCallback((s: Specimen) => dispatch({ kind: "changed", draft: canonical(s) }), [dispatch]),
    retry: useCallback(() => dispatch({ kind: "due" }), [dispatch]),
    choose: (side) => {
      dispatch({ kind: "chose", side });
      return specimenOf(now.current);
    },
  };
}

type Dispatch = (event: SavingEvent) => void;

/** What the machine asks for, done: waiting, keeping and forgetting drafts, sending. */
function useEffects(id: string, tab: string) {
  const queries = useQueryClient();
  const [isUnkept, setUnkept] = useState(false);
  const timer = useRef<number>(undefined);
  const stopWaiting = useCallback(() => window.clearTimeout(timer.current), []);
  const carryOut = useCallback(
    (effect: Effect, dispatch: Dispatch, isLeaving = false) => {
      switch (effect.kind) {
        case "wait":
          stopWaiting();
          timer.current = window.setTimeout(() => dispatch({ kind: "due" }), effect.ms);
          return;
        case "keep-draft":
          return setUnkept(!keepDraft(id, tab, effect.draft));
        case "forget-draft":
          setUnkept(false);
          return forgetDraft(id, tab);
        case "send":
          stopWaiting();
          send(id, effect.version, effect.text, isLeaving).then(([answer, taken]) => {
            if (taken) queries.invalidateQueries({ queryKey: ["tray"] });
            dispatch(answer);
          });
      }
    },
    [id, tab, queries, stopWaiting],
  );
  return { isUnkept, carryOut, stopWaiting };
}

export const specimenOf = (saving: Saving): Specimen => JSON.parse(saving.draft) as Specimen;

const keptOf = (k: SavedKnife) => ({ version: k.version, text: canonical(k.specimen) });

async function send(
  id: string,
  version: number,
  text: string,
  keepalive: boolean,
): Promise<[SavingEvent, SavedKnife | undefined]> {
  try {
    const taken = await api.change(id, { version, specimen: JSON.parse(text) as Specimen }, keepalive);
    return [{ kind: "taken", kept: keptOf(taken) }, taken];
  } catch (e) {
    return [failed(e), undefined];
  }
}

function failed(e: unknown): SavingEvent {
  if (e instanceof Refused && e.status === 409 && e.current)
    return { kind: "conflict", current: keptOf(e.current) };
  if (e instanceof Refused && e.status === 400) return { kind: "refused", problems: e.problems };
  return { kind: "no-answer", message: (e as Error).message };
}
