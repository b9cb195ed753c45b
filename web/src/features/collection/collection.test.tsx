// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { api } from "../../api/client";
import type { Book, CollectionTold } from "../../api/types";
import { PreferencesProvider } from "../../preferences";
import { CollectionPage } from ".";
import { within } from "./asked";

const BOOK = { bolsters: [], shields: [], frames: [], blades: [] } as unknown as Book;

const TOLD = {
  portrait: {
    knives: 12,
    dated: 10,
    decades: [
      { from: 1700, expected: 0.01, low: 0, high: 0 },
      { from: 1890, expected: 3.25, low: 2, high: 5 },
      { from: 1900, expected: 4, low: 4, high: 4 },
      { from: 1910, expected: 0.02, low: 0, high: 0 },
    ],
    kinds: [
      {
        facet: "maker",
        label: "Maker",
        of: 9,
        counts: [1, 2, 3, 4, 5, 6, 7, 8].map((n) => ({ value: `House ${n}`, knives: 1 })),
      },
    ],
  },
  alike: [
    {
      maker: "Thrale",
      what: { maker: "thrale", model: "12", mark: "old" },
      looks: ["Pen knife", "Bone"],
      numbers: [7, 8],
    },
  ],
  groups: 3,
  looks: [
    {
      number: 8,
      look: { feature: "shield", station: "handle", label: "the shield", trouble: "glance", bits: 0.8 },
    },
    {
      number: 7,
      look: { feature: "pins", station: "frame", label: "the pins", trouble: "loupe", bits: 0.4 },
    },
  ],
  left: 0,
} as unknown as CollectionTold;

beforeEach(() => {
  vi.spyOn(api, "collection").mockResolvedValue(TOLD as never);
  vi.spyOn(api, "tray").mockResolvedValue(
    [7, 8].map((number) => ({
      id: `knife-${number}`,
      number,
      summary: { grade: {} },
      sketch: { closedLengthMm: 90, blades: [], measured: true },
    })) as never,
  );
  vi.spyOn(api, "ledger").mockResolvedValue({
    currency: "GBP",
    years: [
      { year: 2024, spent: 100, back: 40, gain: 0 },
      { year: 2025, spent: 0, back: 0, gain: 0 },
    ],
  } as never);
});

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

function show(at = "/collection") {
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter initialEntries={[at]}>
        <PreferencesProvider>
          <CollectionPage book={BOOK} />
        </PreferencesProvider>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return userEvent.setup();
}

it("tells each decade with how far it is open, and leads to its knives", async () => {
  show();
  const decade = await screen.findByLabelText("1890s: 3.3, nine times in ten 2 to 5");
  expect(decade.getAttribute("href")).toBe("/tray?q=1890-1899");
  expect(screen.getByLabelText("1900s: 4, nine times in ten 4")).toBeDefined();
  expect(screen.queryByLabelText(/^1700s/)).toBeNull();
  expect(screen.queryByLabelText(/^1910s/)).toBeNull();
});

it("shows the most frequent first and the rest when asked", async () => {
  const user = show();
  const link = await screen.findByText("House 1");
  expect(link.closest("a")?.getAttribute("href")).toBe("/tray?in=maker%3AHouse+1");
  expect(screen.queryByText("House 8")).toBeNull();
  expect(screen.getByText("of 3 not known")).toBeDefined();
  await user.click(screen.getByText("1 more"));
  expect(screen.getByText("House 8")).toBeDefined();
});

it("names what is there twice and lays it side by side", async () => {
  show();
  const way = await screen.findByText("Lay both side by side");
  expect(way.getAttribute("href")).toBe("/together?of=knife-7&of=knife-8");
  expect(screen.getByText(/2 more of these are not shown/)).toBeDefined();
});

it("leads to the looks that would tell most, each at its station", async () => {
  show();
  const look = await screen.findByText("The shield");
  await waitFor(() => expect(look.closest("a")?.getAttribute("href")).toBe("/bench/knife-8?at=handle"));
  expect(screen.getByText("with a loupe")).toBeDefined();
  vi.mocked(api.collection).mockResolvedValue({ ...TOLD, looks: [] } as never);
  cleanup();
  show();
  expect(await screen.findByText(/Nothing more that can be seen/)).toBeDefined();
});

it("shows years in which something was spent or came back, of the whole collection alone", async () => {
  show();
  expect(await screen.findByText(/100.00 spent/)).toBeDefined();
  expect(screen.queryByText("2025")).toBeNull();
  cleanup();
  show("/collection?q=bone");
  await screen.findByText("House 1");
  expect(api.collection).toHaveBeenLastCalledWith("bone", []);
  await waitFor(() => expect(screen.queryByText(/spent/)).toBeNull());
});

it("asks within what is asked already", () => {
  const asked = new URLSearchParams("q=bone&in=family:Jack");
  expect(within(asked, { q: "1890-1899" })).toBe("/tray?q=bone+1890-1899&in=family%3AJack");
  expect(within(asked, { tick: "family:Jack" })).toBe("/tray?q=bone&in=family%3AJack");
  expect(within(asked, { tick: "maker:A" })).toBe("/tray?q=bone&in=family%3AJack&in=maker%3AA");
});
