// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { api } from "../../api/client";
import type { Book, TrayEntry } from "../../api/types";
import { today } from "../../format";
import { PreferencesProvider } from "../../preferences";
import { ToastProvider } from "../../ui/toasts";
import { CarriedPage } from ".";
import { daysCarried, daysRested, turns } from "./turns";

const BOOK = {
  works: [
    { id: "oiled", label: "Oiled" },
    { id: "pocketed", label: "Into the pocket", pocket: "in" },
    { id: "put-away", label: "Put away", pocket: "out" },
  ],
} as unknown as Book;

const knife = (number: number, pocket?: object, more: object = {}) =>
  ({
    id: `k${number}`,
    number,
    version: 1,
    title: `Knife ${number}`,
    sketch: { closedLengthMm: 90, blades: [], measured: true, back: {} },
    summary: { reminders: [], ...(pocket ? { carried: { pocket, ...more } } : {}) },
  }) as unknown as TrayEntry;

const show = (...tray: TrayEntry[]) => {
  vi.spyOn(api, "tray").mockResolvedValue(tray);
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter>
        <PreferencesProvider>
          <ToastProvider>
            <CarriedPage />
          </ToastProvider>
        </PreferencesProvider>
      </MemoryRouter>
    </QueryClientProvider>,
  );
};

vi.mock("../../drawing/small-knife", () => ({ SmallKnife: () => null }));
beforeEach(() => {
  vi.spyOn(api, "book").mockResolvedValue(BOOK);
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

test("those in the pocket stand first, then whoever has rested longest", () => {
  const tray = [
    knife(1, { last: "2026-05-01", days: 3 }),
    knife(2),
    knife(3, { since: "2026-06-01", last: "2026-06-01", days: 0 }),
    knife(4, { last: "2025-05-01", days: 9 }),
    knife(5, { since: "2026-01-01", last: "2026-01-01", days: 0 }),
  ];
  const { now, next } = turns(tray);
  expect(now.map((k) => k.number)).toEqual([5, 3]);
  expect(next.map((k) => k.number)).toEqual([4, 1]);
});

test("days are those that are over and those of now", () => {
  const carried = { pocket: { since: "2026-02-27", last: "2026-02-27", days: 10 } };
  expect(daysCarried(carried, "2026-03-01")).toBe(12);
  expect(daysCarried({ pocket: { last: "2026-02-27", days: 10 } }, "2026-03-01")).toBe(10);
  expect(daysRested({ pocket: { last: "2026-02-27", days: 10 } }, "2026-03-01")).toBe(2);
  // A clock set back counts no day less than none.
  expect(daysCarried(carried, "2026-01-01")).toBe(10);
});

test("each says its size, its wear and whether one would carry it", async () => {
  show(knife(3, { last: "2020-06-01", days: 1 }, { grams: 61.7, wear: "A tenth gone", fit: "Carry it" }));
  const row = within(await screen.findByRole("list", { name: "Next in turn" })).getByRole("listitem");
  expect(row.textContent).toMatch(/closed, 62 g/);
  expect(row.textContent).toMatch(/Blade: a tenth gone/);
  expect(row.textContent).toMatch(/Carry it/);
  expect(row.textContent).toMatch(/1 day in all/);
  screen.getByText("None just now.");
  screen.getByText(/may be carried, and where, differs/);
});

test("a press writes into the log of the knife as it is kept, and the way back takes it out", async () => {
  const specimen = { title: "Knife 3", care: [{ date: "2020", work: "oiled" }] } as never;
  vi.spyOn(api, "knife").mockResolvedValue({ id: "k3", version: 7, specimen } as never);
  const change = vi.spyOn(api, "change").mockResolvedValue({ version: 8 } as never);
  show(knife(3, { last: "2026-06-01", days: 1 }));
  fireEvent.click(await screen.findByRole("button", { name: /^Into the pocket.*Knife 3/ }));
  await screen.findByText("Into the pocket: No. 3.");
  const care = [
    { date: "2020", work: "oiled" },
    { date: today(), work: "pocketed" },
  ];
  expect(change).toHaveBeenCalledWith("k3", { version: 7, specimen: { title: "Knife 3", care } });
  fireEvent.click(await screen.findByRole("button", { name: /undo/i }));
  await waitFor(() => expect(change).toHaveBeenLastCalledWith("k3", { version: 8, specimen }));
});

test("the focus goes along with the knife to its new place", async () => {
  const away = knife(3, { last: today(), days: 4 });
  show(knife(3, { since: "2026-06-01", last: "2026-06-01", days: 0 }));
  vi.spyOn(api, "knife").mockResolvedValue({ id: "k3", version: 7, specimen: { care: [] } } as never);
  vi.spyOn(api, "change").mockResolvedValue({ version: 8 } as never);
  const button = await screen.findByRole("button", { name: /^Put away/ });
  vi.spyOn(api, "tray").mockResolvedValue([away]);
  fireEvent.click(button);
  const there = await screen.findByRole("button", { name: /^Into the pocket/ });
  await waitFor(() => expect(document.activeElement).toBe(there));
  screen.getByText("put away today");
});

test("what is refused is said, and nothing is lost", async () => {
  vi.spyOn(api, "knife").mockRejectedValue(new Error("Changed meanwhile."));
  show(knife(5, { since: "2026-06-01", last: "2026-06-01", days: 0 }));
  fireEvent.click(await screen.findByRole("button", { name: /^Put away.*Knife 5/ }));
  await screen.findByText("That could not be written down. Changed meanwhile.");
});

test("where nothing was ever carried it says how to begin", async () => {
  show(knife(1));
  await screen.findByText(/into the log of a knife, at its Care station/);
});
