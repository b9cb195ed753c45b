// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, render, screen } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, expect, test } from "vitest";
import type { Term } from "../api/types";
import { Field } from "./field";
import { firstWord, namesOf, WordsProvider } from "./worded";

const term = (id: string, word: string, also: string[] = []): Term => ({
  id,
  word,
  also,
  says: "What it is.",
  asked: ["blades"],
});

const TERMS = [
  term("stop", "Half stop"),
  term("pull", "Nail nick", ["pull", "long pull"]),
  term("pin", "Pins", ["pin"]),
];

afterEach(cleanup);

test("the longest name that stands as a word of its own is found, as it is written", () => {
  const names = namesOf(TERMS);
  expect(firstWord("A Long pull, as cut", names)).toEqual(["A ", "Long pull", ", as cut", "pull"]);
  expect(firstWord("Half stop on the main blade", names)?.[3]).toBe("stop");
  expect(firstWord("Pinched, spinning", names)).toBeUndefined();
  expect(firstWord("Spinning pin", names)).toEqual(["Spinning ", "pin", "", "pin"]);
  expect(firstWord("", names)).toBeUndefined();
  expect(firstWord("Half stop", [])).toBeUndefined();
});

test("a word in a label leads to what it means, without standing in the way of Tab", () => {
  const client = new QueryClient();
  client.setQueryData(["words"], { terms: TERMS });
  render(
    <QueryClientProvider client={client}>
      <MemoryRouter>
        <WordsProvider>
          <Field label="Half stop on it">{(ids) => <input {...ids} />}</Field>
          <Field label="Colour">{(ids) => <input {...ids} />}</Field>
        </WordsProvider>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  const word = screen.getByRole("link", { name: "Half stop" });
  expect(word.getAttribute("href")).toBe("/words?word=stop");
  expect(word.tabIndex).toBe(-1);
  expect(screen.getAllByRole("link")).toHaveLength(1);
  expect(screen.getByLabelText("Half stop on it").tagName).toBe("INPUT");
});
