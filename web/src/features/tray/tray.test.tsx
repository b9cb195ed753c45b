// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { api } from "../../api/client";
import type { Book, ReadableEntry, SearchTold, TrayEntry } from "../../api/types";
import { PreferencesProvider } from "../../preferences";
import { pressUndo } from "../../ui/press-undo";
import { ToastProvider } from "../../ui/toasts";
import { Tray } from ".";
import { askAgain } from "./ask-again";
import { inOrder, type Order } from "./order";

const BOOK = { frames: [], blades: [], bolsters: [], shields: [], questions: [] } as unknown as Book;
const readable = (number: number, title: string): TrayEntry => ({
  id: `k${number}`,
  number,
  version: 0,
  title,
  summary: {
    title: "Swell-end jack",
    tradeTitle: "Jack",
    conflict: false,
    grade: { reasons: [], unseen: [] },
    reminders: [],
    counted: 0,
  },
  sketch: {
    closedLengthMm: 80 + number,
    measured: true,
    blades: [],
    back: { springs: 1, counted: false, tangs: [] },
  },
});
const UNREADABLE: TrayEntry = {
  id: "x",
  number: 9,
  version: 3,
  unreadable: "A newer Snikra wrote this knife. Its text is kept as it is.",
};
const show = () =>
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <PreferencesProvider>
        <ToastProvider>
          <MemoryRouter>
            <Tray book={BOOK} onNew={() => undefined} />
          </MemoryRouter>
        </ToastProvider>
      </PreferencesProvider>
    </QueryClientProvider>,
  );

/** Answers as the server would: a knife whose title begins with the words, and the handle that is ticked. */
const answered = (q: string, ticks: string[]): SearchTold => ({
  phrases: q.startsWith("before")
    ? [{ from: 0, to: q.length, says: "may be of those years", found: true }]
    : q === "zzz"
      ? [{ from: 0, to: 3, says: "in no knife here", found: false }]
      : [],
  hits: [
    { number: 1, chance: q.startsWith("before") ? 0.62 : undefined },
    ...(q || ticks.length > 0 ? [] : [{ number: 2 }]),
  ].filter(() => q !== "zzz"),
  facets: [
    {
      id: "handle",
      label: "Handle",
      values: [
        { value: "Stag", of: 1, found: 1 },
        { value: "Bone, jigged", of: 30, found: q ? 0 : 30 },
      ],
    },
    { id: "maker", label: "Maker", values: [{ value: "Not yet known", of: 2, found: 2 }] },
  ],
  left: 0,
});

beforeEach(() => {
  vi.spyOn(api, "search").mockImplementation(async (q, ticks) => answered(q, ticks));
  vi.spyOn(api, "searches").mockResolvedValue([]);
  vi.spyOn(api, "tray").mockResolvedValue([readable(2, "Second"), UNREADABLE, readable(1, "First")]);
});
afterEach(() => {
  cleanup();
  localStorage.clear();
  vi.restoreAllMocks();
});

it("shows every knife that can be read, the shortest first, and tells of the one that cannot", async () => {
  show();
  expect((await screen.findAllByText(/^(First|Second)$/)).map((e) => e.textContent)).toEqual([
    "First",
    "Second",
  ]);
  const told = within(screen.getByRole("region", { name: "Knives that cannot be read" }));
  expect(told.getByText(/newer Snikra/)).toBeDefined();
  expect(told.getByText("Save its text").getAttribute("href")).toBe("/api/knives/x/text");
  expect(screen.getByRole("status").textContent).toContain("2 knives");
});

it("takes out one that cannot be read, with a way back", async () => {
  const remove = vi.spyOn(api, "remove").mockResolvedValue(undefined as never);
  const restore = vi.spyOn(api, "restore").mockResolvedValue({} as never);
  show();
  const user = userEvent.setup();
  await user.click(
    await within(await screen.findByRole("region", { name: /cannot be read/ })).findByText("Take out"),
  );
  expect(remove).toHaveBeenCalledWith("x");
  expect(await screen.findByText("Knife 9 taken out of the tray.")).toBeDefined();
  await pressUndo(user);
  expect(restore).toHaveBeenCalledWith("x");
});

it("says that it is still there where taking out failed", async () => {
  vi.spyOn(api, "remove").mockRejectedValue(new Error("The disk is full."));
  show();
  const user = userEvent.setup();
  await user.click(await screen.findByRole("button", { name: "Take First out of the tray" }));
  expect(await screen.findByText("It is still in the tray. The disk is full.")).toBeDefined();
});

