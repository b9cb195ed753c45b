import type { ReactNode } from "react";
import { useNewRow } from "../../../ui/use-new-row";

/** A list of entries that grows at its end; each can be taken out. */
export function Rows<T>({
  entries,
  name,
  onChange,
  blank,
  add,
  empty,
  note,
  children,
}: {
  entries: T[];
  name: string;
  onChange: (entries: T[]) => void;
  blank: T;
  add: string;
  empty: string;
  note?: (place: number) => ReactNode;
  children: (entry: T, set: (changed: T) => void, place: number) => ReactNode;
}) {
  const { list, adder, ours } = useNewRow<HTMLOListElement>(entries.length);
  return (
    <>
      {entries.length === 0 && <p className="voice mt-1 text-ink3">{empty}</p>}
      <ol ref={list}>
        {entries.map((entry, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: an entry is known by its place
          <li key={i} className="border-t border-rule py-1.5">
            <fieldset className="grid grid-cols-2 items-end gap-x-4 gap-y-1 sm:grid-cols-4 lg:grid-cols-[repeat(auto-fit,minmax(7.5rem,1fr))]">
              <legend className="sr-only">
                {name} {i + 1}
              </legend>
              {children(entry, (changed) => onChange(entries.map((o, k) => (k === i ? changed : o))), i)}
              <div className="col-span-full flex items-baseline justify-between gap-4 text-[0.78125rem]/4 text-ink2">
                <div className="min-w-0">{note?.(i)}</div>
                <button
                  type="button"
                  className="min-h-6 shrink-0 hover:underline"
                  aria-label={`Remove ${name.toLowerCase()} ${i + 1}`}
                  onClick={ours(() => onChange(entries.filter((_, k) => k !== i)))}
                >
                  Remove
                </button>
              </div>
            </fieldset>
          </li>
        ))}
      </ol>
      <button
        type="button"
        ref={adder}
        data-adds
        className="press mt-1"
        disabled={entries.length >= 60}
        onClick={ours(() => onChange([...entries, blank]))}
      >
        {add}
      </button>
    </>
  );
}
