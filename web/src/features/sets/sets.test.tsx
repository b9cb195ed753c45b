// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { MemoryRouter, Route, Routes } from "react-router";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { api, Refused } from "../../api/client";
import type { Book, ReadableEntry, SetShown } from "../../api/types";
import { PreferencesProvider } from "../../preferences";
import { SetPage } from ".";

const BOOK = {
  bolsters: [],
  shields: [],
  frames: [],
  blades: [],
  condition: { grades: [{ id: "mint", label: "Mint" }] },
} as unknown as Book;

const SKETCH = { closedLengthMm: 90, blades: [], measured: true };
const TRAY = [
  { id: "seven", number: 7, summary: { grade: { best: { label: "Good" } } }, sketch: SKETCH },
  { id: "eight", number: 8, summary: { grade: {} }, sketch: SKETCH },
] as unknown as ReadableEntry[];

const cell = (mark: string, stand: string, ...held: [number, number][]) => ({
  mark,
  stand,
  gap: ["missing", "perhaps", "better-wanted"].includes(stand),
  from: 1890,
  to: 1900,
  held: held.map(([number, chance]) => ({ number, chance })),
});

const SET = {
  board: {
    maker: "thrale",
    name: "Thrale",
    owned: 2,
    possible: 4,
    better: 1,
    marks: [
      { mark: "a", lines: ["THRALE"], from: 1880, to: 1900 },
      { mark: "b", lines: ["THRALE", "WINDOVER"], from: 1901, to: 1930 },
    ],
    rows: [
      {
        label: "Any knife of theirs",
        from: 1880,
        to: 1930,
        cells: [cell("a", "owned", [7, 0.9], [8, 0.6]), cell("b", "perhaps", [8, 0.34])],
        unread: [],
        between: [{ before: "a", after: "b", held: { number: 9, chance: 0.86 } }],
      },
      {
        model: "12",
        label: "Pen",
        pattern: "x",
        from: 1890,
        to: 1900,
        cells: [cell("a", "better-wanted", [7, 0.9]), cell("b", "never")],
        unread: [{ number: 8, chance: 0.7 }],
        between: [],
      },
      {
        model: "13",
        label: "Jack",
        pattern: "x",
        from: 1890,
        to: 1900,
        cells: [cell("a", "owned", [7, 0.9]), cell("b", "against", [8, 0.8])],
        unread: [],
        between: [],
      },
    ],
  },
  series: [
    {
      id: "shield",
      label: "Shield",
      owned: 1,
      places: [
        { ...cell("", "owned", [7, 0.9], [8, 0.6]), value: "oval", label: "Oval" },
        { ...cell("", "perhaps", [8, 0.34]), value: "bar", label: "Bar" },
        { ...cell("", "missing"), value: "bolt", label: "Bolt" },
      ],
    },
    {
      id: "handle",
      label: "Handle",
      owned: 1,
      places: [{ ...cell("", "owned", [7, 0.9]), value: "bone", label: "Bone" }],
    },
  ],
  drawn: {},
  left: 1,
} as unknown as SetShown;

const laidOut = () =>
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter initialEntries={["/makers/thrale/set"]}>
        <PreferencesProvider>
          <Routes>
            <Route path="/makers/:id/set" element={<SetPage book={BOOK} />} />
            <Route path="/makers/:id" element={<p>The maker</p>} />
          </Routes>
        </PreferencesProvider>
      </MemoryRouter>
    </QueryClientProvider>,
  );

beforeEach(() => {
  vi.spyOn(api, "tray").mockResolvedValue(TRAY);
  vi.spyOn(api, "set").mockResolvedValue(SET);
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

it("tells how each place stands, and by which knife", async () => {
  laidOut();
  const any = within(await screen.findByRole("region", { name: /Any knife/ }));
  const [owned, perhaps] = any.getAllByRole("listitem");
  expect(owned?.textContent).toMatch(/No\. 7, Good and 1 more/);
  expect(await any.findByRole("link", { name: "No. 7" })).toHaveProperty("pathname", "/bench/seven");
  expect(perhaps?.textContent).toMatch(/perhaps No\. 8, 34 in 100/);
  const pen = within(screen.getByRole("region", { name: "12, Pen" }));
  expect(pen.getByRole("listitem").textContent).toMatch(/a better one is wanted/);
  expect(pen.getByText(/Of its mark nothing is read: No\. 8/)).toBeTruthy();
  expect(pen.getByText("THRALE WINDOVER (1901–1930).")).toBeTruthy();
  expect(screen.getByRole("region", { name: "13, Jack" }).textContent).toMatch(/none was made so/);
  expect(screen.getByText(/1 knife is still being worked out/)).toBeTruthy();
});

it("shows gaps alone by a key, and all again", async () => {
  laidOut();
  await screen.findByRole("region", { name: "13, Jack" });
  await userEvent.keyboard("g");
  expect(screen.queryByRole("region", { name: "13, Jack" })).toBeNull();
  const any = within(screen.getByRole("region", { name: /Any knife/ }));
  expect(any.getAllByRole("listitem")).toHaveLength(1);
  await userEvent.click(screen.getByRole("button", { name: "Only gaps" }));
  expect(screen.getByRole("region", { name: "13, Jack" })).toBeTruthy();
});

it("shows what was changed over the years, and a knife of a time of change between its marks", async () => {
  laidOut();
  const any = within(await screen.findByRole("region", { name: /Any knife/ }));
  expect(any.getByText(/No\. 9 is of the time between/).textContent).toMatch(
    /between THRALE and THRALE WINDOVER: one of both, 86 in 100/,
  );
  const shields = within(screen.getByRole("region", { name: "Shield" }));
  const [oval, bar, bolt] = shields.getAllByRole("listitem").map((l) => l.textContent);
  expect(oval).toMatch(/Oval.*No\. 7 and 1 more/);
  expect(bar).toMatch(/perhaps No\. 8, 34 in 100/);
  expect(bolt).toMatch(/Bolt.*missing/);
  await userEvent.keyboard("g");
  expect(screen.queryByRole("region", { name: "Handle" })).toBeNull();
  expect(shields.getAllByRole("listitem")).toHaveLength(2);
});

it("asks for the grade that is good enough", async () => {
  laidOut();
  await userEvent.selectOptions(await screen.findByLabelText("Good enough from"), "mint");
  await waitFor(() => expect(api.set).toHaveBeenLastCalledWith("thrale", "mint"));
});

it("goes back to the maker, and says why it cannot be laid out", async () => {
  vi.spyOn(api, "set").mockRejectedValue(new Refused(400, "maker must be a maker on file"));
  laidOut();
  expect(await screen.findByText(/could not be laid out/)).toBeTruthy();
  await userEvent.keyboard("{Escape}");
  expect(await screen.findByText("The maker")).toBeTruthy();
});
