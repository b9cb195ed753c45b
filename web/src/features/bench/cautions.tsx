import { useState } from "react";
import type { Book, Specimen } from "../../api/types";

const KEY = "snikra.cautions";
const dismissed = () => new Set(JSON.parse(localStorage.getItem(KEY) ?? "[]") as string[]);

/** What may hurt someone or break a law, at the step it belongs to, until it is waved away. */
export function Cautions({ book, station, specimen }: { book: Book; station: string; specimen: Specimen }) {
  const [gone, setGone] = useState(dismissed);
  const told = book.cautions.filter(
    (c) =>
      c.station === station &&
      !gone.has(c.id) &&
      (!c.feature || c.values.includes(specimen.seen[c.feature]?.value ?? "")),
  );
  const dismiss = (id: string) => {
    const next = new Set(gone).add(id);
    localStorage.setItem(KEY, JSON.stringify([...next]));
    setGone(next);
  };
  return told.map((c) => (
    <p
      key={c.id}
      role="note"
      className="mt-1 flex items-baseline justify-between gap-4 border-l-2 border-ink pl-2.5 text-ink2"
    >
      <span>
        <span className="voice">With care. </span>
        {c.text}
      </span>
      <button type="button" className="min-h-6 shrink-0 underline" onClick={() => dismiss(c.id)}>
        Understood
      </button>
    </p>
  ));
}
