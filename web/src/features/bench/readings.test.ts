import { describe, expect, it } from "vitest";
import type { Specimen } from "../../api/types";
import { meanWords } from "./readings";
import { repeated } from "./repeat";
import { readHeights, writeHeights } from "./stations/heights";

describe("readings of one thing", () => {
  it("are told with their mean and spread, as finely as the spread allows", () => {
    const mean = { readings: 3, mean: 35, spread: 1 };
    expect(meanWords({ count: 3, mean, unit: "N" })).toBe("3 readings: mean 35.0 N, spread 1.0");
    const fine = { readings: 2, mean: 84.12, spread: 0.028 };
    expect(meanWords({ count: 2, mean: fine, unit: "mm" })).toBe("2 readings: mean 84.12 mm, spread 0.03");
  });
  it("of several kinds are only counted", () => {
    expect(meanWords({ count: 2 })).toBe("2 readings");
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
    care: [],
    condition: {},
    codes: [],
    marks: [],
    registered: [],
    hallmarks: [],
    measured: {},
    notFound: [],
    tags: [],
    seen: {},
    story: [],
    ...more,
  });
  const book = {
    questions: [{ id: "bail", station: "frame", label: "", asked: "once" as const, answers: [] }],
    condition: {
      grades: [],
      schools: [],
      lives: [],
      once: [],
      odd: [],
      boxes: [],
      alterations: [],
      points: [
        { id: "snap", station: "action", label: "", ask: "", part: "blades", usualFault: "", findings: [] },
      ],
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
