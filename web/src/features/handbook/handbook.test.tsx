// @vitest-environment happy-dom

import { readFileSync } from "node:fs";
import { cleanup, render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { MemoryRouter } from "react-router";
import { afterEach, expect, it } from "vitest";
import type { Book } from "../../api/types";
import { PreferencesProvider } from "../../preferences";
import { HandbookPage } from ".";
import { LEAVES } from "./pages";

const BOOK = { cautions: [{ id: "springs", text: "Springs close blades on fingers." }] } as unknown as Book;

afterEach(cleanup);

const open = (at: string) =>
  render(
    <MemoryRouter initialEntries={[at]}>
      <PreferencesProvider>
        <HandbookPage book={BOOK} />
      </PreferencesProvider>
    </MemoryRouter>,
  );

it("turns its pages by button and by arrow, and ends at the last", async () => {
  open("/handbook");
  const user = userEvent.setup();
  const heading = () => screen.getByRole("heading", { level: 2 }).textContent;
  expect(heading()).toBe(LEAVES[0]?.title);
  await user.click(screen.getByRole("button", { name: "The next page" }));
  expect(heading()).toBe(LEAVES[1]?.title);
  await user.keyboard("{ArrowRight}");
  await waitFor(() => expect(heading()).toBe(LEAVES[2]?.title));
  await user.keyboard("{ArrowLeft}");
  await waitFor(() => expect(heading()).toBe(LEAVES[1]?.title));
  await user.keyboard("{ArrowLeft}");
  await waitFor(() => expect(heading()).toBe(LEAVES[0]?.title));
  await user.keyboard("{ArrowLeft}");
  expect(heading()).toBe(LEAVES[0]?.title);
  await user.click(screen.getByRole("link", { name: LEAVES.at(-1)?.title }));
  expect((screen.getByRole("button", { name: "The next page" }) as HTMLButtonElement).disabled).toBe(true);
  await waitFor(() => expect(document.title).toContain(LEAVES.at(-1)?.title));
});

it("opens at a page, and at the first where there is no such page", () => {
  open("/handbook?page=museum");
  expect(screen.getByRole("heading", { level: 2 }).textContent).toBe("For a museum");
  cleanup();
  open("/handbook?page=nowhere");
  expect(screen.getByRole("heading", { level: 2 }).textContent).toBe(LEAVES[0]?.title);
});

it("has the cautions at hand on every page", () => {
  open("/handbook?page=market");
  const care = within(screen.getByRole("region", { name: "With care" }));
  expect(care.getByText("Springs close blades on fingers.")).toBeTruthy();
});

it("leads only to rooms there are", () => {
  const rooms = readFileSync("src/app.tsx", "utf8");
  const all = LEAVES.flatMap((l) => l.go ?? []).map(([to]) => to);
  expect(all.length).toBeGreaterThan(10);
  for (const to of all) expect(rooms).toContain(`path="${to}"`);
});

it("names only keys that are listed", () => {
  const listed = readFileSync("src/help.tsx", "utf8");
  const named = LEAVES.flatMap((l) => l.steps ?? [])
    .map((s) => /^([A-Z]) /.exec(s)?.[1])
    .filter((k) => k !== undefined);
  expect(named.length).toBeGreaterThan(3);
  for (const key of named) expect(listed).toContain(`"${key}",`);
});
