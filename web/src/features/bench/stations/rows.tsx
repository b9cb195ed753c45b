import type { ReactNode } from "react";
import { useNewRow } from "../../../ui/use-new-row";

/**
 * A list of entries that grows at its end; each can be taken out. What changes is put to the list as it then is, and not as
 * it was drawn: a date, a price and a place may all be on their way.
 */
export function Rows<T extends object>({
  entries,
  name,
  change,
  blank,
  add,
  empty,
  note,
  children,
}: OfRows<T>) {
  const { list, adder, ours } = useNewRow<HTMLOListElement>(entries.length);
  return (
    <>
      {entries.length === 0 && <p className="voice mt-1 text-ink3">{empty}</p>}
      <ol ref={list}>
        {entries.map((entry, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: an entry is known by its place
          <li key={i} className="border-t border-rule py-1.5">
            <OneRow
              name={`${name} ${i + 1}`}
              note={note?.(i)}
              onRemove={ours(() => change((now) => now.filter((_, k) => k !== i)))}
            >
              {children(
                entry,
                (part) => change((now) => now.map((o, k) => (k === i ? { ...o, ...part } : o))),
                i,
              )}
            </OneRow>
          </li>
        ))}
      </ol>
      <button
        type="button"
        ref={adder}
        data-adds
        className="press mt-1"
        disabled={entries.length >= 60}
        onClick={ours(() => change((now) => [...now, blank]))}
      >
        {add}
      </button>
    </>
  );
}

interface OfRows<T> {
  entries: T[];
  name: string;
  change: (update: (now: T[]) => T[]) => void;
  blank: T;
  add: string;
  empty: string;
  note?: (place: number) => ReactNode;
  /** An entry, and what takes that part of it which changed. */
  children: (entry: T, set: (part: Partial<T>) => void, place: number) => ReactNode;
}

function OneRow({
  name,
  note,
  onRemove,
  children,
}: {
  name: string;
  note: ReactNode;
  onRemove: () => void;
  children: ReactNode;
}) {
  return (
    <fieldset className="grid grid-cols-2 items-end gap-x-4 gap-y-1 sm:grid-cols-4 lg:grid-cols-[repeat(auto-fit,minmax(7.5rem,1fr))]">
      <legend className="sr-only">{name}</legend>
      {children}
      <div className="col-span-full flex items-baseline justify-between gap-4 text-[0.78125rem]/4 text-ink2">
        <div className="min-w-0">{note}</div>
        <button
          type="button"
          className="min-h-6 shrink-0 hover:underline"
          aria-label={`Remove ${name.toLowerCase()}`}
          onClick={onRemove}
        >
          Remove
        </button>
      </div>
    </fieldset>
  );
}
