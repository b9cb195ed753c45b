import { describe, expect, it } from "vitest";
import { heightAt, type Point, path, placed, seeded, short, smooth } from "./geometry";

describe("a smooth line", () => {
  const points: Point[] = [
    [0, 0],
    [1, 2],
    [1.01, 2.02],
    [5, 0],
  ];
  it("goes through every point it is given", () => {
    const line = smooth(points, 4);
    for (const [x, y] of points) expect(line.some((p) => Math.hypot(p[0] - x, p[1] - y) < 1e-6)).toBe(true);
  });
  it("does not run wild where points crowd", () => {
    for (const [x, y] of smooth(points, 12)) {
      expect(Number.isFinite(x + y)).toBe(true);
      expect(Math.abs(y)).toBeLessThan(3.5);
    }
  });
});

it("knows its height between points and keeps it beyond them", () => {
  const line: Point[] = [
    [0, 1],
    [2, 3],
  ];
  expect(heightAt(line, 1)).toBe(2);
  expect(heightAt(line, -5)).toBe(1);
  expect(heightAt(line, 9)).toBe(3);
});

it("turns anticlockwise on the sheet, mirrors and moves", () => {
  const [x, y] = placed(2, [10, 0], 90)([1, 0]);
  expect([x, y].map(Math.round)).toEqual([20, -2]);
  expect(placed(1, [5, 5], 0, true)([1, 1])).toEqual([4, 6]);
});

it("lines a knife the same way each time", () => {
  const a = seeded(7);
  const b = seeded(7);
  expect([a(0, 1), a(0, 1)]).toEqual([b(0, 1), b(0, 1)]);
});

it("writes an empty path for nothing", () => {
  expect(path([])).toBe("");
});

describe("a number in a path", () => {
  it("is written to two places as it would be otherwise", () => {
    const random = seeded(7);
    for (let i = 0; i < 500; i++) {
      const v = random(-900, 900);
      const rounded = (Math.sign(v) * Math.round(Math.abs(v) * 100)) / 100;
      expect(short(v)).toBe(rounded.toString());
    }
    expect(["0", "0", "-0.5", "12", "0.07"]).toEqual([0, -0.001, -0.5, 12, 0.07].map(short));
  });
});
