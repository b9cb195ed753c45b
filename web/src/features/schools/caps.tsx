import type { Book, School } from "../../api/types";
import { Select } from "../../ui/select";
import { type SchoolDraft, withCap } from "./draft";

const DONE = "yes";

/** The best level each finding lets pass, by the part of the knife; one part is open at a time. */
export function Caps({ levels, book, ...of }: OfCaps & { book: Book }) {
  const { points, alterations } = book.condition;
  return (
    <section aria-label="What each fault lets pass" className="mt-3 border-t border-rule">
      {[...new Set(points.map((p) => p.part))].map((part) => (
        <details key={part} name="part" className="border-b border-rule">
          <summary className="min-h-6 cursor-pointer py-1 font-semibold">{partName(part, book)}</summary>
          {points
            .filter((p) => p.part === part)
            .map((p) => (
              <fieldset key={p.id} className="mb-2">
                <legend className="text-ink2">{p.label}</legend>
                {p.findings.map((f) => (
                  <Cap key={f.id} of={p} finding={f.id} label={f.label} levels={levels} {...of} />
                ))}
              </fieldset>
            ))}
        </details>
      ))}
      <details name="part" className="border-b border-rule">
        <summary className="min-h-6 cursor-pointer py-1 font-semibold">What was done to it</summary>
        {alterations.map((a) => (
          <Cap key={a.id} of={a} finding={DONE} label={a.label} levels={levels} {...of} />
        ))}
      </details>
    </section>
  );
}

interface OfCaps {
  school: School;
  levels: SchoolDraft["levels"];
  onChange: (school: School) => void;
}

function Cap({
  of,
  finding,
  label,
  school,
  levels,
  onChange,
}: OfCaps & { of: { id: string; label: string }; finding: string; label: string }) {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_9rem] items-center gap-x-3 border-b border-rule">
      <span>{label}</span>
      <Select
        aria-label={`${of.label}: ${label} lets pass at best`}
        value={school.caps[of.id]?.[finding]}
        nothing="level"
        options={levels}
        onChange={(level) => level && onChange(withCap(school, of.id, finding, level))}
      />
    </div>
  );
}

/** A part of the knife as the school that counts points calls it. */
const partName = (part: string, book: Book): string =>
  book.condition.schools.flatMap((s) => s.parts).find((p) => p.id === part)?.label ?? part;
