import { expect, it } from "vitest";
import type { ReadableEntry } from "../../api/types";
import { matches } from "./search";

const knife: ReadableEntry = {
  id: "a",
  number: 17,
  version: 0,
  title: "From the market",
  summary: {
    title: "Swell-end jack",
    tradeTitle: "Swell-end jack",
    maker: "Quillfer & Dax",
    span: { share: 0.9, pieces: [{ from: 1895, to: 1911 }] },
    conflict: false,
    grade: { reasons: [], unseen: [] },
    reminders: [],
  },
  sketch: {
    closedLengthMm: 89,
    measured: true,
    handle: "bone-jigged",
    blades: [],
    back: { springs: 1, counted: false, tangs: [] },
  },
};

it("finds a knife by the beginnings of words", () => {
  for (const words of ["", "jack", "swell bone", "quill market", "17", "JACK"])
    expect(matches(knife, words)).toBe(true);
  for (const words of ["pen", "jack stag", "ack"]) expect(matches(knife, words)).toBe(false);
});

it("takes before and after as bounds some year must meet", () => {
  expect(matches(knife, "before 1900")).toBe(true);
  expect(matches(knife, "before 1895")).toBe(false);
  expect(matches(knife, "after 1905 jack")).toBe(true);
  expect(matches(knife, "after 1911")).toBe(false);
});

it("does not count a knife without a span as before or after anything", () => {
  expect(matches({ ...knife, summary: { ...knife.summary, span: undefined } }, "before 1900")).toBe(false);
});
