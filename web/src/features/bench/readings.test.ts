import { describe, expect, it } from "vitest";
import type { Specimen } from "../../api/types";
import { meanWords } from "./readings";
import { repeated } from "./repeat";
import { readHeights, writeHeights } from "./stations/heights";

describe("readings of one thing", () => {
  it("make a mean and a spread in their own unit", () => {
    expect(meanWords(["34 N", "35 N", "36 N"])).toBe("3 readings: mean 35 N, spread 1.0");
    expect(meanWords(["84,10 mm", "84.14 mm"])).toContain("mean 84.12 mm");
  });
  it("of several units are only counted", () => {
    expect(meanWords(["34 N", "3.5 kgf"])).toBe("2 readings");
  });
});

describe("heights along a blade", () => {
  it("take the unit of the switch and come back as written", () => {
    const heights = readHeights("4 : 12.5; 30 mm : 11", "mm");
    expect(heights).toEqual([
      { at: "4 mm", height: "12.5 mm" },
      { at: "30 mm", height: "11 mm" },
    ]);
    expect(readHeights(writeHeights(heights) ?? "", "in")).toEqual(heights);
  });
  it("half written are kept, to be told what is missing", () => {
    expect(readHeights("4", "mm")).toEqual([{ at: "4 mm", height: "" }]);
  });
});

describe("the same as the knife before", () => {
  const knife = (more: Partial<Specimen>): Specimen => ({
    blades: [],
    comparables: [],
    condition: {},
    codes: [],
    marks: [],
    registered: [],
    hallmarks: [],
    measured: {},
    notFound: [],
    seen: {},
    story: [],
    ...more,
  });
  const book = {
    questions: [{ id: "bail", station: "frame", label: "", asked: "once" as const, answers: [] }],
    condition: {
      grades: [],
      alterations: [],
      points: [{ id: "snap", station: "action", label: "", ask: "", usualFault: "", findings: [] }],
    },
  };
  const before = knife({
    frame: { value: "canoe", sureness: "sure" },
    seen: { bail: { value: "wire", sureness: "likely" } },
    condition: { snap: { value: "strong", sureness: "sure" } },
  });
  it("takes over this station and no other", () => {
    const now = repeated(knife({}), before, "frame", book);
    expect(now.seen.bail?.value).toBe("wire");
    expect(now.frame).toBeUndefined();
    expect(now.condition).toEqual({});
  });
  it("never writes over what was looked at", () => {
    const seen = knife({ frame: { value: "teardrop", sureness: "sure" } });
    expect(repeated(seen, before, "pattern", book).frame?.value).toBe("teardrop");
  });
});
