import { Link } from "react-router";
import type { SchoolVerdict, Verdict } from "../../../api/types";
import { percent } from "../../../format";
import { Select } from "../../../ui/select";
import { letterOf, MOST_FAULTS } from "../fault-marks";
import { Boxed, Built } from "./built";
import { GradeRule } from "./rule";
import { headWords, standWords, useSchools } from "./use-schools";

/** What collectors of different habits make of the knife, side by side, each with its reasons. */
export function Schools({ id, verdict }: { id: string; verdict: Verdict | undefined }) {
  const { all, heads, others, choose } = useSchools(verdict);
  if (!heads) return null;
  if (!heads.best) return <p className="voice text-ink3">No grade yet. One point looked at begins one.</p>;
  const beside = others.find((s) => s.kind !== heads.kind);
  return (
    <section aria-label="Grades">
      <Select
        aria-label="School that heads the page"
        value={heads.id}
        nothing="school"
        options={all.map((s) => ({ id: s.id, label: s.label }))}
        onChange={(id) => id && choose(id)}
      />
      <Heading school={heads} beside={beside} />
      <Faults of={heads} beside={beside} />
      <Narrows of={heads} />
      <TheOthers schools={others} />
      <Built built={verdict?.built} />
      <Boxed box={verdict?.box} />
      <p className="mt-1.5">
        <Link to={`/bench/${id}/condition`} className="min-h-6 underline">
          Condition report to print
        </Link>
      </p>
    </section>
  );
}

function Heading({ school, beside }: { school: SchoolVerdict; beside: SchoolVerdict | undefined }) {
  return (
    <>
      <Link to="/grading" className="inline-block min-h-6 text-ink2 underline">
        Schools, and one of your own
      </Link>
      <p className="voice mt-0.5 text-[0.78125rem]/4 text-ink2">{school.about}</p>
      <p className="mt-1.5 font-serif text-[1.25rem]/6" data-testid="school-grade">
        {headWords(school)}
      </p>
      <Openness of={school} />
      <div className="mt-1.5">
        <GradeRule first={school} second={beside} />
      </div>
    </>
  );
}

function TheOthers({ schools }: { schools: SchoolVerdict[] }) {
  return (
    <ul className="mt-2 border-t border-ink" aria-label="By the other schools">
      {schools.map((s) => (
        <li
          key={s.id}
          className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)] gap-x-3 border-b border-rule py-0.5"
          title={s.about}
        >
          <span>{s.label}</span>
          <span className="text-right">{headWords(s)}</span>
        </li>
      ))}
    </ul>
  );
}

function Openness({ of }: { of: SchoolVerdict }) {
  const { atBest, atLeast, best, open } = of;
  return (
    <>
      {open > 0 && (
        <p className="text-ink2">
          {open} {open === 1 ? "point" : "points"} not looked at
          {atLeast &&
            best &&
            atLeast.id !== best.id &&
            `: ${standWords(atLeast)} with an ordinary fault there`}
          .
        </p>
      )}
      {atBest && best && atBest.id !== best.id && (
        <p className="text-ink2">{standWords(atBest)} if what is not seen surely is not so.</p>
      )}
    </>
  );
}

/** The faults that count, the worst first, with what each lets pass and what it takes. */
function Faults({ of, beside }: { of: SchoolVerdict; beside: SchoolVerdict | undefined }) {
  if (of.reasons.length === 0) return null;
  return (
    <ul className="mt-2" aria-label="Faults that count">
      {of.reasons.slice(0, MOST_FAULTS).map((f, i) => (
        <OneFault
          key={`${f.of}${f.blade}`}
          fault={f}
          beside={beside?.reasons.find((o) => o.of === f.of && o.blade === f.blade)}
          letter={letterOf(i)}
        />
      ))}
      {of.reasons.length > MOST_FAULTS && (
        <li className="border-t border-rule py-0.5 text-ink2">
          and {of.reasons.length - MOST_FAULTS} that weigh less
        </li>
      )}
    </ul>
  );
}

type Fault = SchoolVerdict["reasons"][number];

function OneFault({ fault: f, beside, letter }: { fault: Fault; beside: Fault | undefined; letter: string }) {
  const allows = f.allows ?? beside?.allows;
  const loses = f.loses || beside?.loses;
  const takes = [allows && `${allows.label} at best`, loses && `\u2212${loses}`].filter(Boolean).join(", ");
  return (
    <li className="border-t border-rule py-0.5">
      <span className="flex justify-between gap-3">
        <span>
          <span className="mr-1.5 inline-block w-4 bg-lead text-center font-semibold text-[0.75rem]/4 text-paper">
            {letter}
          </span>
          {f.label}
          {f.found && `, ${f.found.toLowerCase()}`}
          {f.probability < 1 ? ` (${percent(f.probability)}%)` : f.sureness !== "sure" && ` (${f.sureness})`}
        </span>
        <span className="shrink-0 text-right">{f.counts ? takes : "the same loss, counted once"}</span>
      </span>
      <span className="text-[0.78125rem]/4 text-ink2">{f.why}</span>
    </li>
  );
}

function Narrows({ of }: { of: SchoolVerdict }) {
  if (of.narrows.length === 0) return null;
  return (
    <p className="mt-1.5 border-t border-rule pt-1">
      <span className="voice text-ink2">Would narrow it most: </span>
      {of.narrows.map((n) => n.label.toLowerCase()).join(", ")}
    </p>
  );
}
