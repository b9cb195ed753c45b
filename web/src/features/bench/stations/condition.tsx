import { Field } from "../../../ui/field";
import { Select } from "../../../ui/select";
import type { StationProps } from "../panel";

/** The points of condition; the worst fault sets the grade. */
export function ConditionStation({ knife, book }: StationProps) {
  const grade = knife.verdict?.grade;
  return (
    <div className="mt-1 grid gap-x-6 gap-y-3 md:grid-cols-[minmax(0,3fr)_minmax(0,1.3fr)]">
      <div className="grid grid-cols-2 content-start gap-x-5 gap-y-1.5 lg:grid-cols-3">
        {book.condition.points.map((p) => (
          <Field key={p.id} label={p.label}>
            {(ids) => (
              <Select
                {...ids}
                title={p.ask}
                value={knife.specimen.condition[p.id]}
                nothing="not yet looked"
                options={p.findings}
                onChange={(finding) =>
                  knife.change((s) => {
                    const { [p.id]: _, ...rest } = s.condition;
                    return { ...s, condition: finding ? { ...rest, [p.id]: finding } : rest };
                  })
                }
              />
            )}
          </Field>
        ))}
      </div>
      <div className="border-rule md:border-l md:pl-4">
        <h3 className="voice text-[0.8125rem] text-ink2">By the worst fault</h3>
        {grade?.best ? (
          <>
            <p className="font-serif text-[1.25rem]/6">{grade.best.label}</p>
            {grade.atLeast && grade.atLeast.id !== grade.best.id && (
              <p className="text-ink2">
                {grade.atLeast.label} if the {grade.unseen.length} points not looked at have their usual
                faults.
              </p>
            )}
            <ul className="mt-1">
              {grade.reasons.slice(0, 4).map((r) => (
                <li key={r.point} className="border-t border-rule py-0.5">
                  {r.label}, {r.found.toLowerCase()}: {r.allows.label} at best.{" "}
                  <span className="text-ink2">{r.why}</span>
                </li>
              ))}
            </ul>
          </>
        ) : (
          <p className="voice text-ink3">No grade yet. One point looked at begins one.</p>
        )}
        <p className="mt-2 text-[0.78125rem]/4 text-ink2">
          Open with care: hold the handle, keep fingers out of the path of the edge, do not force a stiff
          joint.
        </p>
      </div>
    </div>
  );
}
