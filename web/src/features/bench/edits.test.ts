import { describe, expect, it } from "vitest";
import type { Question, Seen, SeenFace, Specimen } from "../../api/types";
import {
  blankBlade,
  foundAs,
  sharedWithBefore,
  withAnswer,
  withFace,
  withoutBlade,
  withSeen,
  withShared,
} from "./edits";

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

describe("what a blade has in common with the one before it", () => {
  const question = (id: string, asked: Question["asked"], alike?: Question["alike"]): Question => ({
    id,
    station: "blades",
    label: id,
    asked,
    alike,
    answers: [],
  });
  const questions = [
    question("stop", "each-blade", { answers: ["half", "none"] }),
    question("etch", "each-blade", { answers: ["none"] }),
    question("pull", "other-blades", { answers: ["nick"], ofMain: "main_pull" }),
    question("edge", "each-blade"),
    question("bail", "once"),
  ];
  const sure = (value: string): Seen => ({ value, sureness: "sure" });
  const knifeOf = (...seen: Record<string, Seen>[]): Specimen =>
    ({ ...knife, blades: seen.map((s) => ({ ...blankBlade(false), seen: s })) }) as Specimen;
  const taken = (s: Specimen, place: number) => Object.keys(sharedWithBefore(s, place, questions));

  it("is what the book calls usual on both, and no other answer", () => {
    expect(taken(knifeOf({ stop: sure("half"), etch: sure("none") }, {}), 1)).toEqual(["stop", "etch"]);
    expect(taken(knifeOf({ stop: sure("half"), etch: sure("acid") }, {}), 1)).toEqual(["stop"]);
    expect(taken(knifeOf({ stop: sure("half"), edge: sure("plain") }, {}), 0)).toEqual([]);
  });

  it("is nothing where it has been looked, where it may be one of two, or where it was not to be told", () => {
    const open = { stop: { sureness: "cannot-tell" } as Seen, etch: { ...sure("none"), or: { acid: 0.3 } } };
    expect(taken(knifeOf(open, {}), 1)).toEqual([]);
    expect(taken(knifeOf({ stop: sure("half") }, { stop: sure("none") }), 1)).toEqual([]);
  });

  it("is asked of the blades it is asked of, each from the one before", () => {
    const three = knifeOf({ stop: sure("none") }, { pull: sure("nick") }, {});
    expect(taken(three, 1)).toEqual(["stop"]);
    expect(taken({ ...three, seen: { main_pull: sure("nick") } }, 1)).toEqual(["stop"]);
    const main = { ...knifeOf({}, {}, {}), seen: { main_pull: sure("nick") } };
    expect([1, 2].map((place) => taken(main, place))).toEqual([["pull"], []]);
    expect(taken({ ...main, seen: { main_pull: sure("long") } }, 1)).toEqual([]);
    const now = withShared(withShared(three, 1, questions), 2, questions);
    expect(now.blades.map((b) => Object.keys(b.seen))).toEqual([
      ["stop"],
      ["pull", "stop"],
      ["stop", "pull"],
    ]);
    expect(now.blades[2]?.seen.stop).toEqual(sure("none"));
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
