// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { MemoryRouter } from "react-router";
import { afterEach, expect, it, vi } from "vitest";
import { api } from "../../api/client";
import type { Book, Leaf } from "../../api/types";
import { PreferencesProvider } from "../../preferences";
import { PrintedPage } from ".";
import { chapters } from "./order";

const BOOK = { bolsters: [], shields: [], frames: [], blades: [] } as unknown as Book;

const leaf = (number: number, maker?: string, from?: number, rest: object = {}): Leaf =>
  ({
    knife: {
      id: `k${number}`,
      number,
      title: `Knife ${number}`,
      place: number === 1 ? "Drawer" : undefined,
      summary: {
        title: "Jack",
        tradeTitle: "Jack",
        maker,
        span: from ? { share: 0.9, pieces: [{ from, to: from + 9 }] } : undefined,
        grade: { best: { id: "good", label: "Good" }, atLeast: { id: "poor", label: "Poor" } },
        conflict: number === 3,
        low: 40.4,
        high: 80,
        currency: "GBP",
      },
      sketch: { closedLengthMm: 90, blades: [], measured: number !== 2 },
    },
    ...rest,
  }) as unknown as Leaf;

const LEAVES = [
  leaf(1, "Thrale", 1920, { note: "From a fair.", mark: "THR_LE / W*", country: "England", photo: "p1" }),
  leaf(2, undefined, undefined, { country: "Germany" }),
  leaf(3, "Ablewhin", 1890),
  { knife: { id: "x", number: 4, unreadable: "of a newer kind" } } as unknown as Leaf,
];

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

function show(address = "/catalogue", told = { leaves: LEAVES, found: LEAVES.length }) {
  const leaves = vi.spyOn(api, "leaves").mockResolvedValue(told as never);
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter initialEntries={[address]}>
        <PreferencesProvider>
          <PrintedPage book={BOOK} />
        </PreferencesProvider>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return leaves;
}

const numbers = (order: Parameters<typeof chapters>[1]) =>
  chapters(LEAVES, order).map((c) => [c.name, c.leaves.map((l) => l.knife.number)]);

it("stands in chapters, in them by year, what is not known last", () => {
  expect(numbers("number")).toEqual([[undefined, [1, 2, 3, 4]]]);
  expect(numbers("year")).toEqual([[undefined, [3, 1, 2, 4]]]);
  expect(numbers("maker")).toEqual([
    ["Ablewhin", [3]],
    ["Thrale", [1]],
    ["Maker not known", [2, 4]],
  ]);
  expect(numbers("place")).toEqual([
    ["Drawer", [1]],
    ["No place said", [3, 2, 4]],
  ]);
});

it("tells of each knife what is known and how far, and of none what is not", async () => {
  show();
  const thrale = within((await screen.findByText("Knife 1")).closest("li") as HTMLElement);
  expect(thrale.getByText("Thrale, England")).toBeTruthy();
  expect(thrale.getByText("1920\u20131929, 90 chances in 100")).toBeTruthy();
  expect(thrale.getByText("Good; not all was looked at, Poor at least")).toBeTruthy();
  expect(thrale.getByText("THR\u00b7LE / W\u2026")).toBeTruthy();
  expect(thrale.getByText("From a fair.")).toBeTruthy();
  const other = within(screen.getByText("Knife 2").closest("li") as HTMLElement);
  expect(other.queryByText("Years")).toBeNull();
  expect(other.queryByText("Maker")).toBeNull();
  expect(other.getByText("Made in").parentElement?.textContent).toBe("Made in Germany");
  expect(other.getByText(/not measured/)).toBeTruthy();
  expect(screen.getByText(/may not be all of a piece/)).toBeTruthy();
  expect(screen.getByText(/of a newer kind/)).toBeTruthy();
});

it("tells what it is worth only when asked to, and leaves out photographs and notes", async () => {
  show();
  const user = userEvent.setup();
  await screen.findByText("Knife 1");
  expect(screen.queryByText(/half of like sales/)).toBeNull();
  await user.click(screen.getByRole("checkbox", { name: "values" }));
  expect(screen.getAllByText(/\u00a340 to \u00a380, half of like sales/)).toHaveLength(3);
  expect(document.querySelectorAll("img")).toHaveLength(1);
  await user.click(screen.getByRole("checkbox", { name: "photographs" }));
  await user.click(screen.getByRole("checkbox", { name: "notes" }));
  expect(document.querySelectorAll("img")).toHaveLength(0);
  expect(screen.queryByText("From a fair.")).toBeNull();
});

it("is of what was found, under the title one gives it", async () => {
  const leaves = show("/catalogue?q=stag&in=maker:Thrale");
  const user = userEvent.setup();
  const title = await screen.findByLabelText("Title");
  expect(leaves).toHaveBeenCalledWith("stag", ["maker:Thrale"]);
  await user.clear(title);
  await user.type(title, "Stag only");
  expect(screen.getByRole("heading", { level: 1 }).textContent).toBe("Stag only");
  expect(document.title).toContain("Stag only");
  expect(screen.getByText("To the tray").getAttribute("href")).toContain("q=stag");
});

it("says where there are more than are laid out, and where there is none", async () => {
  show("/catalogue", { leaves: LEAVES, found: 900 });
  expect((await screen.findByRole("status")).textContent).toContain("first 4");
  cleanup();
  show("/catalogue?q=zzz", { leaves: [], found: 0 });
  expect(await screen.findByText("Nothing in the tray answers to that.")).toBeTruthy();
});

it("says what went wrong", async () => {
  vi.spyOn(api, "leaves").mockRejectedValueOnce(new Error("No answer."));
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter>
        <PreferencesProvider>
          <PrintedPage book={BOOK} />
        </PreferencesProvider>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  expect(await screen.findByText(/No answer\./)).toBeTruthy();
});
