// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { api } from "../../api/client";
import type { Book, ReadableEntry } from "../../api/types";
import { PreferencesProvider } from "../../preferences";
import { COLUMNS, type Column, sorted } from "./columns";
import { KnivesTable } from "./table";

const BOOK = { frames: [], blades: [], bolsters: [], shields: [], questions: [] } as unknown as Book;
const SHOWN = { units: "in", school: "strict", book: BOOK } as const;

const knife = (number: number, title: string | undefined, from?: number): ReadableEntry => ({
  id: `k${number}`,
  number,
  version: 0,
  title,
  summary: {
    title: "Jack",
    tradeTitle: "Jack",
    conflict: false,
    grade: { reasons: [], unseen: [] },
    reminders: [],
    counted: 0,
    box: "Sealed",
    span: from === undefined ? undefined : { share: 0.9, pieces: [{ from, to: from + 20 }] },
  },
  sketch: {
    closedLengthMm: 80 + number,
    measured: true,
    blades: [],
    back: { springs: 1, counted: false, tangs: [] },
  },
});
const THREE = [knife(1, "Pen", 1930), knife(2, "Barlow"), knife(3, "Congress", 1890)];

const show = () => {
  const onRemove = vi.fn();
  render(
    <QueryClientProvider client={new QueryClient()}>
      <PreferencesProvider>
        <MemoryRouter>
          <KnivesTable knives={THREE} book={BOOK} onRemove={onRemove} />
        </MemoryRouter>
      </PreferencesProvider>
    </QueryClientProvider>,
  );
  return onRemove;
};
const names = () =>
  screen.getAllByRole("link").map((l) => l.getAttribute("aria-label")?.replace(", to the bench", ""));

beforeEach(() => {
  vi.spyOn(api, "search").mockResolvedValue({ phrases: [], hits: [], facets: [], left: 0 });
  vi.spyOn(HTMLElement.prototype, "offsetHeight", "get").mockReturnValue(800);
});
afterEach(() => {
  cleanup();
  localStorage.clear();
  vi.restoreAllMocks();
});

it("is sorted by what is pressed, the other way when pressed again, and what has nothing comes last", async () => {
  const user = userEvent.setup();
  show();
  expect(names()).toEqual(["Pen", "Barlow", "Congress"]);
  await user.click(screen.getByRole("button", { name: /^Your name/ }));
  expect(names()).toEqual(["Barlow", "Congress", "Pen"]);
  await user.click(screen.getByRole("button", { name: /^Years/ }));
  expect(names()).toEqual(["Congress", "Pen", "Barlow"]);
  await user.click(screen.getByRole("button", { name: /^Years/ }));
  expect(names()).toEqual(["Pen", "Congress", "Barlow"]);
  expect(screen.getByRole("columnheader", { name: /^Years/ }).getAttribute("aria-sort")).toBe("descending");
});

it("sorts every column in both directions without losing a knife", () => {
  const odd = [...THREE, knife(4, undefined, 1890)];
  for (const column of COLUMNS as Column[])
    for (const isDown of [true, false]) {
      const there = sorted(odd, column, isDown, SHOWN).map((k) => k.number);
      expect([...there].sort()).toEqual([1, 2, 3, 4]);
    }
});

it("takes out the several that are chosen, by keys too", async () => {
  const user = userEvent.setup();
  const onRemove = show();
  expect(screen.queryByText("Take out")).toBeNull();
  screen.getByLabelText("Choose 2, Barlow").focus();
  await user.keyboard(" ");
  await user.click(screen.getByLabelText("Choose 3, Congress"));
  expect(screen.getByRole("status").textContent).toContain("2 chosen");
  await user.click(screen.getByText("Take out"));
  expect(onRemove.mock.calls[0]?.[0].map((k: ReadableEntry) => k.number)).toEqual([2, 3]);
  expect(screen.queryByRole("status")).toBeNull();
  await user.click(screen.getByLabelText("Choose all"));
  expect(screen.getByRole("status").textContent).toContain("3 chosen");
});

it("shows the columns that were chosen, and keeps them", async () => {
  const user = userEvent.setup();
  show();
  expect(screen.queryByText("Sealed")).toBeNull();
  await user.click(screen.getByText("Columns"));
  await user.click(screen.getByRole("checkbox", { name: "Box and papers" }));
  await user.click(screen.getByRole("checkbox", { name: "Handle" }));
  await user.keyboard("{Escape}");
  expect(screen.getAllByText("Sealed")).toHaveLength(3);
  expect(screen.queryByRole("columnheader", { name: "Handle" })).toBeNull();
  cleanup();
  show();
  expect(screen.getAllByText("Sealed")).toHaveLength(3);
});