it("is searched by plain words, says how they were understood, and what is outside keeps its place", async () => {
  show();
  const user = userEvent.setup();
  const box = await screen.findByLabelText("Search the tray");
  await user.type(box, "before 1930");
  await waitFor(() => expect(screen.getByRole("status").textContent).toBe("1 of 2"));
  expect(screen.getByText("Second")).toBeDefined();
  expect(screen.getByText("of those years 62%")).toBeDefined();
  const understood = within(screen.getByRole("list", { name: "As it was understood" }));
  expect(understood.getByText("before 1930")).toBeDefined();
  expect(understood.getByText("may be of those years")).toBeDefined();
  await user.keyboard("{Escape}");
  await waitFor(() => expect(screen.getByRole("status").textContent).toBe("2 knives"));
  await user.type(box, "zzz");
  expect(await screen.findByText("Nothing in the tray answers to that.")).toBeDefined();
  expect(screen.getByText("in no knife here")).toBeDefined();
});

it("is narrowed by what is ticked, of which the server is asked as it is written", async () => {
  show();
  const user = userEvent.setup();
  await user.click(await screen.findByRole("checkbox", { name: /Bone, jigged/ }));
  await waitFor(() => expect(screen.getByRole("status").textContent).toBe("1 of 2"));
  expect(vi.mocked(api.search).mock.lastCall?.slice(0, 2)).toEqual(["", ["handle:Bone, jigged"]]);
  expect(screen.queryByText("Not yet known")).toBeNull();
  vi.spyOn(api, "labelPapers").mockResolvedValue([]);
  await user.click(screen.getByText("Save as"));
  expect(screen.getByText("The knives that were found.")).toBeDefined();
  expect(screen.getByText("A table, for a spreadsheet").getAttribute("href")).toBe(
    "/api/knives/found.csv?in=handle%3ABone%2C+jigged",
  );
  await user.keyboard("{Escape}");
  await user.click(screen.getByText("Show all"));
  await waitFor(() => expect(screen.getByRole("status").textContent).toBe("2 knives"));
});

it("goes on showing the knives where the search fails, and asks again", async () => {
  vi.mocked(api.search).mockRejectedValueOnce(new Error("It is being opened anew."));
  show();
  expect((await screen.findByRole("alert")).textContent).toContain("It is being opened anew.");
  expect(screen.getByText("First")).toBeDefined();
  await userEvent.setup().click(screen.getByText("Try again"));
  await waitFor(() => expect(screen.queryByRole("alert")).toBeNull());
});

it("as a table takes several out with one way back, and says where one was refused", async () => {
  const remove = vi.spyOn(api, "remove").mockResolvedValue(undefined as never);
  const restore = vi.spyOn(api, "restore").mockResolvedValue({} as never);
  vi.spyOn(HTMLElement.prototype, "offsetHeight", "get").mockReturnValue(800);
  show();
  const user = userEvent.setup();
  await user.click(await screen.findByRole("button", { name: "table" }));
  expect(screen.queryByLabelText("Order")).toBeNull();
  await user.click(screen.getByLabelText("Choose all"));
  const takeOut = () =>
    user.click(within(screen.getByText("2 chosen").parentElement as HTMLElement).getByText("Take out"));
  await takeOut();
  expect(remove.mock.calls.map((c) => c[0])).toEqual(["k1", "k2"]);
  expect(await screen.findByText("2 knives taken out of the tray.")).toBeDefined();
  await pressUndo(user);
  expect(restore.mock.calls.map((c) => c[0])).toEqual(["k1", "k2"]);
  remove.mockResolvedValueOnce(undefined as never).mockRejectedValueOnce(new Error("The disk is full."));
  await user.click(screen.getByLabelText("Choose all"));
  await takeOut();
  expect(await screen.findByText("First taken out of the tray.")).toBeDefined();
  expect(screen.getByText("The rest is still in the tray. The disk is full.")).toBeDefined();
});

it("lies in the order that was chosen, and what an order cannot place comes last", async () => {
  show();
  await userEvent.setup().selectOptions(await screen.findByLabelText("Order"), "longest first");
  expect(screen.getAllByText(/^(First|Second)$/).map((e) => e.textContent)).toEqual(["Second", "First"]);
  const [a, b, c] = [readable(1, "a"), readable(2, "b"), readable(3, "c")] as [
    ReadableEntry,
    ReadableEntry,
    ReadableEntry,
  ];
  b.summary = { ...b.summary, high: 90, span: { share: 0.9, pieces: [{ from: 1900, to: 1950 }] } };
  c.summary = { ...c.summary, high: 120, span: { share: 0.9, pieces: [{ from: 1890, to: 1910 }] } };
  const numbers = (order: Order) => inOrder([a, b, c], order).map((k) => k.number);
  expect(numbers("oldest")).toEqual([3, 2, 1]);
  expect(numbers("newest")).toEqual([2, 3, 1]);
  expect(numbers("worth")).toEqual([3, 2, 1]);
  expect(numbers("last")).toEqual([3, 2, 1]);
  expect(numbers("number")).toEqual([1, 2, 3]);
  // Of a span in pieces the last tells how new it may be.
  c.summary = {
    ...c.summary,
    span: {
      share: 0.9,
      pieces: [
        { from: 1890, to: 1910 },
        { from: 1970, to: 1980 },
      ],
    },
  };
  expect(numbers("newest")).toEqual([3, 2, 1]);
});

