import { useEffect, useState } from "react";
import type { Verdict } from "../../api/types";
import { percent, years } from "../../format";

/** Id of the panel that holds the whole verdict. */
export const VERDICT = "verdict";

/** The verdict in short along the foot of a narrow screen, until the whole of it is in sight. */
export function VerdictStrip({ verdict }: { verdict: Verdict | undefined }) {
  const isWholeInSight = useInSight(VERDICT);
  if (!verdict || isWholeInSight) return null;
  const { opinion, explanations, lookNext } = verdict.dating;
  return (
    <button
      type="button"
      className="no-print fixed inset-x-0 bottom-0 z-10 flex items-center gap-3 border-t border-ink bg-paper px-4 py-1.5 text-left min-[80rem]:hidden"
      onClick={() => {
        const whole = document.getElementById(VERDICT);
        whole?.scrollIntoView({ block: "start" });
        whole?.focus({ preventScroll: true });
      }}
    >
      {opinion.held !== undefined && (
        <span className="num text-[1.375rem]/7 text-blue">{percent(opinion.held)}%</span>
      )}
      <span className="min-w-0 flex-1">
        <span className="block truncate font-serif text-[0.9375rem]/5">{opinion.headline}</span>
        <span className="block truncate text-[0.78125rem]/4 text-ink2">
          {explanations.length > 0 && <span className="num text-blue">{years(opinion.years)}</span>}
          {lookNext[0] && ` Next: ${lookNext[0].label}`}
        </span>
      </span>
      <span className="shrink-0 underline">The whole</span>
    </button>
  );
}

function useInSight(id: string): boolean {
  const [isIn, setIn] = useState(false);
  useEffect(() => {
    const element = document.getElementById(id);
    if (!element) return;
    const watch = new IntersectionObserver((seen) => setIn(seen.some((s) => s.isIntersecting)));
    watch.observe(element);
    return () => watch.disconnect();
  }, [id]);
  return isIn;
}
