// @vitest-environment happy-dom
import { cleanup, render, screen } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import type { Book, ReadableEntry } from "../../api/types";
import { PreferencesProvider } from "../../preferences";
import { axisOf, TimeLine, yearsOn } from "./time-line";

const BOOK = { frames: [], blades: [], bolsters: [], shields: [], questions: [] } as unknown as Book;
const knife = (number: number, ...pieces: [number, number][]) =>
  ({
    id: `k${number}`,
    number,
    summary: {
      title: "Jack",
      tradeTitle: "Jack",
      maker: number === 1 ? "Veldrake" : undefined,
      span:
        pieces.length > 0 ? { share: 0.9, pieces: pieces.map(([from, to]) => ({ from, to })) } : undefined,
    },
    sketch: {
      closedLengthMm: 90,
      measured: true,
      blades: [],
      back: { springs: 1, counted: false, tangs: [] },
    },
  }) as unknown as ReadableEntry;

beforeEach(() => {
  vi.spyOn(HTMLElement.prototype, "offsetHeight", "get").mockReturnValue(800);
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

it("begins with the decade of the first and has years no closer than can be read", () => {
  const axis = axisOf([knife(1, [1887, 1911]), knife(2, [1901, 1905])], 2026);
  expect(axis).toEqual({ from: 1880, to: 2027 });
  expect(yearsOn(axis)).toEqual([1880, 1900, 1920, 1940, 1960, 1980, 2000, 2020]);
  expect(yearsOn({ from: 1990, to: 2027 })).toEqual([1990, 2000, 2010, 2020]);
  expect(yearsOn({ from: 1500, to: 2027 }).length).toBeLessThanOrEqual(10);
  expect(axisOf([], 2026).from).toBeLessThan(2010);
});

it("shows each dated knife with all its years in the order given, and counts the others", () => {
  render(
    <PreferencesProvider>
      <MemoryRouter>
        <TimeLine
          knives={[knife(2, [1908, 1918], [1950, 2025]), knife(3), knife(1, [1887, 1911])]}
          book={BOOK}
        />
      </MemoryRouter>
    </PreferencesProvider>,
  );
  const rows = screen.getAllByRole("link");
  expect(rows.map((r) => r.getAttribute("data-knife"))).toEqual(["k2", "k1"]);
  expect(rows[1]?.textContent).toContain("Veldrake");
  const bars = [...(rows[0]?.querySelectorAll("path[stroke='var(--color-blue)']") ?? [])];
  const begins = bars.map((b) => Number(b.getAttribute("d")?.match(/^M([\d.]+)/)?.[1]));
  expect(begins).toHaveLength(2);
  // From 1880 to the end of this year.
  const whole = new Date().getFullYear() + 1 - 1880;
  expect(begins[0]).toBeCloseTo((100 * 28) / whole, 6);
  expect(begins[1]).toBeCloseTo((100 * 70) / whole, 6);
  expect(screen.getByText("1 has no years yet.")).toBeDefined();
});
