// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, expect, test, vi } from "vitest";
import type { Progress, Station } from "../../api/types";
import { Rail } from "./rail";

const station = (id: string, key: string): Station => ({
  id,
  name: `${id.charAt(0).toUpperCase()}${id.slice(1)}`,
  key,
  drawnLarge: false,
});

const CARE = station("care", "E");
const STATIONS = [station("pattern", "1"), station("frame", "7"), station("story", "S")];

const PROGRESS: Progress[] = [
  { station: "pattern", looked: 3, of: 4, summary: "Swell-end jack", conflict: false },
  { station: "frame", looked: 13, of: 26, summary: "Liners of brass", conflict: true },
  { station: "story", looked: 0, of: 1, conflict: false },
];

const onGo = vi.fn();

function show(progress: Progress[] | null = PROGRESS) {
  render(<Rail progress={progress ?? undefined} current="frame" onGo={onGo} stations={STATIONS} />);
}

const ticks = (name: RegExp) => {
  const paths = [...screen.getByRole("button", { name }).querySelectorAll("path")].slice(1);
  return { all: paths.length, full: paths.filter((p) => p.getAttribute("stroke-width")).length };
};

afterEach(cleanup);

test("each station has a tick for each look, full where it was taken", () => {
  show();
  expect(ticks(/^Pattern/)).toEqual({ all: 4, full: 3 });
  expect(ticks(/^Story/)).toEqual({ all: 1, full: 0 });
});

test("more looks than there is room for share their ticks", () => {
  show();
  expect(ticks(/^Frame/)).toEqual({ all: 13, full: 7 });
});

test("how far it is and what does not go together is said, and what nobody looked at", () => {
  show();
  expect(screen.getByRole("button", { name: /^Pattern.*3 of 4 looked at Swell-end jack/ })).toBeTruthy();
  const frame = screen.getByRole("button", { current: "step" });
  expect(frame.textContent).toContain("13 of 26 looked at, in conflict");
  expect(frame.textContent).toContain("conflict Liners of brass");
  expect(screen.getByRole("button", { name: /^Story/ }).textContent).toContain("not yet looked");
});

test("before the first verdict nothing is claimed", () => {
  show(null);
  expect(screen.queryByText("not yet looked")).toBeNull();
  expect(screen.queryByText(/looked at/)).toBeNull();
});

test("a press goes to the station; its key stands beside its name", () => {
  show();
  fireEvent.click(screen.getByRole("button", { name: /^Story/ }));
  expect(onGo).toHaveBeenCalledExactlyOnceWith("story");
  expect(screen.getByRole("button", { name: /^Story/ }).textContent).toMatch(/^SStory/);
});

test("a station with nothing to look at claims nothing", () => {
  const care: Progress = { station: "care", looked: 0, of: 0, conflict: false };
  render(<Rail progress={[care]} current="frame" onGo={onGo} stations={[CARE]} />);
  expect(screen.getByRole("button", { name: /Care/ }).textContent).toBe("ECare\u00a0");
});
