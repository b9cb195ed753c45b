import { expect, test } from "vitest";
import type { Question } from "../../api/types";
import { letterform } from "./told";

const QUESTIONS = [
  {
    id: "letter_serifs",
    label: "Letters of the mark",
    answers: [{ id: "serif", label: "With serifs" }],
  },
] as unknown as Question[];

test("the cut of the letters is told in the words of the book", () => {
  expect(letterform({ letter_serifs: "serif" }, QUESTIONS)).toBe("Letters of the mark: With serifs.");
  expect(letterform({}, QUESTIONS)).toBe("");
});

test("what the book does not know is told as it stands in the pack", () => {
  expect(letterform({ letter_five: "round" }, QUESTIONS)).toBe("letter_five: round.");
});
