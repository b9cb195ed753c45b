// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { api } from "../../../api/client";
import type { Book, Grading, SchoolVerdict, Verdict } from "../../../api/types";
import type { OpenKnife } from "../../../drawing/open";
import { PreferencesProvider } from "../../../preferences";
import { apart, FaultMarks } from "../fault-marks";
import { Schools } from ".";
import { Boxed, Built } from "./built";

const LEVELS = ["mint", "good", "poor"];
const stand = (id: string, points?: number) => ({ id, label: id, points });

const school = (id: string, kind: SchoolVerdict["kind"], more: Partial<SchoolVerdict>): SchoolVerdict => ({
  id,
  kind,
  label: `School ${id}`,
  about: `About ${id}`,
  chances: LEVELS.map((l) => ({ id: l, label: l, probability: l === "good" ? 0.75 : 0.125 })),
  reasons: [],
  narrows: [],
  open: 0,
  ...more,
});

const fault = (more: object) => ({
  of: "wear",
  blade: 1,
  label: "Wear",
  found: "A tenth gone",
  sureness: "sure",
  probability: 1,
  counts: true,
  part: "blades",
  why: "The outline moved.",
  ...more,
});

const usual = school("usual", "worst-fault", {
  best: stand("good"),
  atLeast: stand("poor"),
  atBest: stand("mint"),
  likely: stand("good"),
  open: 3,
  reasons: [fault({ allows: stand("good") })] as SchoolVerdict["reasons"],
  narrows: [{ of: "steel", blade: 0, station: "condition", label: "Steel", gain: 0.4 }],
});
const points = school("points", "points", {
  best: stand("good", 78.5),
  atLeast: stand("good", 70),
  atBest: stand("good", 78.5),
  reasons: [fault({ loses: 7 })] as SchoolVerdict["reasons"],
});

let kept: Grading;

const show = (schools: SchoolVerdict[]) => {
  vi.spyOn(api, "grading").mockImplementation(async () => kept);
  vi.spyOn(api, "judge").mockImplementation(async ({ heads }) => {
    kept = { ...kept, heads };
    return kept;
  });
  const client = new QueryClient();
  client.setQueryData(["grading"], kept);
  return render(
    <QueryClientProvider client={client}>
      <MemoryRouter>
        <PreferencesProvider>
          <Schools id="k1" verdict={{ schools } as unknown as Verdict} />
        </PreferencesProvider>
      </MemoryRouter>
    </QueryClientProvider>,
  );
};

