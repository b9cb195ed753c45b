import type { Question } from "../../api/types";

/** A fact about a look, in the words of the book; as it stands in the pack where the book has none. */
export function told(feature: string, value: string, questions: Question[]): string {
  const question = questions.find((q) => q.id === feature);
  const answer = question?.answers.find((a) => a.id === value);
  return `${question?.label ?? feature}: ${answer?.label ?? value}`;
}

/** How the letters of a mark are cut. */
export function letterform(of: Record<string, string>, questions: Question[]): string {
  return Object.entries(of)
    .map(([feature, value]) => `${told(feature, value, questions)}.`)
    .join(" ");
}
