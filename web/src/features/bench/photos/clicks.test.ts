import { describe, expect, it } from "vitest";
import { clicked, EMPTY, type Mode, type Point, toMeasure } from "./clicks";

const at = (x: number, y = 0): Point => ({ x, y });
const all = (mode: Mode, points: Point[], from = EMPTY) => points.reduce((c, p) => clicked(c, mode, p), from);

describe("clicks on a photograph", () => {
  it("make pairs of two and keep the first till the second comes", () => {
    expect(all("scale", [at(0)]).half).toEqual(at(0));
    expect(all("scale", [at(0), at(9)]).known).toEqual([{ from: at(0), to: at(9) }]);
    expect(all("distance", [at(0), at(9), at(1)]).distances).toHaveLength(1);
  });
  it("ask nothing without a scale", () => {
    expect(toMeasure(all("distance", [at(0), at(9)]), "1 in")).toBeUndefined();
  });
  it("take the place furthest from the tang as the point of a blade", () => {
    const clicks = all("outline", [at(0), at(50, 4), at(90, 2), at(40, -8)], all("scale", [at(0), at(9)]));
    expect(toMeasure(clicks, "1 in")).toMatchObject({
      tang: at(0),
      tip: at(90, 2),
      known: [{ length: "1 in" }],
    });
  });
});
