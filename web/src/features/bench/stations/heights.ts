import type { SeenBlade } from "../../../api/types";
import { withUnit } from "../../../format";
import type { Units } from "../../../preferences";

type Heights = SeenBlade["heights"];

/** "4 : 12.5; 30 : 11" as places and heights, with the unit of the switch where none was written. */
export function readHeights(text: string, units: Units): Heights {
  return text
    .split(";")
    .map((pair) => pair.split(":").map((t) => withUnit(t, units)))
    .filter((pair) => pair.some(Boolean))
    .map(([at = "", height = ""]) => ({ at, height }));
}

export const writeHeights = (heights: Heights) =>
  heights.map((h) => `${h.at} : ${h.height}`).join("; ") || undefined;
