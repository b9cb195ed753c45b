import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useDeferredValue, useState } from "react";
import { useSearchParams } from "react-router";
import { api } from "../../api/client";
import type { SearchTold } from "../../api/types";

export interface Search {
  words: string;
  setWords: (words: string) => void;
  /** What is ticked, as the server reads it: `facet:value`. */
  ticks: string[];
  toggle: (tick: string) => void;
  /** Asks for both at once. */
  ask: (words: string, ticks: string[]) => void;
  clear: () => void;
  /** The same as it stands in an address. */
  asked: string;
  /** Whether anything is asked. */
  isAsking: boolean;
  told: SearchTold | undefined;
  error: Error | null;
  again: () => void;
}

/** What is asked of the tray, kept in the address so that going back finds it, and what answers. */
export function useSearch(isThere: boolean, left: number): Search {
  const [query, setQuery] = useSearchParams();
  const [words, setWords] = useState(query.get("q") ?? "");
  const ticks = query.getAll("in");
  const asked = useDeferredValue(words.trim());
  const answer = useQuery({
    // What is still being worked out may answer too: with every step of it the search is asked again.
    queryKey: ["tray", "search", asked, ticks, left],
    queryFn: ({ signal }) => api.search(asked, ticks, signal),
    placeholderData: keepPreviousData,
    enabled: isThere,
  });
  // At once: written a moment later it could undo the way to a knife that was pressed meanwhile.
  const ask = (said: string, ticked: string[]) => {
    setWords(said);
    setQuery((now) => written(now, said, ticked), { replace: true });
  };
  return {
    words,
    setWords: (said) => ask(said, ticks),
    ticks,
    toggle: (one) => ask(words, ticks.includes(one) ? ticks.filter((t) => t !== one) : [...ticks, one]),
    ask,
    clear: () => ask("", []),
    asked: `${written(new URLSearchParams(), words, ticks)}`,
    isAsking: asked !== "" || ticks.length > 0,
    told: answer.data,
    error: answer.error,
    again: answer.refetch,
  };
}

function written(now: URLSearchParams, words: string, ticks: string[]) {
  const next = new URLSearchParams(now);
  next.delete("q");
  next.delete("in");
  if (words.trim()) next.set("q", words.trim());
  for (const t of ticks) next.append("in", t);
  return next;
}
