// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { api, Refused } from "../../api/client";
import type { LedgerEntry, LedgerTold } from "../../api/types";
import { PreferencesProvider } from "../../preferences";
import { ToastProvider } from "../../ui/toasts";
import { LedgerPage } from ".";
import { as, blank, withGone, withMore } from "./draft";
import { stepsOf } from "./lot-steps";

const BOUGHT: LedgerEntry = {
  kind: "bought",
  date: "2024-03-02",
  who: "a widow",
  price: 30,
  currency: "GBP",
  in: [
    { id: "a", name: "the jack" },
    { id: "b", knife: "k7" },
  ],
  out: [],
};
const SOLD: LedgerEntry = {
  kind: "sold",
  date: "2024-05-01",
  price: 40,
  currency: "GBP",
  in: [],
  out: [{ piece: "a" }],
};
const TOLD: LedgerTold = {
  currency: "GBP",
  entries: [
    { id: "e1", entry: BOUGHT, revision: 2, struck: false },
    { id: "e2", entry: SOLD, revision: 1, struck: true },
  ],
  lots: [
    {
      entry: "e1",
      cost: 30,
      back: 40,
      net: -10,
      kept: 1,
      knives: [
        { piece: "a", name: "the jack", lot: "e1", out: "e2", cost: 15, back: 40, gain: 25 },
        { piece: "b", knife: "k7", lot: "e1", cost: 15 },
      ],
    },
  ],
  years: [{ year: 2024, spent: 30, back: 40, gain: 25 }],
};

