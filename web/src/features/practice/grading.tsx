import { useMutation } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { api, Refused } from "../../api/client";
import type { GradeTold, Problem, ToGrade } from "../../api/types";
import { sentence } from "../../format";
import { SelectField } from "../../ui/select-field";
import { SURE_AT_FIRST, Sure } from "./sure";
import { lost } from "./words";

/** A described knife to grade by a school, with a grade that was agreed on beforehand. */
export function Grading({
  knife,
  player,
  onGraded,
  onNext,
}: {
  knife: ToGrade;
  player: string;
  onGraded: () => void;
  onNext: () => void;
}) {
  return (
    <section
      aria-label="A knife to grade"
      className="mt-3 grid gap-x-10 gap-y-4 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]"
    >
      <Described knife={knife} />
      <YourGrade knife={knife} player={player} onGraded={onGraded} onNext={onNext} />
    </section>
  );
}

function Described({ knife }: { knife: ToGrade }) {
  return (
    <div className="min-w-0">
      <h2 className="text-[1.4375rem]/7 tracking-tight">{knife.what}</h2>
      {knife.faults.length === 0 ? (
        <p className="mt-2 text-ink2">Nothing is amiss on it, wherever one looks.</p>
      ) : (
        <dl className="mt-2">
          {knife.faults.map((f) => (
            <div key={f.point} className="flex gap-4 border-b border-rule py-1">
              <dt className="w-44 shrink-0 text-ink2">{f.point}</dt>
              <dd>{sentence(f.found)}</dd>
            </div>
          ))}
        </dl>
      )}
      <p className="mt-2 text-[0.8125rem] text-ink2">All that is not named is sound.</p>
    </div>
  );
}

/** The grade one says, by a school, and how sure one is of it. */
function YourGrade({ knife, player, onGraded, onNext }: Parameters<typeof Grading>[0]) {
  const [said, setSaid] = useState<SaidGrade>({ school: knife.schools[0]?.id, sure: SURE_AT_FIRST });
  const grade = useGraded(player, knife.number, said, onGraded);
  const problem = (field: string) =>
    grade.error instanceof Refused ? grade.error.problems.find((p) => p.field === field) : undefined;
  const isOpen = said.level !== undefined && !grade.data;
  return (
    <form
      aria-label="Your grade"
      className="min-w-0"
      onSubmit={(e) => {
        e.preventDefault();
        if (isOpen) grade.mutate();
      }}
    >
      <SchoolAndLevel
        knife={knife}
        said={said}
        isDone={grade.data !== undefined}
        problem={problem}
        set={(now) => setSaid({ ...said, ...now })}
      />
      {isOpen && <Sure of="the grade" value={said.sure} onChange={(sure) => setSaid({ ...said, sure })} />}
      {isOpen && (
        <p className="text-[0.8125rem] text-ink2">The rest of the chance lies one grade to either side.</p>
      )}
      {grade.data ? (
        <Came told={grade.data} knife={knife} school={said.school ?? ""} onNext={onNext} />
      ) : (
        <button type="submit" className="press mt-3" disabled={!said.level || grade.isPending}>
          Unveil
        </button>
      )}
      {grade.isError && !problem("school") && !problem("level") && (
        <p role="alert" className="mt-2 text-lead">
          It was not graded. {grade.error.message}
        </p>
      )}
    </form>
  );
}

/** A grade by a school, and how sure one is of it in a hundred. */
interface SaidGrade {
  school?: string;
  level?: string;
  sure: number;
}

function useGraded(
  player: string,
  number: number,
  { school = "", level = "", sure }: SaidGrade,
  onSuccess: (told: GradeTold) => void,
) {
  // The same until it is answered: sent twice because no answer came, it is kept once.
  const id = useRef(crypto.randomUUID());
  return useMutation({
    mutationFn: () => api.grade(id.current, { player, number, school, level, sure: sure / 100 }),
    onSuccess,
  });
}

function SchoolAndLevel({
  knife,
  said,
  isDone,
  problem,
  set,
}: {
  knife: ToGrade;
  said: SaidGrade;
  isDone: boolean;
  problem: (field: string) => Problem | undefined;
  set: (now: Partial<SaidGrade>) => void;
}) {
  const by = knife.schools.find((s) => s.id === said.school);
  return (
    <>
      <SelectField
        label="By which school"
        problem={problem("school")}
        hint={by?.about}
        disabled={isDone}
        value={said.school}
        options={knife.schools}
        nothing="choose a school"
        onChange={(school) => set({ school, level: undefined })}
      />
      <SelectField
        label="Its grade"
        className="mt-3"
        problem={problem("level")}
        disabled={isDone}
        value={said.level}
        options={by?.levels ?? []}
        nothing="I do not say"
        onChange={(level) => set({ level })}
      />
    </>
  );
}

function Came({
  told,
  knife,
  school,
  onNext,
}: {
  told: GradeTold;
  knife: ToGrade;
  school: string;
  onNext: () => void;
}) {
  const next = useRef<HTMLButtonElement>(null);
  useEffect(() => next.current?.focus(), []);
  const label = (id: string) => knife.schools.find((s) => s.id === id)?.label ?? id;
  const { scored } = told;
  return (
    <div className="mt-3 border-t border-ink pt-2" role="status">
      <p>
        {scored.right > 0.5 ? "So it was agreed." : "It was agreed otherwise."} You lost{" "}
        <span className="num">{lost("grade", scored.own)}</span> of a grade, Snikra{" "}
        <span className="num">{lost("grade", scored.models)}</span>.
      </p>
      <dl className="mt-2">
        {told.agreed.map((a) => (
          <div
            key={a.school}
            className={`flex justify-between gap-4 border-b border-rule py-0.5 ${a.school === school ? "font-semibold" : ""}`}
          >
            <dt>{label(a.school)}</dt>
            <dd>{a.label}</dd>
          </div>
        ))}
      </dl>
      <button ref={next} type="button" className="press mt-3" onClick={onNext}>
        Another to grade
      </button>
    </div>
  );
}
