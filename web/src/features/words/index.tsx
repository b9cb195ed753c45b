import { useQuery } from "@tanstack/react-query";
import type { RefObject } from "react";
import { useEffect, useRef, useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import { api } from "../../api/client";
import type { Book, Term, Words } from "../../api/types";
import { BackView } from "../../drawing/back";
import { useKeys } from "../../keys";
import { Failed } from "../../ui/failed";
import { Key } from "../../ui/key";
import { Page } from "../../ui/page";
import { usePageTitle } from "../../ui/page-title";
import { KnifeOfWords } from "./knife";

/** The words of the trade, drawn on a knife. */
export function WordsPage({ book }: { book: Book }) {
  const words = useQuery({
    queryKey: ["words"],
    queryFn: api.glossary,
    staleTime: Number.POSITIVE_INFINITY,
  });
  usePageTitle("Words of the trade");
  if (words.isError)
    return <Failed what="The words could not be read." error={words.error} onAgain={() => words.refetch()} />;
  if (!words.data) return <p className="voice p-6 text-ink3">Laying it out.</p>;
  return <Drawn words={words.data} book={book} />;
}

const answers = (term: Term, sought: string) =>
  [term.word, ...term.also, term.says].some((t) => t.toLowerCase().includes(sought.trim().toLowerCase()));

function Drawn({ words, book }: { words: Words; book: Book }) {
  const [query, setQuery] = useSearchParams();
  const [sought, setSought] = useState("");
  const search = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();
  const chosen = words.terms.find((t) => t.id === query.get("word"))?.id;
  const choosing: Choosing = {
    numbers: new Map(words.terms.filter((t) => t.at).map((t, i) => [t.id, i + 1])),
    chosen,
    onChoose: (id) => setQuery((now) => ({ ...Object.fromEntries(now), word: id }), { replace: true }),
  };
  useKeys({ escape: () => navigate(-1), "/": () => search.current?.focus() });
  useEffect(() => {
    if (chosen) document.getElementById(`word-${chosen}`)?.scrollIntoView({ block: "nearest" });
  }, [chosen]);
  return (
    <Page>
      <Heading search={search} sought={sought} onSeek={setSought} />
      <Pictures words={words} book={book} {...choosing} />
      <Found
        terms={words.terms.filter((t) => answers(t, sought))}
        station={sought ? undefined : book.stations.find((s) => s.id === query.get("at"))}
        {...choosing}
      />
    </Page>
  );
}

interface Choosing {
  numbers: Map<string, number>;
  chosen: string | undefined;
  onChoose: (id: string) => void;
}

function Heading({
  search,
  sought,
  onSeek,
}: {
  search: RefObject<HTMLInputElement | null>;
  sought: string;
  onSeek: (sought: string) => void;
}) {
  return (
    <div className="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-1">
      <h1 className="text-[1.5625rem]/[1.75rem] tracking-tight">Words of the trade</h1>
      <Link to="/handbook" className="inline-block min-h-6 underline">
        The handbook
      </Link>
      <label className="flex items-baseline gap-2 text-ink2">
        Find a word <Key>/</Key>
        <input
          ref={search}
          type="search"
          className="entry w-48"
          value={sought}
          maxLength={60}
          onChange={(e) => onSeek(e.target.value)}
        />
      </label>
    </div>
  );
}

function Pictures({ words, book, ...choosing }: Choosing & { words: Words; book: Book }) {
  return (
    <div className="sticky top-0 z-10 mt-1 grid grid-cols-[minmax(0,1fr)] items-end gap-x-6 border-b border-ink bg-paper pb-2 lg:grid-cols-[minmax(0,1fr)_20rem]">
      <KnifeOfWords words={words} book={book} {...choosing} />
      <figure className="max-lg:hidden">
        <BackView back={words.sketch.back} />
        <figcaption className="voice mt-1 text-[0.78125rem]/4 text-ink2">
          From the back, mark side up: outermost liners and covers, between them the springs, and at the right
          the tangs that press them.
        </figcaption>
      </figure>
    </div>
  );
}

/** The words that answer, those of the station one came from before the others. */
function Found({
  terms,
  station,
  ...choosing
}: Choosing & { terms: Term[]; station: Book["stations"][number] | undefined }) {
  const here = terms.filter((t) => station && t.asked.includes(station.id));
  const rest = terms.filter((t) => !here.includes(t));
  return (
    <>
      {terms.length === 0 && (
        <p className="voice mt-3 text-ink3">No such word here. Try a part of it, or what it does.</p>
      )}
      {station && here.length > 0 && (
        <section aria-labelledby="words-here" className="mt-3">
          <h2 id="words-here" className="text-[1.1875rem]/[1.375rem]">
            {station.name}
          </h2>
          <TermList terms={here} {...choosing} />
        </section>
      )}
      {rest.length > 0 && (
        <section aria-labelledby="words-all" className="mt-3">
          <h2 id="words-all" className={here.length > 0 ? "text-[1.1875rem]/[1.375rem]" : "sr-only"}>
            {here.length > 0 ? "All the others" : "All words"}
          </h2>
          <TermList terms={rest} {...choosing} />
        </section>
      )}
    </>
  );
}

function TermList({
  terms,
  numbers,
  chosen,
  onChoose,
}: {
  terms: Term[];
  numbers: Map<string, number>;
  chosen: string | undefined;
  onChoose: (id: string) => void;
}) {
  return (
    <ul className="mt-1 gap-x-8 sm:columns-2 lg:columns-3">
      {terms.map((t) => (
        <li
          key={t.id}
          id={`word-${t.id}`}
          className="break-inside-avoid scroll-mt-44 lg:scroll-mt-96 border-t border-rule"
        >
          <button
            type="button"
            aria-pressed={chosen === t.id}
            onFocus={() => numbers.has(t.id) && onChoose(t.id)}
            onClick={() => onChoose(t.id)}
            className="grid w-full grid-cols-[1.5rem_minmax(0,1fr)] py-1.5 text-left aria-pressed:bg-lit"
          >
            <span className="num text-ink2">{numbers.get(t.id)}</span>
            <span>
              <span className={`font-serif text-[1.0625rem]/5 ${chosen === t.id ? "text-blue" : ""}`}>
                {t.word}
              </span>
              {t.also.length > 0 && <span className="voice text-ink2">, {t.also.join(", ")}</span>}
              <span className="block text-ink2">{t.says}</span>
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}
