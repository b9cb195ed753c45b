import type { ReadableEntry } from "../../api/types";

const BEFORE = /\b(before|after)\s+(\d{4})\b/g;

/**
 * Whether a knife answers to plain words: each must begin a word of what is known of it, and `before 1930`
 * or `after 1900` must be met by some year of its span.
 */
export function matches(k: ReadableEntry, search: string): boolean {
  const asked = search.toLowerCase();
  for (const [, side, year] of asked.matchAll(BEFORE)) {
    const span = k.summary.span;
    if (!span) return false;
    const from = span.pieces[0]?.from ?? 0;
    const to = span.pieces.at(-1)?.to ?? 0;
    if (side === "before" ? from >= Number(year) : to <= Number(year)) return false;
  }
  const known = [
    k.number,
    k.title,
    k.summary.title,
    k.summary.tradeTitle,
    k.summary.maker ?? "maker not yet known",
    k.summary.grade.best?.label,
    k.summary.conflict ? "conflict" : "",
    k.sketch.handle?.replaceAll("-", " "),
    k.sketch.frame?.replaceAll("-", " "),
    ...k.sketch.blades.map((b) => b.type?.replaceAll("-", " ")),
  ]
    .join(" ")
    .toLowerCase();
  const begins = known.split(/[^\p{L}\d]+/u);
  return asked
    .replace(BEFORE, " ")
    .split(/\s+/)
    .filter(Boolean)
    .every((word) => begins.some((b) => b.startsWith(word)));
}
