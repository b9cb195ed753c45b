import { expect, test } from "vitest";
import type { Book, Seen, Specimen } from "../../../api/types";
import { askedAt, givenOf, told } from "./points";

const point = (id: string, station: string, eachBlade?: boolean) => ({
  id,
  station,
  eachBlade,
  label: id,
  ask: "",
  findings: [],
});
const book = {
  blades: [],
  condition: {
    points: [point("wear", "condition", true), point("steel", "condition"), point("snap", "action")],
  },
} as unknown as Book;
const seen: Seen = { value: "full", sureness: "sure" };
const specimen = {
  condition: { steel: seen },
  blades: [{}, { condition: { wear: seen } }, {}],
} as unknown as Specimen;

test("the knife and its main blade come first, then what is asked of each other blade", () => {
  expect(askedAt(book, "condition", 3).map((q) => q.id)).toEqual(["wear", "steel", "2.wear", "3.wear"]);
  expect(askedAt(book, "condition", 0).map((q) => q.id)).toEqual(["wear", "steel"]);
  expect(askedAt(book, "action", 3).map((q) => q.label)).toEqual(["snap"]);
});

test("what was found of a blade stands under its own question", () => {
  expect(givenOf(specimen)).toEqual({ steel: seen, "2.wear": seen });
});

test("told of a blade it goes to that blade alone, and is taken back", () => {
  const [, , second, third] = askedAt(book, "condition", 3);
  if (!second || !third) throw new Error("not asked");
  const more = told(specimen, third, seen);
  expect(more.blades[2]?.condition).toEqual({ wear: seen });
  expect(more.blades[1]).toBe(specimen.blades[1]);
  expect(told(more, second, undefined).blades[1]?.condition).toEqual({});
});

test("told of the knife it goes to the knife", () => {
  const [wear] = askedAt(book, "condition", 1);
  if (!wear) throw new Error("not asked");
  expect(told(specimen, wear, seen).condition).toEqual({ steel: seen, wear: seen });
  expect(told(specimen, wear, undefined).condition).toEqual({ steel: seen });
});
