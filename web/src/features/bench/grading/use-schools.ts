import { useGrading } from "../../../api/grading";
import type { SchoolVerdict, Verdict } from "../../../api/types";

/** The school that heads the page, as it was chosen, and the others beside it. */
export function useSchools(verdict: Verdict | undefined) {
  const { grading, head } = useGrading();
  const all = verdict?.schools ?? [];
  const heads = all.find((s) => s.id === grading?.heads) ?? all[0];
  return { all, heads, others: all.filter((s) => s !== heads), choose: head };
}

/** A place on a scale in a word or two, with its points where they are counted. */
export const standWords = (stand: SchoolVerdict["best"]): string =>
  stand ? (stand.points === undefined ? stand.label : `${stand.points} (${stand.label})`) : "not yet";

/** In one line: where it stands by what was found, and where it likely is with what is open. */
export function headWords(of: SchoolVerdict): string {
  const { best, likely } = of;
  return best && likely && likely.label !== best.label
    ? `${standWords(best)} at best, likeliest ${standWords(likely)}`
    : rangeWords(of);
}

/** From the best it may be to the ordinary worst; one place where both are the same. */
export function rangeWords({ best, atLeast }: SchoolVerdict): string {
  if (!best) return "not yet";
  return atLeast && standWords(atLeast) !== standWords(best)
    ? `${standWords(best)} to ${standWords(atLeast)}`
    : standWords(best);
}
