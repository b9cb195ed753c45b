// @vitest-environment happy-dom
import { cleanup, render, screen } from "@testing-library/react";
import { afterEach, expect, it } from "vitest";
import type { Sketch } from "../api/types";
import { BackView } from "./back";

type Back = Sketch["back"];
const show = (back: Back) => render(<BackView back={back} />).container;
const rects = (drawn: HTMLElement) => {
  // Two covers, then springs, then tangs.
  const all = [...drawn.querySelectorAll("rect")].slice(2);
  const at = (e: Element, name: string) => Number(e.getAttribute(name));
  return all.map((e) => ({
    x: at(e, "x"),
    y: at(e, "y"),
    to: at(e, "x") + at(e, "width"),
    high: at(e, "height"),
  }));
};

afterEach(cleanup);

it("says which springs the blades work against, and what is not known", () => {
  show({
    springs: 2,
    counted: true,
    tangs: [
      { end: "A", against: [1, 2], seen: true },
      { end: "B", against: [2], seen: false },
    ],
  });
  expect(screen.getByRole("img").getAttribute("aria-label")).toBe(
    "From the back: 2 springs; blade 1 against springs 1 and 2, blade 2 against spring 2 perhaps.",
  );
});

it("lays a main that bears on both over both springs, at the right", () => {
  const [first, second, main, small] = rects(
    show({
      springs: 2,
      counted: true,
      tangs: [
        { end: "A", against: [1, 2], seen: true },
        { end: "B", against: [1], seen: true },
      ],
    }),
  );
  if (!first || !second || !main || !small) throw new Error("not all was drawn");
  expect(main.y).toBe(first.y);
  expect(main.y + main.high).toBe(second.y + second.high);
  expect(main.x).toBeGreaterThan(first.to);
  expect(small.to).toBeLessThan(first.x);
  // The spring without a blade at that end runs on to the butt.
  expect(second.x).toBeLessThan(first.x);
});

it("lays two blades of one end on one spring side by side, and those at its ends on the same", () => {
  const [spring, one, other, far] = rects(
    show({
      springs: 1,
      counted: false,
      tangs: [
        { end: "A", against: [1], seen: true },
        { end: "A", against: [1], seen: true },
        { end: "B", against: [1], seen: true },
      ],
    }),
  );
  if (!spring || !one || !other || !far) throw new Error("not all was drawn");
  expect(one.high + other.high).toBe(spring.high);
  expect(other.y).toBe(one.y + one.high);
  expect(far.high).toBe(spring.high);
});

it("draws what stands between the springs only where something does", () => {
  const between = (divider?: string) => {
    const drawn = show({ springs: 3, counted: true, divider, tangs: [] }).querySelectorAll("path").length;
    cleanup();
    return drawn;
  };
  expect([between("full"), between("wedge"), between("none"), between()]).toEqual([2, 2, 0, 0]);
});

it("of a knife without a spring says so", () => {
  show({ springs: 0, counted: true, tangs: [{ end: "A", against: [], seen: true }] });
  expect(screen.getByRole("img").getAttribute("aria-label")).toContain("blade 1 without a spring");
});