beforeEach(() => {
  vi.spyOn(api, "ledger").mockResolvedValue(TOLD);
  vi.spyOn(api, "tray").mockResolvedValue([{ id: "k7", number: 7, version: 0, title: "Whittler" }]);
  vi.spyOn(api, "lookLedger").mockResolvedValue({ problems: [], shares: {}, currency: "GBP" });
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

const show = () =>
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter>
        <PreferencesProvider>
          <ToastProvider>
            <LedgerPage />
          </ToastProvider>
        </PreferencesProvider>
      </MemoryRouter>
    </QueryClientProvider>,
  );

test("a lot says what was paid, what came back, and what the one that stayed has cost", async () => {
  show();
  const lots = within(await screen.findByRole("region", { name: "What came, and what is left of it" }));
  await lots.findByText("2 knives, 1 here: 7 Whittler");
  lots.getByLabelText("Paid \u00a330.00, came back \u00a340.00, left -\u00a310.00");
  lots.getByText("the one here cost less than nothing");
});

test("an entry that was corrected shows what it was, and one struck out can stand again", async () => {
  const history = vi.spyOn(api, "ledgerHistory").mockResolvedValue([
    { revision: 1, at: "2026-01-01T00:00:00Z", entry: { ...BOUGHT, price: 33 }, struck: false },
    { revision: 2, at: "2026-01-02T00:00:00Z", entry: BOUGHT, struck: false },
  ]);
  const restored = vi.spyOn(api, "restoreLedger").mockResolvedValue(TOLD);
  show();
  const before = (await screen.findByText("Written 2 times: what it was"))
    .parentElement as HTMLDetailsElement;
  before.open = true;
  fireEvent(before, new Event("toggle"));
  await screen.findByText(/£33\.00/);
  expect(history).toHaveBeenCalledExactlyOnceWith("e1");
  expect(screen.getByText(/2024-05-01 Sold; the jack went/).className).toContain("line-through");
  fireEvent.click(screen.getByRole("button", { name: "Let it stand" }));
  await waitFor(() => expect(restored).toHaveBeenCalledExactlyOnceWith("e2"));
});

test("what a new entry gives each knife stands beside it; it is kept as it was typed", async () => {
  const looked = vi.mocked(api.lookLedger);
  looked.mockImplementation(async (_, entry) => ({
    problems: [],
    shares: Object.fromEntries(entry.in.map((p) => [p.id, 12.34])),
    currency: "GBP",
  }));
  const added = vi.spyOn(api, "addLedger").mockResolvedValue(TOLD);
  show();
  fireEvent.click(await screen.findByText("Add an entry"));
  const first = await screen.findByLabelText("Knife 1");
  fireEvent.change(first, { target: { value: "7 Whittler" } });
  fireEvent.keyDown(first, { key: "Enter" });
  fireEvent.change(await screen.findByLabelText("Knife 2"), { target: { value: "a barlow" } });
  await waitFor(() => expect(screen.getAllByText("£12.34")).toHaveLength(2));
  fireEvent.click(screen.getByText("Keep it"));
  await waitFor(() => expect(added).toHaveBeenCalled());
  const kept = added.mock.calls[0]?.[1];
  expect(kept?.in.map(({ knife, name }) => [knife, name])).toEqual([
    ["k7", undefined],
    [undefined, "a barlow"],
  ]);
  expect(looked.mock.calls[0]?.[0]).toBe(added.mock.calls[0]?.[0]);
});

test("what is refused is told by its field, and the entry stays open", async () => {
  const problems = [{ field: "date", given: "2999", accepted: "must not be after today" }];
  vi.spyOn(api, "correctLedger").mockRejectedValue(new Refused(400, "no", problems));
  show();
  fireEvent.click((await screen.findAllByText("Correct"))[0] as HTMLElement);
  fireEvent.click(await screen.findByText("Keep it"));
  expect((await screen.findByRole("alert")).textContent).toBe("date, 2999: must not be after today.");
  expect(api.correctLedger).toHaveBeenCalledWith("e1", 2, BOUGHT);
});

test("knives that went are ticked among those that are here", async () => {
  show();
  fireEvent.click(await screen.findByText("Add an entry"));
  fireEvent.change(await screen.findByLabelText("What"), { target: { value: "sold" } });
  const went = within(await screen.findByRole("table", { name: "Knives that went" }));
  expect(went.getAllByRole("checkbox")).toHaveLength(1);
  fireEvent.click(went.getByRole("checkbox"));
  await waitFor(() => expect(vi.mocked(api.lookLedger).mock.lastCall?.[1].out).toEqual([{ piece: "b" }]));
});

test("an entry turned into another kind keeps what belongs to it", () => {
  const begun = { ...withMore(blank("2026-11-29", "GBP"), 4), price: 50 };
  expect(begun.in).toHaveLength(5);
  expect(new Set(begun.in.map((p) => p.id)).size).toBe(5);
  const sold = withGone(as(begun, "sold"), "x", true);
  expect([sold.in, sold.out, sold.price]).toEqual([[], [{ piece: "x" }], 50]);
  expect(withGone(sold, "x", false).out).toEqual([]);
  const given = as(sold, "got");
  expect([given.in.length, given.out, given.price]).toEqual([1, [], undefined]);
});

test("the rate of the day is looked up, with how it is known, or it is said that there is none", async () => {
  const entries = [{ id: "e1", entry: { ...BOUGHT, currency: "USD" }, revision: 2, struck: false }];
  vi.mocked(api.ledger).mockResolvedValue({ ...TOLD, entries });
  const rate = vi.spyOn(api, "rate").mockResolvedValue({ rate: 0.78, says: "USD by the average" });
  show();
  fireEvent.click(await screen.findByText("Correct"));
  fireEvent.click(await screen.findByText("Look it up"));
  expect(await screen.findByText("USD by the average.")).toBeTruthy();
  expect(screen.getByLabelText<HTMLInputElement>("One USD in GBP that day").value).toBe("0.78");
  expect(rate).toHaveBeenCalledWith({ from: "USD", to: "GBP", date: BOUGHT.date });
  const problems = [{ field: "rate", given: "USD", accepted: "must be of a year for which it is known" }];
  rate.mockRejectedValue(new Refused(400, "no", problems));
  fireEvent.click(screen.getByText("Look it up"));
  expect(await screen.findByText("Not on file: must be of a year for which it is known.")).toBeTruthy();
});

test("a lot opens knife by knife, each taking its part off, down to what the one that stayed has cost", async () => {
  show();
  const opener = await screen.findByRole("button", { name: /2 knives, 1 here: 7 Whittler/ });
  expect(screen.queryByRole("table", { name: "The lot, knife by knife" })).toBeNull();
  fireEvent.click(opener);
  expect(opener.getAttribute("aria-expanded")).toBe("true");
  const rows = within(screen.getByRole("table", { name: "The lot, knife by knife" })).getAllByRole("row");
  expect(rows.slice(1).map((r) => r.textContent)).toEqual([
    "Paid for the lot, with postage and fees\u00a330.00\u00a330.00",
    "the jack 2024-05-01\u00a340.00-\u00a310.00",
    "7 Whittler-\u00a310.00",
  ]);
  const links = rows.flatMap((r) => within(r).queryAllByRole("link"));
  expect(links.map((l) => l.getAttribute("href"))).toEqual(["/bench/k7"]);
  fireEvent.click(opener);
  expect(screen.queryByRole("table", { name: "The lot, knife by knife" })).toBeNull();
});

test("what went stands in the order of its dates, and a loss takes nothing off", () => {
  const gone = (piece: string, out: string, back?: number) => ({ piece, lot: "l", out, cost: 10, back });
  const lot = {
    entry: "l",
    cost: 30,
    back: 25,
    net: 5,
    kept: 0,
    knives: [gone("late", "e3", 5), gone("lost", "e2"), gone("early", "e1", 20)],
  };
  const dates: Record<string, string> = { e1: "2024-01-01", e2: "2024-02-01", e3: "2024-03-01" };
  expect(stepsOf(lot, (id) => dates[id]).map((s) => [s.knife.piece, s.before, s.after])).toEqual([
    ["early", 30, 10],
    ["lost", 10, 10],
    ["late", 10, 5],
  ]);
});

test("purchases told in stories are seen, added in one go and struck out again", async () => {
  show();
  const entry = { kind: "bought", date: "2001", currency: "GBP", in: [], out: [] } as unknown as LedgerEntry;
  vi.spyOn(api, "toldPurchases").mockResolvedValue([
    { id: "s1", knife: "k7", entry: { ...entry, price: 45 } },
    {
      id: "s2",
      knife: "k8",
      entry: { ...entry, price: 9 },
      problem: { field: "date", given: "2001/2003", accepted: "must be a day, a month or a year" },
    },
  ]);
  const take = vi.spyOn(api, "takeOverPurchases").mockResolvedValue({ ledger: TOLD, ids: ["s1"] });
  const strike = vi.spyOn(api, "strikeLedgers").mockResolvedValue(TOLD);
  fireEvent.click(await screen.findByText("From stories"));
  const sheet = within(screen.getByRole("dialog"));
  await sheet.findByText(/2001\/2003: must be a day/);
  sheet.getByText(/7 Whittler/);
  fireEvent.click(sheet.getByText("Add 1 entry"));
  await screen.findByText("1 entry added.");
  expect(take).toHaveBeenCalledTimes(1);
  expect(screen.queryByRole("dialog")).toBeNull();
  fireEvent.click(screen.getByText("Undo"));
  await waitFor(() => expect(strike).toHaveBeenCalledWith(["s1"]));
});

test("where every purchase stands in the ledger that is said", async () => {
  show();
  vi.spyOn(api, "toldPurchases").mockResolvedValue([]);
  fireEvent.click(await screen.findByText("From stories"));
  await screen.findByText(/stands in the ledger already/);
  expect(screen.queryByText(/^Add \d/)).toBeNull();
});
