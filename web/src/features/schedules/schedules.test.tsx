// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { api, Refused } from "../../api/client";
import type { ScheduleTold } from "../../api/types";
import { PreferencesProvider } from "../../preferences";
import { ToastProvider } from "../../ui/toasts";
import { SchedulesPage } from ".";

const one: ScheduleTold = {
  id: "s1",
  basis: "estate",
  asOf: "2026-11-30",
  title: "For Ada",
  knives: 3,
  totals: { GBP: 240, USD: 15 },
  unvalued: 1,
};
const choices = [
  { id: "insurance" as const, label: "For an insurer", why: "To replace." },
  { id: "estate" as const, label: "For an estate", why: "The middle." },
];
const told = (...kept: ScheduleTold[]) => vi.spyOn(api, "schedules").mockResolvedValue({ kept, choices });

beforeEach(() => told(one));
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

const show = (at = "/schedules") =>
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter initialEntries={[at]}>
        <PreferencesProvider>
          <ToastProvider>
            <SchedulesPage />
          </ToastProvider>
        </PreferencesProvider>
      </MemoryRouter>
    </QueryClientProvider>,
  );

test("what is kept says its totals by currency and what has no amount, and is saved two ways", async () => {
  show();
  const kept = await screen.findByLabelText("Kept");
  expect(kept.textContent).toContain("\u00a3240 and $15");
  expect(kept.textContent).toContain("3 knives, 1 without an amount");
  expect(screen.getByText("PDF to print").getAttribute("href")).toBe("/api/schedules/s1/schedule.pdf");
  expect(screen.getByText("Table").getAttribute("href")).toBe("/api/schedules/s1/schedule.csv");
});

test("one is made of what was found in the tray", async () => {
  const make = vi.spyOn(api, "makeSchedule").mockResolvedValue(one);
  show("/schedules?q=stag&in=handle:Stag");
  expect(await screen.findByText(/Of what was found: stag, handle:Stag/)).toBeTruthy();
  fireEvent.click(screen.getByLabelText(/For an estate/));
  fireEvent.change(screen.getByLabelText("Of what, or for whom"), { target: { value: "Bo" } });
  fireEvent.click(screen.getByText("Make it"));
  expect(await screen.findByText("A schedule of 3 knives is made.")).toBeTruthy();
  expect(make).toHaveBeenCalledWith(expect.objectContaining({ basis: "estate", title: "Bo", q: "stag" }), [
    "handle:Stag",
  ]);
  expect(api.schedules).toHaveBeenCalledTimes(2);
});

test("why one cannot be made is said", async () => {
  vi.spyOn(api, "makeSchedule").mockRejectedValue(
    new Refused(400, "No.", [{ field: "q", given: "0 knives", accepted: "must find from 1" }]),
  );
  show("/schedules?q=nothing");
  fireEvent.click(await screen.findByText("Make it"));
  expect((await screen.findByRole("alert")).textContent).toBe("0 knives: must find from 1.");
});

test("one that is taken out can be put back", async () => {
  vi.spyOn(api, "removeSchedule").mockResolvedValue(undefined as never);
  const restore = vi.spyOn(api, "restoreSchedule").mockResolvedValue(undefined as never);
  show();
  fireEvent.click(await screen.findByText("Take out"));
  fireEvent.click(await screen.findByText("Undo"));
  expect(await screen.findByText("As it was before.")).toBeTruthy();
  expect(restore).toHaveBeenCalledWith("s1");
});

test("without any it says what they are for", async () => {
  told();
  show();
  expect(await screen.findByText(/None yet/)).toBeTruthy();
});
