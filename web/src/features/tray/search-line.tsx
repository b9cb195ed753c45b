import type { ReactNode, RefObject } from "react";
import type { SearchTold } from "../../api/types";
import { Key } from "../../ui/key";
import type { Search } from "./use-search";

/** One line of plain words, and beneath it how they were understood. */
export function SearchLine({
  search,
  box,
  onEnter,
  children,
}: {
  search: Search;
  box: RefObject<HTMLInputElement | null>;
  onEnter: () => void;
  children: ReactNode;
}) {
  return (
    <>
      <div className="mt-2 flex flex-wrap items-baseline gap-x-3">
        <Key>/</Key>
        <input
          ref={box}
          type="search"
          aria-label="Search the tray"
          placeholder="jack, handle bone, before 1930"
          value={search.words}
          maxLength={200}
          onChange={(e) => search.setWords(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === "Escape" && search.words !== "") {
              e.preventDefault();
              search.setWords("");
            }
            if (e.key === "Enter") onEnter();
          }}
          className="min-w-0 flex-1 basis-64 border-b border-ink bg-transparent py-1 font-serif text-[1.5rem]/[1.875rem] placeholder:text-ink3 placeholder:italic"
        />
        {children}
      </div>
      {search.told && <Understood words={search.words} phrases={search.told.phrases} />}
    </>
  );
}

/** Each phrase that was understood, with its meaning; a word found as it stands needs none. */
function Understood({ words, phrases }: { words: string; phrases: SearchTold["phrases"] }) {
  const said = phrases.filter((p) => p.says !== "" && p.to <= words.length);
  if (said.length === 0) return null;
  return (
    <ul aria-label="As it was understood" className="mt-1 ml-7 flex flex-wrap gap-x-5 gap-y-0.5">
      {said.map((p) => (
        <li key={p.from} className={p.found ? "text-ink2" : "text-lead"}>
          <span
            className={`font-serif ${p.found ? "text-blue underline decoration-2 underline-offset-4" : ""}`}
          >
            {words.slice(p.from, p.to)}
          </span>{" "}
          <span className="voice">{p.says}</span>
        </li>
      ))}
    </ul>
  );
}
