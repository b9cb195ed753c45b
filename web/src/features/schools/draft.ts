import type { Grading, OwnSchools, School, SchoolTold } from "../../api/types";

/** A school that is being made or changed, with all it lets pass written out. */
export interface SchoolDraft {
  school: School;
  levels: SchoolTold["levels"];
  /** The school it is held against: itself as it was, or what it was made after. */
  against: string;
}

/** A school of one's own like another, under an id nobody has. */
export function likeIt(from: SchoolTold, grading: Grading): SchoolDraft {
  const taken = new Set(grading.schools.map((s) => s.school.id));
  let n = 1;
  while (taken.has(`own-${n}`)) n++;
  return {
    school: { ...from.school, id: `own-${n}`, label: `${from.school.label}, my own`, caps: from.caps },
    levels: from.levels,
    against: from.school.id,
  };
}

/** A school of one's own, to be changed. */
export const changing = (from: SchoolTold): SchoolDraft => ({
  school: { ...from.school, caps: from.caps },
  levels: from.levels,
  against: from.school.id,
});

/** With another best level for a finding. */
export const withCap = (school: School, of: string, finding: string, level: string): School => ({
  ...school,
  caps: { ...school.caps, [of]: { ...school.caps[of], [finding]: level } },
});

/** With other points for a part of the knife. */
export const withPoints = (school: School, part: string, points: number): School => ({
  ...school,
  parts: school.parts.map((p) => (p.id === part ? { ...p, points } : p)),
});

/** With another least number of points for a level. */
export const withBand = (school: School, level: string, least: number): School => ({
  ...school,
  bands: { ...school.bands, [level]: least },
});

/** How the collection would judge with this school among its own. */
export function withSchool(choice: OwnSchools, school: School): OwnSchools {
  const others = choice.own.filter((s) => s.id !== school.id);
  const place = choice.own.findIndex((s) => s.id === school.id);
  return {
    ...choice,
    own: place < 0 ? [...others, school] : choice.own.map((s, i) => (i === place ? school : s)),
  };
}

/** Without it; where it headed the page the first that came with Snikra does. */
export function withoutSchool(grading: Grading, choice: OwnSchools, id: string): OwnSchools {
  const first = grading.schools[0]?.school.id ?? choice.heads;
  return { heads: choice.heads === id ? first : choice.heads, own: choice.own.filter((s) => s.id !== id) };
}
