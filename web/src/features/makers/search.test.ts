import { expect, it } from "vitest";
import type { OneMaker } from "../../api/types";
import { holds, marked } from "./search";

const mark: OneMaker["marks"][number] = {
  id: "v",
  lines: ["VERMOUZAN", "\u00c0 BAZELADE"],
  pile: ["FRANCE"],
  etch: [],
  layout: "straight",
  technique: "struck",
  everyBlade: false,
  from: 1905,
  to: 1926,
  give: 3,
  note: "",
  source: "s",
  trust: 0.9,
  letterform: {},
};
const maker: OneMaker = {
  id: "v",
  name: "Vermouzan",
  region: "France",
  place: "Bazelade",
  note: "Country knives.",
  from: 1871,
  to: 1988,
  changes: [],
  marks: [mark],
  codes: [],
  history: { kind: "maker", owners: [], contracts: [], shields: [], fittings: [], models: [], tells: [] },
  bars: [],
  unmarked: [],
};

it("finds part of a text in any mark, whatever its accents", () => {
  for (const text of ["mouz", "a baz", "FRAN", "country"]) expect(holds(maker, text)).toBe(true);
  expect(holds(maker, "sohn")).toBe(false);
});

it("lights the marks that hold the text, and none where nothing is asked", () => {
  expect(marked(mark, "bazel")).toBe(true);
  expect(marked(mark, "country")).toBe(false);
  expect(marked(mark, "")).toBe(false);
});
