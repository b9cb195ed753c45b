import { describe, expect, it } from "vitest";
import { lengthInFull, lengthText, shownLength, withUnit, years, yearsWhole } from "./format";

describe("lengths", () => {
  it("are told to the nearest sixteenth in lowest terms", () => {
    expect(lengthText(98.425, "in")).toBe("3 7/8 in");
    expect(lengthText(25.4, "in")).toBe("1 in");
    expect(lengthText(12.7, "in")).toBe("1/2 in");
    expect(lengthText(101.4, "in")).toBe("4 in");
    expect(lengthText(84.1375, "mm")).toBe("84.1 mm");
  });

  it("are told in thirty-seconds where that is asked for, with what is left over", () => {
    expect(lengthText(90.5, "in", 32)).toBe("3 9/16 in");
    expect(lengthText(91.3, "in", 32)).toBe("3 19/32 in");
    expect(lengthInFull(91.3, 16)).toBe("3 5/8 in \u22120.8 mm; 91.3 mm");
    expect(lengthInFull(98.425, 16)).toBe("3 7/8 in; 98.4 mm");
  });

  it("are shown in the unit of the switch and as written in their own", () => {
    expect(shownLength("3 7/8 in", 98.425, "in")).toBe("3 7/8 in");
    expect(shownLength("3 7/8 in", 98.425, "mm")).toBe("98.4 mm");
    expect(shownLength("76 mm", 76, "in")).toBe("3 in");
    expect(shownLength(undefined, undefined, "in")).toBeUndefined();
  });

  it("take the unit of the switch only where none was written", () => {
    expect(withUnit("3 7/8", "in")).toBe("3 7/8 in");
    expect(withUnit("98,4", "mm")).toBe("98,4 mm");
    expect(withUnit("98.4 mm", "in")).toBe("98.4 mm");
    expect(withUnit('3 7/8"', "mm")).toBe('3 7/8"');
    expect(withUnit("", "mm")).toBe("");
  });
});

describe("spans", () => {
  const span = {
    share: 0.9,
    pieces: [
      { from: 1889, to: 1903 },
      { from: 1914, to: 1914 },
    ],
  };
  it("are told piece by piece, or from first to last", () => {
    expect(years(span)).toBe("1889\u20131903, 1914");
    expect(yearsWhole(span)).toBe("1889\u20131914");
  });
});
