// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { api, Refused } from "../../api/client";
import type { Book, OneMarkTold } from "../../api/types";
import { PreferencesProvider } from "../../preferences";
import { ToastProvider } from "../../ui/toasts";
import { OneMarkPage } from ".";

const BOOK = {
  makers: [],
  regions: [{ id: "UK", name: "Britain" }],
  choices: { technique: [], layout: [], sourceKind: [{ id: "own-knives", label: "My own knives" }] },
} as unknown as Book;

const letters = (text: string, open: number[] = []) =>
  [...text].map((letter, i) => ({
    letter,
    chance: open.includes(i) ? 0.3 : 0.99,
    isRead: !open.includes(i),
    spaced: false,
  }));

const TOLD = {
  numbers: [3, 5],
  strangers: [],
  mark: {
    lines: [
      { text: "GRIMBLOVE", letters: letters("GRIMBLOVE"), strikes: ["GR_M_LOVE", "G_IMBL*"] },
      { text: "SK_LBY", letters: letters("SKELBY", [2]), strikes: ["SK_LBY", undefined] },
    ],
    era: {
      within: { from: 1902, to: 1921 },
      first: { low: 1902, middle: 1906, high: 1911 },
      last: { low: 1910, middle: 1915, high: 1921 },
    },
    slip: {
      lines: ["GRIMBLOVE", "SK_LBY"],
      pile: [],
      etch: [],
      everyBlade: false,
      from: 1906,
      to: 1915,
      give: 5,
      sourceKind: "own-knives",
      source: "My own knives",
    },
  },
} as unknown as OneMarkTold;

beforeEach(() => {
  vi.spyOn(api, "oneMark").mockResolvedValue(TOLD as never);
  vi.spyOn(api, "knife").mockResolvedValue({ specimen: {} } as never);
  vi.spyOn(api, "lookMark").mockResolvedValue({ problems: [] } as never);
  vi.spyOn(api, "ownSteps").mockResolvedValue([]);
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

const show = () =>
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter initialEntries={["/one-mark?of=a&of=b"]}>
        <PreferencesProvider>
          <ToastProvider>
            <OneMarkPage book={BOOK} />
          </ToastProvider>
        </PreferencesProvider>
      </MemoryRouter>
    </QueryClientProvider>,
  );

it("lays the strikes over one another and tells each letter with its chance", async () => {
  show();
  const line = within(await screen.findByRole("list", { name: "GRIMBLOVE" }));
  expect(line.getAllByRole("listitem").map((l) => l.textContent)).toEqual([..."GRIMBLOVE"]);
  expect(line.getAllByTitle(/99 in 100/)).toHaveLength(9);
  expect(screen.getByText("GR\u00b7M\u00b7LOVE")).toBeTruthy();
  expect(screen.getByText("G\u00b7IMBL\u2026")).toBeTruthy();
  expect(screen.getByText("not on it")).toBeTruthy();
  const open = within(screen.getByRole("list", { name: "SK_LBY" }));
  expect(open.getAllByRole("listitem")[2]?.textContent).toBe("\u00b7");
  expect(screen.getByText(/fill it in where you know it/)).toBeTruthy();
  expect(screen.getByText("No. 5", { selector: "a" }).getAttribute("href")).toBe("/bench/b?at=marks");
});

it("says between which years it was in use", async () => {
  show();
  const years = await screen.findByRole("region", { name: "Its years" });
  expect(years.textContent).toContain("In use between about 1902 and 1921, nine chances in ten.");
  expect(years.textContent).toContain("Begun about 1906, from 1902 to 1911");
  cleanup();
  vi.mocked(api.oneMark).mockResolvedValue({ ...TOLD, mark: { ...TOLD.mark, era: undefined } } as never);
  show();
  expect(await screen.findByText(/so its years stay open/)).toBeTruthy();
});

it("goes on file from here, filled in with letters and years", async () => {
  show();
  const user = userEvent.setup();
  await user.click(await screen.findByRole("button", { name: "Put this mark on file" }));
  const slip = within(await screen.findByRole("dialog"));
  expect((slip.getByLabelText("Line 2 of the mark side") as HTMLInputElement).value).toBe("SK\u00b7LBY");
  expect((slip.getByLabelText("In use from") as HTMLInputElement).value).toBe("1906");
  expect(vi.mocked(api.lookMark).mock.lastCall?.[1]).toMatchObject({ sourceKind: "own-knives", give: 5 });
});

it("says of which knife nothing fits and that it counts nothing", async () => {
  show();
  await screen.findByRole("list", { name: "GRIMBLOVE" });
  expect(screen.queryByRole("alert")).toBeNull();
  cleanup();
  vi.mocked(api.oneMark).mockResolvedValue({ ...TOLD, numbers: [3, 5, 8], strangers: [8] } as never);
  show();
  const told = (await screen.findByRole("alert")).textContent;
  expect(told).toMatch(/on No\. 8: it seems to be\s+another mark\. It counts nothing here/);
  expect(screen.getByRole("region", { name: "Its years" }).textContent).toContain("that both show");
});

it("says why the strikes cannot be put together", async () => {
  vi.mocked(api.oneMark).mockRejectedValue(
    new Refused(400, "No. 5 must have a mark of which letters were read."),
  );
  show();
  expect(await screen.findByText(/No\. 5 must have a mark/)).toBeTruthy();
});
