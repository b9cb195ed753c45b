import type { Dating } from "./api/types";
import { percent } from "./format";

/**
 * The explanation the opinion puts a number on. That nobody is known to have made it is no finding:
 * then there is none, and all ways stand among the rivals.
 */
export const headedBy = (dating: Dating) =>
  dating.opinion.strength === "open" ? undefined : dating.explanations[0];

/** What else it may be, the likeliest first, as far as it comes to one in a hundred. */
export const rivalsOf = (dating: Dating, most: number) =>
  dating.explanations.slice(headedBy(dating) ? 1 : 0, most).filter((e) => percent(e.probability) > 0);