beforeEach(() => {
  kept = { heads: "usual", schools: [] };
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

test("the first school heads the page with its range, and the others stand beside it", () => {
  show([usual, points]);
  expect(screen.getByTestId("school-grade").textContent).toBe("good to poor");
  screen.getByText("3 points not looked at: poor with an ordinary fault there.");
  screen.getByText("mint if what is not seen surely is not so.");
  const others = within(screen.getByLabelText("By the other schools"));
  others.getByText("School points");
  others.getByText("78.5 (good) to 70 (good)");
});

test("where what is open likely lowers it, both are said", () => {
  show([{ ...usual, likely: stand("poor") }]);
  expect(screen.getByTestId("school-grade").textContent).toBe("good at best, likeliest poor");
});

test("a fault says what it lets pass and what it takes", () => {
  show([usual, points]);
  const faults = within(screen.getByLabelText("Faults that count"));
  faults.getByText("A");
  faults.getByText("Wear, a tenth gone");
  faults.getByText("good at best, \u22127");
});

test("one loss under two names takes its points once", () => {
  const reasons = [
    fault({ allows: stand("good") }),
    fault({ of: "shortened", label: "Shortened", found: "", counts: false, allows: stand("good") }),
  ] as SchoolVerdict["reasons"];
  show([{ ...usual, reasons }]);
  screen.getByText("the same loss, counted once");
});

test("what may have been done is told with its chance, what is not sure as such", () => {
  const reasons = [
    fault({ of: "rehandled", label: "Handle replaced", found: "", sureness: "likely", probability: 0.7 }),
    fault({ sureness: "unsure", allows: stand("good") }),
  ] as SchoolVerdict["reasons"];
  show([{ ...usual, reasons }]);
  screen.getByText("Handle replaced (70%)");
  screen.getByText("Wear, a tenth gone (unsure)");
});

test("the rule marks the grade, how likely each is, and what would narrow it", () => {
  show([usual, points]);
  const rule = within(screen.getByTestId("grade-rule"));
  expect(rule.getByText("good").getAttribute("aria-current")).toBe("true");
  rule.getByText("75%");
  expect(screen.getByTestId("grade-rule").querySelectorAll("svg")).toHaveLength(2);
  screen.getByText("steel");
});

test("another school can head the page, and the collection keeps it so", async () => {
  show([usual, points]);
  fireEvent.change(screen.getByLabelText("School that heads the page"), { target: { value: "points" } });
  await waitFor(() =>
    expect(screen.getByTestId("school-grade").textContent).toBe("78.5 (good) to 70 (good)"),
  );
  expect(kept.heads).toBe("points");
  cleanup();
  show([usual, points]);
  expect(screen.getByTestId("school-grade").textContent).toBe("78.5 (good) to 70 (good)");
});

test("how well it was made stands apart, as far as it was looked at", () => {
  const built = { share: 0.9, looked: 2, of: 11, well: ["Kick corners: Finished"], poorly: [], because: [] };
  const { rerender } = render(<Built built={built} />);
  expect(screen.getByLabelText("How well it was made").textContent).toBe(
    "How well it was made: too little looked at, 2 of 11 looksWell: kick corners: finished.",
  );
  rerender(<Built built={{ ...built, label: "Finely made", looked: 5 }} />);
  screen.getByText(/Finely made/);
  rerender(<Built built={{ ...built, looked: 5, because: ["Likely made in years of war."] }} />);
  screen.getByText("Likely made in years of war.");
  rerender(<Built built={{ ...built, looked: 0 }} />);
  expect(screen.queryByLabelText("How well it was made")).toBeNull();
});

test("what came with it is a grade of its own, with what else was seen of it", () => {
  const box = { id: "worn", label: "Box with wear", why: "Its own box.", beside: ["Papers: None with it"] };
  const { rerender } = render(<Boxed box={box} />);
  expect(screen.getByLabelText("Box and papers").textContent).toBe(
    "Box and papers: Box with wearIts own box. Papers: none with it.",
  );
  rerender(<Boxed box={undefined} />);
  expect(screen.queryByLabelText("Box and papers")).toBeNull();
});

test("nothing looked at is no grade", () => {
  show([school("usual", "worst-fault", { chances: [] })]);
  screen.getByText(/No grade yet/);
});

test("marks that would lie on one another stand beside each other", () => {
  const at = (x: number, y: number) => ({ at: [x, y] as [number, number] });
  expect(apart([at(100, 50), at(98, 52), at(100, 90), at(101, 50)]).map((m) => m.at)).toEqual([
    [100, 50],
    [80, 52],
    [100, 90],
    [56, 50],
  ]);
});

test("faults stand on the knife by the letters of the list, and what is asked is ringed", () => {
  const blade = (n: number) => ({ at: (along: number, across: number) => [100 * n + along, across] });
  const drawn = {
    blades: [blade(1), blade(2)],
    at: (along: number, across: number) => [along, across],
  } as unknown as OpenKnife;
  const book = {
    condition: {
      points: [
        { id: "wear", at: { blade: 1, along: 0.5, across: -1 } },
        { id: "pins", at: { along: 0.25, across: 0.5 } },
        { id: "handling" },
      ],
      alterations: [{ id: "rehandled", at: { along: 0.75, across: 0 } }],
    },
  } as unknown as Book;
  const reasons = [
    fault({ blade: 2 }),
    fault({ of: "handling", blade: 0 }),
    fault({ of: "rehandled", blade: 0, label: "Handle replaced", found: "" }),
  ] as SchoolVerdict["reasons"];
  const { container } = render(
    <svg role="img" aria-label="knife">
      <FaultMarks
        drawn={drawn}
        book={book}
        school={{ ...usual, reasons }}
        asked={{ point: "pins", blade: 0 }}
      />
    </svg>,
  );
  const squares = [...container.querySelectorAll("rect")].map((r) => Number(r.getAttribute("x")) + 8);
  expect(squares).toEqual([200.5, 0.75]);
  expect([...container.querySelectorAll("text")].map((t) => t.textContent)).toEqual(["A", "C"]);
  expect([...container.querySelectorAll("title")].map((t) => t.textContent)).toEqual([
    "Wear, a tenth gone",
    "Handle replaced",
  ]);
  expect(screen.getByTestId("asked-place").getAttribute("cx")).toBe("0.25");
});
