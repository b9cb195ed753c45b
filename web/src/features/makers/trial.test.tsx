// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { MemoryRouter } from "react-router";
import { afterEach, expect, test, vi } from "vitest";
import { api } from "../../api/client";
import type { TrialProgress } from "../../api/types";
import { Trial } from "./trial";

const span = (from: number, to: number) => ({ share: 0.9, pieces: [{ from, to }] });

const moved = (number: number, years: number): TrialProgress["most"][number] => ({
  id: `knife-${number}`,
  number,
  title: `Jack ${number}`,
  shift: {
    before: { maker: "Veldrake", probability: 0.8, median: 1903, nineTenths: span(1896, 1911) },
    after: {
      maker: "Orbquendel",
      probability: 0.5,
      median: 1903,
      nineTenths: span(1896 + years, 1911 + years),
    },
    years,
    share: 0.31,
  },
});

const progress = (more: Partial<TrialProgress>): TrialProgress => ({
  id: "one",
  state: "done",
  done: 8,
  of: 8,
  moving: 0,
  most: [],
  failed: [],
  ...more,
});

function show(begin: () => Promise<TrialProgress>) {
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter>
        <Trial begin={begin} />
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

test.each([
  [progress({ of: 0, done: 0 }), "The tray is empty."],
  [progress({}), "No verdict moves."],
  [progress({ moving: 1, most: [moved(3, 1)] }), "One verdict moves."],
  [progress({ moving: 2, most: [moved(3, 1), moved(4, 2)] }), "2 verdicts move."],
])("what it found is told in a sentence", async (found, sentence) => {
  vi.spyOn(api, "trial").mockResolvedValue(found);
  show(async () => found);
  expect((await screen.findByRole("status")).textContent).toBe(sentence);
  expect(screen.queryByRole("button", { name: "Stop" })).toBeNull();
});

test("one that an earlier one pushed out is begun again, once", async () => {
  const asked = vi
    .spyOn(api, "trial")
    .mockRejectedValueOnce(new Error("Not the one begun last."))
    .mockImplementation(async (id) => {
      if (id === "one") throw new Error("Not the one begun last.");
      return progress({ id });
    });
  const begin = vi
    .fn<() => Promise<TrialProgress>>()
    .mockResolvedValueOnce(progress({ state: "running" }))
    .mockResolvedValue(progress({ id: "two", state: "running" }));
  show(begin);
  await waitFor(() => expect(screen.getByRole("status").textContent).toBe("No verdict moves."));
  expect(begin).toHaveBeenCalledTimes(2);
  expect(asked.mock.lastCall?.[0]).toBe("two");
  cleanup();
  asked.mockRejectedValue(new Error("Not the one begun last."));
  begin.mockClear();
  show(begin);
  expect(await screen.findByText(/Not the one begun last/)).toBeDefined();
  expect(begin).toHaveBeenCalledTimes(2);
});

test("which way and how far a knife moves, and how much goes elsewhere", async () => {
  const found = progress({
    moving: 5,
    most: [moved(3, -1), moved(4, 12), moved(5, 0)],
    failed: [7, 8],
  });
  vi.spyOn(api, "trial").mockResolvedValue(found);
  show(async () => found);
  const rows = within(await screen.findByTestId("moved"))
    .getAllByRole("row")
    .slice(1);
  expect(rows.map((r) => r.querySelector("td:last-child")?.textContent)).toEqual([
    "1 year earlier31% elsewhere",
    "12 years later31% elsewhere",
    "same years31% elsewhere",
  ]);
  expect(screen.getByRole("link", { name: "4 Jack 4" }).getAttribute("href")).toBe("/bench/knife-4");
  expect(screen.getByText("And 2 that move less.")).toBeTruthy();
  expect(screen.getByText("Could not be examined: no. 7, no. 8.")).toBeTruthy();
});

test("a running one is stopped and taken up again where it was", async () => {
  const running = progress({ state: "running", done: 3, moving: 1, most: [moved(3, 4)] });
  vi.spyOn(api, "trial").mockResolvedValue(running);
  const run = vi
    .spyOn(api, "runTrial")
    .mockImplementation(async (_, on) => ({ ...running, state: on ? "running" : "stopped" }));
  show(async () => running);
  expect((await screen.findByRole("status")).textContent).toBe("One verdict moves so far.");
  expect(screen.getByRole("progressbar").getAttribute("value")).toBe("3");
  vi.spyOn(api, "trial").mockResolvedValue({ ...running, state: "stopped" });
  await userEvent.click(screen.getByRole("button", { name: "Stop" }));
  expect(run).toHaveBeenLastCalledWith("one", false);
  await userEvent.click(await screen.findByRole("button", { name: "Go on" }));
  expect(run).toHaveBeenLastCalledWith("one", true);
});

test("an answer asked for before it was stopped does not set it going again", async () => {
  const running = progress({ state: "running", done: 3, moving: 1, most: [] });
  let late: (told: TrialProgress) => void = () => {};
  const asked = vi.spyOn(api, "trial").mockReturnValue(
    new Promise((done) => {
      late = done;
    }),
  );
  vi.spyOn(api, "runTrial").mockResolvedValue({ ...running, state: "stopped" });
  show(async () => running);
  await waitFor(() => expect(asked).toHaveBeenCalled());
  await userEvent.click(await screen.findByRole("button", { name: "Stop" }));
  await screen.findByRole("button", { name: "Go on" });
  late(running);
  await new Promise((moment) => setTimeout(moment, 50));
  expect(screen.getByRole("button", { name: "Go on" })).toBeDefined();
});

test("begun once, told why where it cannot be, and tried again when asked", async () => {
  const begin = vi
    .fn<() => Promise<TrialProgress>>()
    .mockRejectedValueOnce(new Error("The pack is broken."))
    .mockResolvedValue(progress({}));
  vi.spyOn(api, "trial").mockResolvedValue(progress({}));
  show(begin);
  expect(await screen.findByText(/could not be worked out\. The pack is broken\./)).toBeTruthy();
  expect(begin).toHaveBeenCalledTimes(1);
  await userEvent.click(screen.getByRole("button", { name: "Try again" }));
  expect((await screen.findByRole("status")).textContent).toBe("No verdict moves.");
});
