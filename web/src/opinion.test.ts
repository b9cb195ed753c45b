import { expect, it } from "vitest";
import type { Dating } from "./api/types";
import { rivalsOf } from "./opinion";

const dating = (held: number | undefined) =>
  ({
    opinion: { strength: "open", held },
    explanations: [{ probability: 0.48 }, { probability: 0.06 }, { probability: 0.004 }],
  }) as unknown as Dating;
const shares = (d: Dating) => rivalsOf(d, 4).map((e) => e.probability);

it("names as rivals all but what is held, and all ways where nothing is held yet", () => {
  expect(shares(dating(0.48))).toEqual([0.06]);
  expect(shares(dating(undefined))).toEqual([0.48, 0.06]);
  expect(rivalsOf(dating(undefined), 1)).toHaveLength(1);
});
