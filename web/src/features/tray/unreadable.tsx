import type { TrayEntry } from "../../api/types";

/** Knives this Snikra cannot read: what is kept of them is not lost, and can be saved as text. */
export function Unreadable({ knives, onRemove }: { knives: TrayEntry[]; onRemove: (k: TrayEntry) => void }) {
  return (
    <section aria-label="Knives that cannot be read" className="mt-3 bg-lead-wash px-4 py-2 text-lead">
      <ul>
        {knives.map((k) => (
          <li key={k.id} className="flex flex-wrap items-baseline gap-x-3">
            <span className="num">{k.number}</span>
            <span>{k.unreadable}</span>
            <a href={`/api/knives/${k.id}/text`} download className="min-h-6 underline">
              Save its text
            </a>
            <button type="button" className="min-h-6 underline" onClick={() => onRemove(k)}>
              Take out
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
