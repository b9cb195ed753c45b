import type { Book, School } from "../../api/types";
import { Select } from "../../ui/select";
import { type SchoolDraft, withCap } from "./draft";

const DONE = "yes";

/** The best level each finding lets pass, by the part of the knife; one part is open at a time. */
export function Caps({
  school,
  levels,
  book,
  onChange,
}: {
  school: School;
  levels: SchoolDraft["levels"];
  book: Book;
  onChange: (school: School) => void;
}) {
  const parts = [...new Set(book.condition.points.map((p) => p.part))];
  const cap = (of: string, finding: string, label: string, name: string) => (
    <div
      key={`${of}.${finding}`}
      className="grid grid-cols-[minmax(0,1fr)_9rem] items-center gap-x-3 border-b border-rule"
    >
      <span>{label}</span>
      <Select
        aria-label={`${name}: ${label} lets pass at best`}
        value={school.caps[of]?.[finding]}
        nothing="level"
        options={levels}
        onChange={(level) => level && onChange(withCap(school, of, finding, level))}
      />
    </div>
  );
  return (
    <section aria-label="What each fault lets pass" className="mt-3 border-t border-rule">
      {parts.map((part) => (
        <details key={part} name="part" className="border-b border-rule">
          <summary className="min-h-6 cursor-pointer py-1 font-semibold">{partName(part, book)}</summary>
          {book.condition.points
            .filter((p) => p.part === part)
            .map((p) => (
              <fieldset key={p.id} className="mb-2">
                <legend className="text-ink2">{p.label}</legend>
                {p.findings.map((f) => cap(p.id, f.id, f.label, p.label))}
              </fieldset>
            ))}
        </details>
      ))}
      <details name="part" className="border-b border-rule">
        <summary className="min-h-6 cursor-pointer py-1 font-semibold">What was done to it</summary>
        {book.condition.alterations.map((a) => cap(a.id, DONE, a.label, a.label))}
      </details>
    </section>
  );
}

/** A part of the knife as the school that counts points calls it. */
const partName = (part: string, book: Book): string =>
  book.condition.schools.flatMap((s) => s.parts).find((p) => p.id === part)?.label ?? part;
