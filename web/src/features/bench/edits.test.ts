import { describe, expect, it } from "vitest";
import type { SeenFace, Specimen } from "../../api/types";
import { blankBlade, foundAs, withAnswer, withFace, withoutBlade, withSeen } from "./edits";

const face = (blade: number, side: SeenFace["face"], more: Partial<SeenFace> = {}): SeenFace => ({
  blade,
  face: side,
  state: "read",
  lines: ["THRALE"],
  ...more,
});

const knife = {
  seen: { bail: { value: "wire", sureness: "sure" } },
  blades: [blankBlade(true), blankBlade(false), { ...blankBlade(false), length: "50 mm" }],
  marks: [face(1, "mark"), face(2, "mark"), face(3, "pile")],
} as unknown as Specimen;

describe("an answer", () => {
  it("stands beside the others, and goes alone", () => {
    const two = withSeen(knife, "etch", { value: "acid", sureness: "likely" });
    expect(Object.keys(two.seen)).toEqual(["bail", "etch"]);
    expect(withSeen(two, "etch", undefined)).toEqual(knife);
    expect(withAnswer({}, "etch", undefined)).toEqual({});
  });
});

describe("a blade", () => {
  it("that is added turns at the main end if it is the main one, and else is not looked at", () => {
    expect(blankBlade(true).end?.value).toBe("A");
    expect(blankBlade(false).end).toBeUndefined();
  });

  it("takes its marks along when it goes, and those behind it keep theirs", () => {
    const less = withoutBlade(knife, 1);
    expect(less.blades).toEqual([knife.blades[0], knife.blades[2]]);
    expect(less.marks.map((m) => [m.blade, m.face])).toEqual([
      [1, "mark"],
      [2, "pile"],
    ]);
    expect(withoutBlade(knife, 2).marks.map((m) => m.blade)).toEqual([1, 2]);
  });
});

describe("a face of a tang", () => {
  it("takes the place of itself alone, in the order of blades and sides", () => {
    const bare = face(2, "mark", { state: "bare", lines: [] });
    const now = withFace(knife, { blade: 2, side: "mark" }, bare);
    expect(now.marks).toEqual([knife.marks[0], bare, knife.marks[2]]);
    const more = withFace(knife, { blade: 1, side: "pile" }, face(1, "pile"));
    expect(more.marks.map((m) => `${m.blade} ${m.face}`)).toEqual(["1 mark", "1 pile", "2 mark", "3 pile"]);
    expect(withFace(knife, { blade: 2, side: "mark" }, undefined).marks).toHaveLength(2);
  });

  it("keeps what was read on it only while it is read", () => {
    const read = face(1, "mark", { technique: "struck" });
    expect(foundAs("read", { blade: 1, side: "mark" }, read)).toMatchObject({
      lines: ["THRALE"],
      technique: "struck",
    });
    const worn = foundAs("worn", { blade: 1, side: "mark" }, read);
    expect(worn.lines).toEqual([]);
    expect(worn.technique).toBeUndefined();
  });
});
