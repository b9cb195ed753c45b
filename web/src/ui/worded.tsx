import { useQuery } from "@tanstack/react-query";
import { createContext, type ReactNode, useContext, useMemo } from "react";
import { Link } from "react-router";
import { api } from "../api/client";
import type { Term } from "../api/types";

/** Names of words, the longest first, with the word they belong to. */
type Names = [name: string, id: string][];

const Known = createContext<Names>([]);

export const namesOf = (terms: Term[]): Names =>
  terms
    .flatMap((t) => [t.word, ...t.also].map((name): [string, string] => [name.toLowerCase(), t.id]))
    .sort((a, b) => b[0].length - a[0].length);

/** Lets the words of the trade be followed wherever they stand in a label. */
export function WordsProvider({ children }: { children: ReactNode }) {
  const words = useQuery({
    queryKey: ["words"],
    queryFn: api.glossary,
    staleTime: Number.POSITIVE_INFINITY,
  });
  const names = useMemo(() => namesOf(words.data?.terms ?? []), [words.data]);
  return <Known value={names}>{children}</Known>;
}

/** The first word of the trade in a text: what stands before it, itself, and what follows. */
export function firstWord(text: string, names: Names): [string, string, string, string] | undefined {
  const low = text.toLowerCase();
  const isLetter = (c: string | undefined) => c !== undefined && /\p{L}/u.test(c);
  for (const [name, id] of names)
    for (let at = low.indexOf(name); at >= 0; at = low.indexOf(name, at + 1)) {
      const end = at + name.length;
      if (!isLetter(low[at - 1]) && !isLetter(low[end]))
        return [text.slice(0, at), text.slice(at, end), text.slice(end), id];
    }
  return undefined;
}

/**
 * A label in which a word of the trade leads to what it means. Not on the way of the Tab key, which
 * goes from answer to answer: the key W leads to the words of a station.
 */
export function Worded({ children }: { children: string }) {
  const found = firstWord(children, useContext(Known));
  if (!found) return children;
  const [before, word, after, id] = found;
  return (
    <>
      {before}
      <Link
        to={`/words?word=${id}`}
        tabIndex={-1}
        title="What it means"
        className="underline decoration-edge decoration-dotted underline-offset-2 hover:text-blue"
      >
        {word}
      </Link>
      {after}
    </>
  );
}
