import { describe, expect, it } from "vitest";
import type { Point } from "./geometry";
import { eased, type Laid, onItsWay } from "./swing";

const numbers = (matrix: string) => (matrix.match(/-?[\d.]+/g) ?? []).map(Number);

function moved(matrix: string, [x, y]: Point): Point {
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0] = numbers(matrix);
  return [a * x + c * y + e, b * x + d * y + f];
}

describe("a blade on its way", () => {
  const shut: Laid = [
    [100, 50],
    [160, 50],
  ];
  const open: Laid = [
    [110, 60],
    [110, -60],
  ];

  it("starts where it lay and ends where it is drawn", () => {
    open.forEach((p, i) => {
      const before = moved(onItsWay(shut, open, 0), p);
      expect(before[0]).toBeCloseTo((shut[i] as Point)[0], 1);
      expect(before[1]).toBeCloseTo((shut[i] as Point)[1], 1);
      const after = moved(onItsWay(shut, open, 1), p);
      expect(after[0]).toBeCloseTo(p[0], 1);
      expect(after[1]).toBeCloseTo(p[1], 1);
    });
  });

  it("swings about its tang and does not shrink through it", () => {
    const [tang, tip] = open.map((p) => moved(onItsWay(shut, open, 0.5), p)) as [Point, Point];
    const long = Math.hypot(tip[0] - tang[0], tip[1] - tang[1]);
    expect(long).toBeCloseTo(Math.sqrt(60 * 120), 1);
    expect(tip[0] - tang[0]).toBeCloseTo(-(tip[1] - tang[1]), 1);
  });

  it("begins and ends slowly", () => {
    expect([0, 0.5, 1].map(eased)).toEqual([0, 0.5, 1]);
    expect(eased(0.1)).toBeLessThan(0.1);
  });
});
