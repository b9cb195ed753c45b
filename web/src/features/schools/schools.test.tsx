// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { api, Refused } from "../../api/client";
import type { Book, Grading, OwnSchools, School, SchoolTold } from "../../api/types";
import { PreferencesProvider } from "../../preferences";
import { ToastProvider } from "../../ui/toasts";
import { SchoolsPage } from ".";
import { likeIt, withoutSchool, withSchool } from "./draft";

const LEVELS = [
  { id: "mint", label: "Mint" },
  { id: "good", label: "Good" },
];

const school = (id: string, more: Partial<School> = {}): School => ({
  id,
  kind: "worst-fault",
  label: `School ${id}`,
  about: `About ${id}`,
  caps: {},
  together: 3,
  otherBlades: 1,
  parts: [],
  bands: {},
  ...more,
});

const told = (of: School, shipped: boolean): SchoolTold => ({
  school: of,
  shipped,
  levels: LEVELS,
  caps: { wear: { full: "mint", gone: "good" }, rehandled: { yes: "good" } },
});

const POINTS = school("points", {
  kind: "points",
  parts: [
    { id: "blades", label: "Blades", points: 60 },
    { id: "covers", label: "Covers", points: 40 },
  ],
  bands: { mint: 90, good: 0 },
});

const GRADING: Grading = {
  heads: "usual",
  schools: [told(school("usual"), true), told(POINTS, true), told(school("own-1"), false)],
};

const BOOK = {
  condition: {
    points: [
      {
        id: "wear",
        part: "blades",
        label: "Blade wear",
        findings: [
          { id: "full", label: "Full" },
          { id: "gone", label: "Gone" },
        ],
      },
    ],
    alterations: [{ id: "rehandled", label: "Handle replaced" }],
    schools: [POINTS],
  },
} as unknown as Book;

const judged: OwnSchools[] = [];

function show() {
  vi.spyOn(api, "grading").mockResolvedValue(GRADING);
  vi.spyOn(api, "judge").mockImplementation(async (choice) => {
    judged.push(choice);
    return { ...GRADING, heads: choice.heads };
  });
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <PreferencesProvider>
        <ToastProvider>
          <MemoryRouter>
            <SchoolsPage book={BOOK} />
          </MemoryRouter>
        </ToastProvider>
      </PreferencesProvider>
    </QueryClientProvider>,
  );
}

const item = async (name: string) =>
  within((await screen.findByRole("radio", { name: new RegExp(name) })).closest("li") as HTMLElement);

beforeEach(() => {
  judged.length = 0;
  Element.prototype.scrollIntoView = vi.fn();
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

test("one of the schools heads every page, and another can", async () => {
  show();
  const usual = (await screen.findByRole("radio", { name: /School usual/ })) as HTMLInputElement;
  expect(usual.checked).toBe(true);
  fireEvent.click(screen.getByRole("radio", { name: /School points/ }));
  await waitFor(() => expect(judged).toEqual([{ heads: "points", own: [school("own-1")] }]));
  await screen.findByText("School points heads every page of this collection.");
});

test("the one that was pressed is marked at once, before the answer comes", async () => {
  show();
  await screen.findByRole("radio", { name: /School usual/ });
  vi.spyOn(api, "judge").mockReturnValue(new Promise(() => {}));
  const points = screen.getByRole("radio", { name: /School points/ }) as HTMLInputElement;
  fireEvent.click(points);
  await waitFor(() => expect(points.checked).toBe(true));
});

test("a school of one's own is made like another, with all it lets pass", async () => {
  show();
  fireEvent.click((await item("School usual")).getByText("Make one of my own like this"));
  const sheet = within(screen.getByRole("dialog"));
  fireEvent.change(sheet.getByLabelText("Blade wear: Gone lets pass at best"), { target: { value: "mint" } });
  fireEvent.click(sheet.getByText("Keep it"));
  await waitFor(() => expect(judged).toHaveLength(1));
  expect(judged[0]?.own[1]).toMatchObject({
    id: "own-2",
    label: "School usual, my own",
    caps: { wear: { full: "mint", gone: "mint" }, rehandled: { yes: "good" } },
  });
});

test("points of parts say when they do not come to a hundred", async () => {
  show();
  fireEvent.click((await item("School points")).getByText("Make one of my own like this"));
  const sheet = within(screen.getByRole("dialog"));
  sheet.getByText("100 together");
  fireEvent.change(sheet.getByLabelText("Blades"), { target: { value: "50" } });
  sheet.getByText("90 together, and must be 100");
  fireEvent.change(sheet.getByLabelText("Covers"), { target: { value: "50" } });
  fireEvent.change(sheet.getByLabelText("Mint"), { target: { value: "95" } });
  fireEvent.click(sheet.getByText("Keep it"));
  await waitFor(() => expect(judged).toHaveLength(1));
  expect(judged[0]?.own[1]?.parts.map((p) => p.points)).toEqual([50, 50]);
  expect(judged[0]?.own[1]?.bands).toEqual({ mint: 95, good: 0 });
});

test("what is refused is said with its point, and stays to be mended", async () => {
  show();
  vi.spyOn(api, "judge").mockRejectedValue(
    new Refused(400, "Not so.", [
      { field: "own[1].caps.wear.gone", given: "mint", accepted: "must be good or worse" },
    ]),
  );
  fireEvent.click((await item("School own-1")).getByText("Change it"));
  fireEvent.click(within(screen.getByRole("dialog")).getByText("Keep it"));
  await screen.findByText("Blade wear, Gone, mint: must be good or worse.");
  screen.getByRole("dialog");
});

test("what it would grade otherwise is tried before it is kept", async () => {
  show();
  const tried = vi.spyOn(api, "tryGrading").mockResolvedValue({
    id: "t",
    state: "done",
    done: 2,
    of: 2,
    moving: 1,
    failed: [],
    most: [
      {
        id: "k",
        number: 4,
        title: "A jack",
        regraded: { before: { id: "good", label: "Good" }, after: { id: "mint", label: "Mint" }, much: 1 },
      },
    ],
  });
  fireEvent.click((await item("School points")).getByText("What it would grade otherwise"));
  const table = within(await screen.findByTestId("regraded"));
  expect(table.getByText("4 A jack").getAttribute("href")).toBe("/bench/k?at=condition");
  table.getByText("Good");
  table.getByText("Mint");
  expect(tried.mock.calls[0]).toEqual([{ heads: "points", own: [school("own-1")] }, "usual"]);
});

test("one's own can be removed, and comes back", async () => {
  show();
  fireEvent.click((await item("School own-1")).getByText("Remove it"));
  await waitFor(() => expect(judged).toEqual([{ heads: "usual", own: [] }]));
  fireEvent.click(await screen.findByText("Undo"));
  await waitFor(() => expect(judged[1]).toEqual({ heads: "usual", own: [school("own-1")] }));
});

test("a changed school stays in its place; one that headed leaves the first", () => {
  const choice = { heads: "own-1", own: [school("own-1"), school("own-2")] };
  const changed = withSchool(choice, school("own-1", { label: "Other" }));
  expect(changed.own.map((s) => s.label)).toEqual(["Other", "School own-2"]);
  expect(withoutSchool(GRADING, choice, "own-1")).toEqual({ heads: "usual", own: [school("own-2")] });
  expect(likeIt(told(school("usual"), true), GRADING).school.id).toBe("own-2");
});
