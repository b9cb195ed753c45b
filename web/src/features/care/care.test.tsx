// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, render, screen } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, expect, test, vi } from "vitest";
import { api } from "../../api/client";
import type { Advice, TrayEntry } from "../../api/types";
import { PreferencesProvider } from "../../preferences";
import { CarePage, reminders } from ".";

afterEach(cleanup);

const advice = (id: string, due?: string): Advice => ({
  id,
  does: `Do ${id}`,
  why: "",
  again: true,
  settledBy: [],
  ...(due ? { due, last: "2020-01-02" } : {}),
});
const knife = (number: number, ...of: Advice[]) =>
  ({
    id: `k${number}`,
    number,
    version: 0,
    title: `Knife ${number}`,
    summary: { reminders: of },
  }) as unknown as TrayEntry;

const show = (tray: TrayEntry[]) => {
  vi.spyOn(api, "tray").mockResolvedValue(tray);
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <PreferencesProvider>
          <CarePage />
        </PreferencesProvider>
      </MemoryRouter>
    </QueryClientProvider>,
  );
};

test("what was never seen to stands first, then by the day it is due", () => {
  const tray = [knife(1, advice("a", "2027-05-01")), knife(2, advice("b", "2021-01-01"), advice("c"))];
  expect(reminders(tray).map((r) => r.advice.id)).toEqual(["c", "b", "a"]);
});

test("a knife that cannot be read has no reminder", () => {
  expect(reminders([{ id: "x", number: 3, version: 0, unreadable: "?" } as TrayEntry])).toEqual([]);
});

test("each reminder leads to its knife and says since when it is due", async () => {
  show([knife(4, advice("rust", "2021-01-02"))]);
  expect((await screen.findByRole("link", { name: "4 Knife 4" })).getAttribute("href")).toBe(
    "/bench/k4?at=care",
  );
  screen.getByText(/due since .*2021, last on .*2020/);
  screen.getByText("1 reminder, the most pressing first.");
});

test("an empty list says what would stand there", async () => {
  show([knife(5)]);
  await screen.findByText("Nothing in the tray asks for it.");
  screen.getByText(/Celluloid covers, rust and verdigris/);
});