it("that only holds what cannot be read is not called empty", async () => {
  vi.spyOn(api, "tray").mockResolvedValue([UNREADABLE]);
  show();
  expect(await screen.findByText(/newer Snikra/)).toBeDefined();
  expect(screen.queryByText("The tray is empty.")).toBeNull();
});

it("that is empty offers a new knife, references and a look around", async () => {
  vi.spyOn(api, "tray").mockResolvedValue([]);
  const shipped = (on: boolean) =>
    ({ packs: [{ id: "made-up", shipped: true, on, makers: [] }] }) as unknown as Awaited<
      ReturnType<typeof api.makers>
    >;
  const makers = vi.spyOn(api, "makers").mockResolvedValue(shipped(false));
  const turn = vi.spyOn(api, "switchPack").mockImplementation(async (_, on) => {
    makers.mockResolvedValue(shipped(on));
  });
  show();
  const user = userEvent.setup();
  expect(await screen.findByRole("heading", { name: "The tray is empty." })).toBeDefined();
  expect(screen.getByRole("link", { name: "Add references" }).getAttribute("href")).toBe("/makers");
  await user.click(await screen.findByRole("button", { name: "Use the made-up makers" }));
  expect(turn).toHaveBeenLastCalledWith("made-up", true);
  await user.click(await screen.findByRole("button", { name: "Put the made-up makers away" }));
  expect(turn).toHaveBeenLastCalledWith("made-up", false);
});

it("that cannot be opened is asked for again", async () => {
  vi.spyOn(api, "makers").mockRejectedValue(new Error("nothing"));
  vi.spyOn(api, "tray").mockRejectedValue(new Error("It is being opened anew."));
  show();
  expect((await screen.findByRole("alert")).textContent).toContain("It is being opened anew.");
});

it("what must be looked at again is counted, what is not due yet is not", async () => {
  const knife = readable(1, "First");
  const advice = { does: "Look.", why: "", again: true, settledBy: [] };
  const reminders = [
    { ...advice, id: "a" },
    { ...advice, id: "b", last: "2019-01-01", due: "2020-01-01" },
    { ...advice, id: "c", last: "2089-01-01", due: "2090-01-01" },
  ];
  vi.spyOn(api, "tray").mockResolvedValue([
    { ...knife, summary: { ...(knife.summary as object), reminders } } as unknown as TrayEntry,
  ]);
  show();
  expect((await screen.findByRole("link", { name: "2 to look at again" })).getAttribute("href")).toBe(
    "/care",
  );
});

it("shows what is worked out already, counts what is not, and asks again", async () => {
  const pending = { id: "p", number: 7, version: 0, pending: true } as TrayEntry;
  const stale = { ...readable(1, "First"), stale: true };
  vi.spyOn(api, "tray").mockResolvedValue([stale, pending]);
  show();
  expect(await screen.findByText(/2 of 2 still being worked out/)).toBeDefined();
  expect(screen.getByText("First")).toBeDefined();
  expect(screen.queryByRole("region", { name: "Knives that cannot be read" })).toBeNull();
  expect(askAgain([stale, pending])).toBe(1002);
  expect(askAgain([readable(1, "First")])).toBe(false);
  expect(askAgain(Array.from({ length: 20_000 }, () => stale))).toBe(10_000);
});

it("of very many lays out only the rows in sight, and the keys go on from knife to knife", async () => {
  const all = Array.from({ length: 400 }, (_, i) => readable(i + 1, `Knife ${i + 1}`));
  vi.spyOn(api, "tray").mockResolvedValue(all);
  vi.spyOn(HTMLElement.prototype, "clientWidth", "get").mockReturnValue(1232);
  vi.spyOn(HTMLElement.prototype, "offsetHeight", "get").mockReturnValue(160);
  show();
  expect(await screen.findByLabelText("400 knives")).toBeDefined();
  const drawn = await screen.findAllByRole("img", { name: /closed/ });
  expect(drawn.length).toBeGreaterThan(4);
  expect(drawn.length).toBeLessThan(80);
  const first = screen.getByText("Knife 1").closest("a") as HTMLElement;
  first.focus();
  fireEvent.keyDown(first, { key: "ArrowRight" });
  await waitFor(() => expect(document.activeElement?.textContent).toContain("Knife 2"));
});
