// @vitest-environment happy-dom
import { act, cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { Verdict } from "../../api/types";
import { VERDICT, VerdictStrip } from "./verdict-strip";

let seen: (isIntersecting: boolean) => void = () => undefined;

class Watch {
  constructor(tell: (entries: { isIntersecting: boolean }[]) => void) {
    seen = (isIntersecting) => act(() => tell([{ isIntersecting }]));
  }
  observe() {}
  disconnect() {}
}

const span = { share: 0.9, pieces: [{ from: 1897, to: 1911 }] };
const verdict = {
  dating: {
    opinion: { headline: "Veldrake made it", held: 0.754, years: span },
    explanations: [{ probability: 0.754 }],
    lookNext: [{ label: "Kick corners" }],
  },
} as unknown as Verdict;

const shown = () => screen.queryByRole("button", { name: /Veldrake made it/ });

beforeEach(() => vi.stubGlobal("IntersectionObserver", Watch));

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function strip(of: Verdict | undefined) {
  render(
    <>
      <aside id={VERDICT} tabIndex={-1}>
        whole
      </aside>
      <VerdictStrip verdict={of} />
    </>,
  );
}

test("it says what it is, when, and what to look at next", () => {
  strip(verdict);
  expect(shown()?.textContent).toContain("75%");
  expect(shown()?.textContent).toContain("1897\u20131911");
  expect(shown()?.textContent).toContain("Next: Kick corners");
});

test("it stands back while the whole verdict is in sight", () => {
  strip(verdict);
  seen(true);
  expect(shown()).toBeNull();
  seen(false);
  expect(shown()).not.toBeNull();
});

test("pressed, it leads to the whole", () => {
  strip(verdict);
  fireEvent.click(shown() as HTMLElement);
  expect(document.activeElement?.id).toBe(VERDICT);
});

test("before there is a verdict there is no strip", () => {
  strip(undefined);
  expect(screen.queryByRole("button")).toBeNull();
});
