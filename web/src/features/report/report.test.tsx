// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, render, screen, within } from "@testing-library/react";
import { MemoryRouter, Route, Routes } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { api } from "../../api/client";
import type { Book, SavedKnife, Verdict } from "../../api/types";
import { PreferencesProvider } from "../../preferences";
import { ConditionReport } from ".";

vi.mock("../sheet/knife-drawn", () => ({ KnifeDrawn: () => null }));

const point = (id: string, station: string, eachBlade?: boolean) => ({
  id,
  station,
  eachBlade,
  label: id,
  ask: "",
  findings: [],
});
const book = {
  blades: [],
  condition: {
    points: [point("Wear", "condition", true), point("Steel", "condition"), point("Snap", "action")],
  },
} as unknown as Book;

const sure = (value: string) => ({ value, sureness: "sure" });
const knife = (condition: object, second: object = {}) =>
  ({
    id: "k1",
    number: 7,
    version: 1,
    specimen: { title: "The worn one", condition, blades: [{}, { condition: second }] },
  }) as unknown as SavedKnife;

const fault = (of: string, blade: number, more: object) => ({
  of,
  blade,
  label: blade > 1 ? `${of} of blade ${blade}` : of,
  found: "A tenth gone",
  sureness: "sure",
  probability: 1,
  counts: true,
  part: "blades",
  why: "It moved.",
  ...more,
});
const school = (id: string, kind: string, reasons: object[]) => ({
  id,
  kind,
  label: `School ${id}`,
  about: `About ${id}`,
  best: { id: "good", label: "Good", points: kind === "points" ? 80 : undefined },
  chances: [],
  reasons,
  narrows: [],
  open: 1,
});
const verdict = {
  pattern: { strict: { title: "Jack" }, trade: { title: "Jack" }, title: "Jack" },
  sketch: {},
  schools: [
    school("usual", "worst-fault", [
      fault("Wear", 1, { allows: { id: "good", label: "Good" } }),
      fault("Wear", 2, { allows: { id: "fair", label: "Fair" } }),
    ]),
    school("points", "points", [
      fault("Wear", 1, { loses: 7 }),
      fault("Wear", 2, { loses: 3.5, counts: false }),
    ]),
  ],
  care: [
    { id: "rust", does: "Oil it.", why: "", caution: "Gloves.", again: true, settledBy: [] },
    { id: "box", does: "Keep it dry.", why: "", again: false, settledBy: [] },
  ],
} as unknown as Verdict;

beforeEach(() => {
  localStorage.clear();
  vi.spyOn(api, "photos").mockResolvedValue([]);
  vi.spyOn(api, "examine").mockResolvedValue(verdict);
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

const show = (of: SavedKnife) => {
  vi.spyOn(api, "knife").mockResolvedValue(of);
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter initialEntries={["/bench/k1/condition"]}>
        <PreferencesProvider>
          <Routes>
            <Route path="/bench/:id/condition" element={<ConditionReport book={book} />} />
          </Routes>
        </PreferencesProvider>
      </MemoryRouter>
    </QueryClientProvider>,
  );
};

test("faults stand in a table with what each allows and takes; the rest is told in a line", async () => {
  show(knife({ Wear: sure("tenth"), Steel: sure("patina") }, { Wear: sure("tenth") }));
  const found = within(await screen.findByLabelText("What was found"));
  const rows = found.getAllByRole("row");
  expect(rows[1]?.textContent).toBe("Wear: a tenth gone. It moved.Good7");
  expect(rows[2]?.textContent).toContain("Wear of blade 2");
  expect(found.getByText("Without fault:").parentElement?.textContent).toBe("Without fault: steel.");
  expect(found.getByText("Not looked at:").parentElement?.textContent).toBe("Not looked at: snap.");
});

test("what cannot be told was not found sound", async () => {
  show(knife({ Wear: sure("tenth"), Steel: { sureness: "cannot-tell" } }, { Wear: sure("tenth") }));
  const found = within(await screen.findByLabelText("What was found"));
  expect(found.getByText("Not looked at:").parentElement?.textContent).toBe("Not looked at: steel, snap.");
  expect(found.queryByText("Without fault:")).toBeNull();
});

test("every school stands beside the one that heads it", async () => {
  show(knife({ Wear: sure("tenth") }));
  const grades = within(await screen.findByLabelText("Grades"));
  grades.getByText("School usual. About usual");
  grades.getByText("School points");
  grades.getByText("80 (Good)");
});

test("what went wrong is said, with a way to try again", async () => {
  vi.spyOn(api, "examine").mockRejectedValue(new Error("It is being opened anew."));
  show(knife({}));
  expect((await screen.findByRole("alert")).textContent).toContain("It is being opened anew.");
});

test("how to keep it stands on the report with its cautions", async () => {
  show(knife({ Wear: sure("tenth") }));
  const keep = await screen.findByText("To keep it:");
  expect(keep.parentElement?.textContent).toBe("To keep it: Oil it. Gloves. Keep it dry.");
});
