import type { SchoolVerdict } from "../../../api/types";
import { percent } from "../../../format";

const ROW = 22;

/**
 * The grades as a rule, best on top: a pointer and an open range for each of two schools, and how
 * likely each grade is by the first of them.
 */
export function GradeRule({ first, second }: { first: SchoolVerdict; second: SchoolVerdict | undefined }) {
  const levels = first.chances;
  const shown = second?.chances.length === levels.length ? second : undefined;
  const place = (id: string | undefined) => levels.findIndex((l) => l.id === id);
  return (
    <div className="flex gap-2" data-testid="grade-rule">
      <ol className="min-w-0 flex-1">
        {levels.map((l) => (
          <li
            key={l.id}
            aria-current={first.best?.id === l.id ? "true" : undefined}
            className="grid grid-cols-[minmax(0,1fr)_2.25rem] items-center gap-x-2 border-b border-rule aria-[current=true]:font-semibold"
            style={{ height: ROW }}
          >
            {l.label}
            <span className="num text-right text-ink2">
              {percent(l.probability) > 0 && `${percent(l.probability)}%`}
            </span>
          </li>
        ))}
      </ol>
      {[first, shown].map(
        (s, i) =>
          s?.best && (
            <Pointer
              key={s.id}
              at={place(s.best.id)}
              from={place(s.atBest?.id ?? s.best.id)}
              to={place(s.atLeast?.id ?? s.best.id)}
              levels={levels.length}
              isFirst={i === 0}
            />
          ),
      )}
    </div>
  );
}

function Pointer({
  at,
  from,
  to,
  levels,
  isFirst,
}: {
  at: number;
  from: number;
  to: number;
  levels: number;
  isFirst: boolean;
}) {
  const y = (place: number) => (place + 0.5) * ROW;
  return (
    <svg
      width="20"
      height={levels * ROW}
      aria-hidden="true"
      className={`shrink-0 ${isFirst ? "text-blue" : "text-ink"}`}
    >
      <path d={`M10 0V${levels * ROW}`} stroke="var(--color-rule)" />
      <path d={`M10 ${y(from)}V${y(to)}`} stroke="currentColor" strokeWidth={isFirst ? 5 : 2} />
      <path
        className="settle"
        style={{ transform: `translateY(${y(at)}px)` }}
        d="M2 0 10-6 18 0 10 6Z"
        fill={isFirst ? "currentColor" : "var(--color-paper)"}
        stroke="currentColor"
        strokeWidth="1.5"
      />
    </svg>
  );
}
