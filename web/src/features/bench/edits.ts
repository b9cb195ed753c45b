import type { Question, Seen, SeenBlade, SeenFace, Specimen } from "../../api/types";
import type { FaceOf } from "./plate";

type Answers = Record<string, Seen>;

/** Answers with one given, or taken back. */
export function withAnswer(all: Answers, question: string, seen: Seen | undefined): Answers {
  const { [question]: _, ...rest } = all;
  return seen ? { ...rest, [question]: seen } : rest;
}

/** The knife with one question answered, or open again. */
export const withSeen = (s: Specimen, question: string, seen: Seen | undefined): Specimen => ({
  ...s,
  seen: withAnswer(s.seen, question, seen),
});

/** A blade as it is added; the main one turns at the main end. */
export const blankBlade = (isMain: boolean): SeenBlade => ({
  end: isMain ? { value: "A", sureness: "sure" } : undefined,
  heights: [],
  seen: {},
  condition: {},
});

/** Whether it is asked of the blade at this place, the main one being 0. */
export const isAskedOf = (q: Question, place: number): boolean =>
  q.asked === "each-blade" || (q.asked === "other-blades" && place > 0);

/** What a blade has in common with the one before it as a rule, by question, where nobody has looked yet. */
export function sharedWithBefore(s: Specimen, place: number, questions: Question[]): Answers {
  const [before, blade] = [s.blades[place - 1], s.blades[place]];
  const there = (q: Question) =>
    place === 1 && q.alike?.ofMain ? s.seen[q.alike.ofMain] : before?.seen[q.id];
  return Object.fromEntries(
    questions.flatMap((q) => {
      const seen = there(q);
      const isUsual = seen?.value !== undefined && !seen.or && q.alike?.answers.includes(seen.value);
      return isUsual && isAskedOf(q, place) && !blade?.seen[q.id] ? [[q.id, seen]] : [];
    }),
  );
}

/** The knife with that taken over by the blade at this place. */
export const withShared = (s: Specimen, place: number, questions: Question[]): Specimen => ({
  ...s,
  blades: s.blades.map((b, k) =>
    k === place ? { ...b, seen: { ...b.seen, ...sharedWithBefore(s, place, questions) } } : b,
  ),
});

/** Without one blade, by its place from 0: its marks go, and those of the blades behind it go with them. */
export const withoutBlade = (s: Specimen, place: number): Specimen => ({
  ...s,
  blades: s.blades.filter((_, k) => k !== place),
  marks: s.marks
    .filter((m) => m.blade !== place + 1)
    .map((m) => (m.blade > place + 1 ? { ...m, blade: m.blade - 1 } : m)),
});

/** The knife with one face of one tang found so, or not looked at again; faces stay in order. */
export const withFace = (s: Specimen, face: FaceOf, next: SeenFace | undefined): Specimen => ({
  ...s,
  marks: [
    ...s.marks.filter((f) => f.blade !== face.blade || f.face !== face.side),
    ...(next ? [next] : []),
  ].sort((a, b) => a.blade - b.blade || a.face.localeCompare(b.face)),
});

/** A face found so: what was read on it stays with it only while it is read. */
export const foundAs = (state: SeenFace["state"], face: FaceOf, seen: SeenFace | undefined): SeenFace => ({
  blade: face.blade,
  face: face.side,
  state,
  technique: state === "read" ? seen?.technique : undefined,
  lines: state === "read" ? (seen?.lines ?? []) : [],
});
