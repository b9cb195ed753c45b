import { type KeyboardEvent, useRef } from "react";
import type { Book, ReadableEntry } from "../../api/types";
import { Compartment } from "./compartment";
import { ManyKnives, type TrayHandle } from "./many";

/** Of more knives than this only those in sight are drawn. */
const MANY = 150;

/** By how many knives an arrow goes on; up and down by about a row. */
const STEPS: Record<string, number> = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: 4, ArrowUp: -4 };

/** The knives in their compartments, gone through by the arrow keys. */
export function Knives({
  knives,
  found,
  isAsking,
  chances,
  book,
  onRemove,
}: {
  knives: ReadableEntry[];
  found: Set<string>;
  isAsking: boolean;
  chances: Map<number, number | undefined>;
  book: Book;
  onRemove: (k: ReadableEntry) => void;
}) {
  const grid = useRef<HTMLOListElement>(null);
  const many = useRef<TrayHandle>(null);
  // Few keep their places; of many only those that were looked for are laid out.
  const shown = isAsking && knives.length > MANY ? knives.filter((k) => found.has(k.id)) : knives;
  const onKey = (event: KeyboardEvent, k: ReadableEntry) => {
    const step = STEPS[event.key];
    if (event.key === "Delete") onRemove(k);
    else if (step) {
      const place = Math.max(0, Math.min(shown.length - 1, shown.indexOf(k) + step));
      if (many.current) many.current.focus(place);
      else grid.current?.querySelectorAll<HTMLElement>("a[data-knife]")[place]?.focus();
    } else return;
    event.preventDefault();
  };
  const compartment = (k: ReadableEntry) => (
    <Compartment
      key={k.id}
      entry={k}
      book={book}
      outside={!found.has(k.id)}
      chance={chances.get(k.number)}
      onKey={(e) => onKey(e, k)}
      onRemove={() => onRemove(k)}
    />
  );
  return knives.length > MANY ? (
    <ManyKnives knives={shown} ref={many}>
      {compartment}
    </ManyKnives>
  ) : (
    <ol ref={grid} className="mt-2 flex flex-wrap border-t border-l border-ink">
      {shown.map(compartment)}
    </ol>
  );
}
