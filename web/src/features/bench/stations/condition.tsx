import type { Grade } from "../../../api/types";
import type { StationProps } from "../panel";
import { usePoints } from "./points";

/** The points of condition; the worst fault sets the grade. */
export function ConditionStation({ knife, book }: StationProps) {
  const { fields, answers } = usePoints({ knife, book, station: "condition" });
  return (
    <div className="mt-1 grid gap-x-6 gap-y-3 md:grid-cols-[minmax(0,3fr)_minmax(0,2fr)] md:grid-rows-[auto_1fr]">
      <div className="grid content-start gap-x-5 gap-y-1.5 min-[30rem]:grid-cols-2 md:row-span-2">
        {fields}
      </div>
      <div className="border-rule max-md:order-first md:border-l md:pl-4">{answers}</div>
      <ByTheWorstFault grade={knife.verdict?.grade} />
    </div>
  );
}

function ByTheWorstFault({ grade }: { grade: Grade | undefined }) {
  return (
    <div className="border-rule md:border-l md:pl-4">
      <h3 className="voice text-[0.8125rem] text-ink2">By the worst fault</h3>
      {grade?.best ? (
        <>
          <p className="font-serif text-[1.25rem]/6">{grade.best.label}</p>
          {grade.atLeast && grade.atLeast.id !== grade.best.id && (
            <p className="text-ink2">
              {grade.atLeast.label} if the {grade.unseen.length || ""} points not looked at, or not seen
              surely, have their usual faults.
            </p>
          )}
          {grade.atBest && grade.atBest.id !== grade.best.id && (
            <p className="text-ink2">{grade.atBest.label} if the faults not seen surely are not there.</p>
          )}
          <ul className="mt-1">
            {grade.reasons.slice(0, 4).map((r) => (
              <li key={r.point} className="border-t border-rule py-0.5">
                {r.label}, {r.found.toLowerCase()}
                {r.sureness !== "sure" && `, ${r.sureness}`}: {r.allows.label} at best.{" "}
                <span className="text-ink2">{r.why}</span>
              </li>
            ))}
          </ul>
        </>
      ) : (
        <p className="voice text-ink3">No grade yet. One point looked at begins one.</p>
      )}
    </div>
  );
}
