// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, within } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { Book, Term, Words } from "../../api/types";
import { PreferencesProvider } from "../../preferences";
import { WordsPage } from ".";

const term = (id: string, word: string, asked: string, says: string, at?: Term["at"]): Term => ({
  id,
  word,
  also: [],
  says,
  at,
  asked: [asked],
});

const WORDS: Words = {
  sketch: {
    closedLengthMm: 90,
    measured: true,
    blades: [{ end: "A", endSeen: true, lengthMm: 60, measured: true }],
    back: { springs: 1, counted: true, tangs: [{ end: "A", against: [1], seen: true }] },
  },
  terms: [
    term("patina", "Patina", "condition", "What age does to steel."),
    term("kick", "Kick", "blades", "It rests on the spring.", { blade: 1, along: 0.1, across: -1 }),
    term("slot", "Slot", "pattern", "The mouth of the handle.", { along: 0.4, across: -1 }),
  ],
};

const BOOK = {
  bolsters: [],
  shields: [],
  frames: [],
  blades: [],
  stations: [{ id: "blades", name: "Blades", key: "2", drawnLarge: true }],
} as unknown as Book;

function show(at: string) {
  const client = new QueryClient();
  client.setQueryData(["words"], WORDS);
  render(
    <QueryClientProvider client={client}>
      <PreferencesProvider>
        <MemoryRouter initialEntries={[at]}>
          <WordsPage book={BOOK} />
        </MemoryRouter>
      </PreferencesProvider>
    </QueryClientProvider>,
  );
}

const titles = (list: HTMLElement) =>
  within(list)
    .getAllByRole("button")
    .map((b) => b.textContent);

beforeEach(() => {
  Element.prototype.scrollIntoView = vi.fn();
});
afterEach(cleanup);

test("words of the station stand first, numbered by their place in the drawing", () => {
  show("/words?at=blades");
  const [here, others] = screen.getAllByRole("list") as [HTMLElement, HTMLElement];
  expect(screen.getByRole("heading", { name: "Blades" })).toBeTruthy();
  expect(titles(here)).toEqual(["1KickIt rests on the spring."]);
  expect(titles(others)).toEqual(["PatinaWhat age does to steel.", "2SlotThe mouth of the handle."]);
});

test("the word that was followed is in hand, in the list and in the drawing, and is scrolled to", () => {
  show("/words?word=slot");
  expect(screen.getByRole("button", { pressed: true }).textContent).toContain("Slot");
  const drawing = screen.getByRole("img", { name: /A jack of two blades/ });
  const filled = [...drawing.querySelectorAll("circle[fill='var(--color-blue)']")];
  expect(filled).toHaveLength(1);
  expect(filled[0]?.parentElement?.textContent).toBe("Slot2");
  expect(Element.prototype.scrollIntoView).toHaveBeenCalledOnce();
});

test("a press on its number in the drawing takes a word in hand", () => {
  show("/words");
  const titles = [...screen.getByRole("img", { name: /A jack of two blades/ }).querySelectorAll("title")];
  fireEvent.click(titles.find((t) => t.textContent === "Kick")?.parentElement as Element);
  expect(screen.getByRole("button", { pressed: true }).textContent).toContain("Kick");
});

test("a word is found by its name and by what it says; what is not there is said so", () => {
  show("/words?at=blades");
  const search = screen.getByRole("searchbox");
  fireEvent.change(search, { target: { value: " mouth " } });
  expect(titles(screen.getByRole("list"))).toEqual(["2SlotThe mouth of the handle."]);
  fireEvent.change(search, { target: { value: "escutcheon" } });
  expect(screen.queryByRole("list")).toBeNull();
  expect(screen.getByText(/No such word here/)).toBeTruthy();
});
