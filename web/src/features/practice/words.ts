import type { PracticeTold, Unveiled } from "../../api/types";

/** Stands in a list for a maker who is not on file: nothing chosen has no id. */
export const NOT_ON_FILE = "-";

export type Scored = Unveiled["answers"][number];

export const ASKED: Record<Scored["question"], string> = {
  maker: "Who made it",
  years: "When",
  how: "What was done to it",
  name: "Pattern",
  grade: "Grade",
};

export const glances = (n: number): string => (n === 1 ? "1 glance" : `${n} glances`);

/** An answer as it is read: ids by their names, years with a dash. */
export function inWords(question: Scored["question"], said: string, told: PracticeTold): string {
  if (question === "years") {
    const [from, to] = said.split("/");
    return to && to !== from ? `${from}\u2013${to}` : `${from}`;
  }
  if (question === "maker")
    return said ? (told.makers.find((m) => m.id === said)?.label ?? said) : "one who is not on file";
  if (question === "how") return told.book.how.find((h) => h.id === said)?.label ?? "Something else";
  return told.names.find((n) => n.id === said)?.label ?? said;
}

/** In what one loses. */
export const UNIT: Record<Scored["question"], string> = {
  maker: "bits",
  years: "years",
  how: "bits",
  name: "bits",
  grade: "of a grade",
};

const DIGITS: Partial<Record<Scored["question"], number>> = { years: 0, grade: 2 };

export const lost = (question: Scored["question"], score: number): string =>
  score.toFixed(DIGITS[question] ?? 1);
