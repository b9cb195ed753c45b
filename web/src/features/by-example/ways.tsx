import { type ReactNode, useId } from "react";
import { percent } from "../../format";

/** The ways that were found, the likeliest first; one of them is the one to keep. */
export function Ways({
  ways,
  chosen,
  onChoose,
}: {
  ways: { key: string; share: number; title: string; shown: ReactNode }[];
  chosen: number;
  onChoose: (way: number) => void;
}) {
  const name = useId();
  return (
    <ul aria-label="Ways found" className="border-t border-ink">
      {ways.map((w, i) => (
        <li key={w.key} className={`border-b border-rule py-1.5 ${i === chosen ? "" : "text-ink2"}`}>
          <label className="flex min-h-6 cursor-pointer items-baseline gap-2">
            <input type="radio" name={name} checked={i === chosen} onChange={() => onChoose(i)} />
            <span className="num w-10 shrink-0 text-right font-semibold">{percent(w.share)}%</span>
            <span className="min-w-0">{w.title}</span>
          </label>
          {i === chosen && <div className="mt-1 pl-6">{w.shown}</div>}
        </li>
      ))}
    </ul>
  );
}

/** What is amiss in a row, and rows that do not go with the way chosen. */
export function Row({
  n,
  from,
  isOdd,
  onDrop,
  children,
}: {
  n: number;
  /** The knife of one's own it is from. */
  from?: number;
  isOdd: boolean;
  onDrop: () => void;
  children: ReactNode;
}) {
  return (
    <li className="flex items-end gap-3 border-b border-rule py-1">
      <div className="grid min-w-0 grow grid-cols-2 gap-x-3 gap-y-0.5 sm:grid-cols-4">{children}</div>
      <p className="w-24 shrink-0 text-right text-[0.78125rem]/4">
        {isOdd && <span className="block text-lead">does not fit</span>}
        {from && <span className="voice block text-ink2">from No. {from}</span>}
        <button type="button" className="min-h-6 underline" onClick={onDrop}>
          Remove<span className="sr-only"> row {n}</span>
        </button>
      </p>
    </li>
  );
}
