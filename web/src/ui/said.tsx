import type { Dating } from "../api/types";
import { percent, years } from "../format";

/** An opinion in a line: what is held, how likely, and the years. */
export function Said({ of }: { of: Dating["opinion"] }) {
  return (
    <>
      <span className="font-serif">{of.headline}</span>
      {of.held !== undefined && <span className="num text-blue"> {percent(of.held)}%</span>}
      <span className="num text-ink2">, {years(of.years)}</span>
    </>
  );
}
