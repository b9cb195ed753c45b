import { expect, it } from "vitest";
import type { Dating } from "./api/types";
import { headedBy, rivalsOf } from "./opinion";

const dating = (strength: string) =>
  ({
    opinion: { strength },
    explanations: [{ probability: 0.9 }, { probability: 0.06 }, { probability: 0.004 }],
  }) as unknown as Dating;
const shares = (d: Dating) => rivalsOf(d, 4).map((e) => e.probability);

it("puts no number on a maker that is not yet known: all ways stand in the list", () => {
  expect(headedBy(dating("very-likely"))?.probability).toBe(0.9);
  expect(shares(dating("very-likely"))).toEqual([0.06]);
  expect(headedBy(dating("open"))).toBeUndefined();
  expect(shares(dating("open"))).toEqual([0.9, 0.06]);
  expect(rivalsOf(dating("open"), 1)).toHaveLength(1);
});
