// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, within } from "@testing-library/react";
import { useState } from "react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { api } from "../../../api/client";
import type { Book, Question, Seen, Specimen, Verdict } from "../../../api/types";
import { PreferencesProvider } from "../../../preferences";
import type { Knife } from "../use-knife";
import { FeaturesStation } from "./features";

const question = (id: string, more: Partial<Question>, ...answers: string[]): Question => ({
  id,
  station: "frame",
  label: `About ${id}`,
  asked: "once",
  answers: answers.map((a) => ({ id: a, label: a, lookFor: `Look for ${a}.`, why: `Why ${a}.` })),
  ...more,
});

const BOOK = {
  bolsters: [],
  shields: [],
  frames: [],
  blades: [],
  quantities: [],
  choices: { share: [] },
  questions: [
    question("liners", {}, "brass", "iron"),
    question("spacer", {}, "none", "plastic"),
    question("bail", {}, "none", "wire"),
    question("divider", {}, "none", "full"),
    question("corners", { group: "Build quality" }, "finished", "as cut"),
    question("polish", { group: "Build quality" }, "polished", "as ground", "glazed"),
    question("other", { station: "handle" }, "bone"),
    question("second", { asked: "each-blade" }, "long"),
  ],
} as unknown as Book;

let seenNow: Record<string, Seen> = {};

function Station({ first = {}, next = [] }: { first?: Record<string, Seen>; next?: string[] }) {
  const [seen, setSeen] = useState(first);
  seenNow = seen;
  const specimen = (now: Record<string, Seen>) => ({ seen: now, measured: {} }) as unknown as Specimen;
  const knife = {
    specimen: specimen(seen),
    problems: [],
    verdict: {
      dating: { makers: [], lookNext: next.map((feature) => ({ feature })), clues: [] },
    } as unknown as Verdict,
    change: (to: (s: Specimen) => Specimen) => setSeen((now) => to(specimen(now)).seen),
  } as unknown as Knife;
  return (
    <QueryClientProvider client={new QueryClient()}>
      <PreferencesProvider>
        <MemoryRouter>
          <FeaturesStation knife={knife} book={BOOK} station="frame" />
        </MemoryRouter>
      </PreferencesProvider>
    </QueryClientProvider>
  );
}

const sure = (value: string): Seen => ({ value, sureness: "sure" });
const answers = () => screen.getAllByRole("toolbar", { name: /^Answers: / })[0] as HTMLElement;
const choose = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });

beforeEach(() => {
  vi.spyOn(api, "showing").mockResolvedValue([]);
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

test("a station asks what is its own, once for the knife; groups stand apart with their count", () => {
  render(<Station first={{ corners: sure("as cut") }} />);
  for (const label of ["About liners", "About spacer", "About bail", "About divider"])
    expect(screen.getByLabelText(label)).toBeTruthy();
  expect(screen.queryByLabelText("About other")).toBeNull();
  expect(screen.queryByLabelText("About second")).toBeNull();
  expect(screen.getByText(", 1 of 2 looked at").closest("details")?.open).toBe(true);
});

test("a group stands open where it would tell much, and is shut before anything says so", () => {
  render(<Station />);
  expect(screen.getByText(", 0 of 2 looked at").closest("details")?.open).toBe(false);
  cleanup();
  render(<Station next={["mark", "number", "polish"]} />);
  expect(screen.getByText(", 0 of 2 looked at").closest("details")?.open).toBe(true);
  cleanup();
  render(<Station next={["mark", "number", "code", "polish"]} />);
  expect(screen.getByText(", 0 of 2 looked at").closest("details")?.open).toBe(false);
});

test("what would tell most stands open first, never a question of a group", () => {
  render(<Station next={["polish", "bail", "liners"]} />);
  expect(answers().getAttribute("aria-label")).toBe("Answers: About bail");
});

test("an answer chosen in a field comes to hand with how to know it", () => {
  render(<Station />);
  choose("About spacer", "plastic");
  expect(seenNow).toEqual({ spacer: sure("plastic") });
  expect(answers().getAttribute("aria-label")).toBe("Answers: About spacer");
  expect(within(answers()).getByRole("button", { pressed: true }).textContent).toContain("plastic");
  expect(screen.getByText("Look for plastic.")).toBeTruthy();
  choose("About spacer", "");
  expect(seenNow).toEqual({});
  expect(screen.queryByText("Look for plastic.")).toBeNull();
});

test("none of the others: only where that is an answer, and only what nobody looked at", () => {
  render(<Station first={{ bail: sure("wire") }} />);
  expect(screen.queryByRole("button", { name: /None of the other/ })).toBeNull();
  cleanup();
  render(<Station />);
  fireEvent.click(screen.getByRole("button", { name: "None of the other 3" }));
  expect(seenNow).toEqual({ spacer: sure("none"), bail: sure("none"), divider: sure("none") });
});
