// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen, within } from "@testing-library/react";
import { afterEach, expect, test, vi } from "vitest";
import type { Verdict } from "../../../api/types";
import { Ladder } from "./ladder";
import { Worth } from "./worth";

afterEach(cleanup);

type Value = Verdict["value"];

const weighed = (more: object) =>
  ({
    described: "a knife",
    price: 40,
    adjusted: 60,
    weight: 0.5,
    trust: 1,
    counted: true,
    steps: [
      { what: "prices since", times: 1.5, likeness: 1 },
      { what: "maker", times: 1, likeness: 0.35 },
      { what: "pattern", times: 1, likeness: 1 },
    ],
    ...more,
  }) as Value["sales"][number];

const VALUE: Value = {
  currency: "GBP",
  middle: 60,
  low: 50,
  high: 72,
  lowest: 30,
  highest: 120,
  asItIs: { middle: 60, low: 50, high: 72, lowest: 30, highest: 120 },
  counted: 2,
  enough: false,
  standsOn: "Thin: 2 sales count.",
  sales: [weighed({}), weighed({ adjusted: 900, trust: 0.1, weight: 0.1 })],
  costs: [
    { of: "maker", share: 0.6, label: "who made it", station: "marks" },
    { of: "chance", share: 0.2, label: "what two who want it do on the day" },
  ],
};
test("the range says what half and what nine in ten bring, and on what it stands", () => {
  render(<Worth value={VALUE} onGo={() => {}} />);
  expect(screen.getByTestId("value-summary").textContent).toMatch(
    /^£50\u2013£72 in one sale of two, nine of ten £30\u2013£120, middle £60\. Thin: 2 sales count\. An opinion/,
  );
});

test("what may have been done to it heads the range, and an untouched one is told beside it", () => {
  const asItIs = { middle: 30, low: 25, high: 36, lowest: 15, highest: 60 };
  render(<Worth value={{ ...VALUE, asItIs }} onGo={() => {}} />);
  expect(screen.getByTestId("value-summary").textContent).toMatch(
    /^£25–£36 in one sale of two, nine of ten £15–£60, middle £30\. Were nothing done to it: £50–£72\./,
  );
  screen.getByLabelText("Nine sales in ten between £15–£60");
});

test("what keeps it wide leads to where it can be narrowed, where it can", () => {
  const onGo = vi.fn();
  render(<Worth value={VALUE} onGo={onGo} />);
  const costs = within(screen.getByLabelText("What keeps it wide"));
  fireEvent.click(costs.getByRole("button", { name: "who made it" }));
  expect(onGo).toHaveBeenCalledExactlyOnceWith("marks");
  expect(costs.getAllByRole("button")).toHaveLength(1);
  costs.getByText("60%");
});

test("each sale that counts is a dot, hollow where the others do not bear it out", () => {
  render(<Worth value={VALUE} onGo={() => {}} />);
  const dots = [...screen.getByRole("img").querySelectorAll("circle")];
  expect(dots.map((d) => d.getAttribute("fill"))).toEqual(["var(--color-edge)", "none"]);
  const size = (i: number) => Number(dots[i]?.getAttribute("r"));
  expect(size(0)).toBeGreaterThan(size(1));
  screen.getByText(/hollow where the others do not bear it out/);
});

test("without a sale there is no range and no rule", () => {
  const none: Value = { counted: 0, enough: false, standsOn: "No sales yet.", sales: [], costs: [] };
  render(<Worth value={none} onGo={() => {}} />);
  expect(screen.getByTestId("value-summary").textContent).toMatch(/^No sales yet\./);
  expect(screen.queryByRole("img")).toBeNull();
  expect(screen.queryByLabelText("What keeps it wide")).toBeNull();
});

test("the ladder tells every step that changes the price, and what is unlike", () => {
  const { container } = render(<Ladder of={weighed({})} currency="GBP" />);
  expect(container.textContent).toBe(
    "£40, prices since \u00d7 1.50, says £60. Alike in maker 35%; its part in the middle 50%.",
  );
  expect(container.querySelectorAll("svg")).toHaveLength(1);
});

test("a sale that is the same in all says so and needs no stairs", () => {
  const { container } = render(<Ladder of={weighed({ steps: [], adjusted: 40 })} currency="GBP" />);
  expect(container.textContent).toBe("£40. Alike in all that is told; its part in the middle 50%.");
  expect(container.querySelector("svg")).toBeNull();
});

test("a sale nobody bears out says so, one in another currency is not counted", () => {
  const { container, rerender } = render(<Ladder of={weighed({ trust: 0.1 })} currency="GBP" />);
  expect(container.textContent).toContain("hardly trusted");
  rerender(<Ladder of={weighed({ counted: false })} currency="GBP" />);
  expect(container.textContent).toMatch(/^Shown and not counted/);
});
