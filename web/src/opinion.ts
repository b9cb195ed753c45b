import type { Dating } from "./api/types";
import { percent } from "./format";

/** What else it may be, the likeliest first, as far as it comes to one in a hundred; all of it where nothing is held. */
export const rivalsOf = ({ explanations, opinion }: Dating, most: number) =>
  explanations.slice(opinion.held === undefined ? 0 : 1, most).filter((e) => percent(e.probability) > 0);
