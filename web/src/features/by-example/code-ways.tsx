import type { CodeGuess, SeenCode } from "../../api/types";

export type Sign = SeenCode["sign"];

/** As a pack has it, without what else is known of it. */
export const codeOf = (
  { kind, from, to, start, figures, letters, table }: CodeGuess,
  sign: Sign,
  label: string,
) => ({
  label,
  sign,
  kind,
  from,
  to,
  ...(start !== undefined && { start }),
  ...(figures !== undefined && { figures }),
  ...(letters.length > 0 && { letters }),
  ...(kind === "table" && { table }),
});

/** What codes struck so are called, where nobody called them otherwise. */
export const SIGNS: Record<string, string> = {
  letter: "A letter for the year",
  figure: "Figures of the year",
  bar: "Bars",
  dot: "Dots",
  star: "Stars",
  ring: "Rings",
  cross: "Crosses",
};

/** A way in words. */
export function titleOf(way: CodeGuess): string {
  const begins = way.years[0];
  if (!begins) return way.why;
  switch (way.kind) {
    case "count-down":
      return `One fewer each year, ${begins.codes[0]} in ${begins.year}. ${way.why}`;
    case "count-up":
      return `One more each year, ${begins.codes[0]} in ${begins.year}. ${way.why}`;
    case "year-figures":
      return `The last ${way.figures === 1 ? "figure" : `${way.figures} figures`} of the year. ${way.why}`;
    case "cycle":
      return `${way.letters.length} letters in turn, ${begins.codes[0]} in ${begins.year}. ${way.why}`;
    default:
      return `No rule: only what is known. ${way.why}`;
  }
}

/** What a way strikes in each of its years. */
export function Years({ way }: { way: CodeGuess }) {
  return (
    <ol aria-label="Its years" className="flex flex-wrap border-t border-l border-rule">
      {way.years.map((y) => (
        <li key={y.year} className="min-w-12 border-r border-b border-rule px-1.5 text-center">
          <span className="block font-steel">{y.codes.join(" ")}</span>
          <span className="num text-[0.78125rem] text-ink2">{y.year}</span>
        </li>
      ))}
    </ol>
  );
}
