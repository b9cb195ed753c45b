import type { Book, SchoolVerdict } from "../../api/types";
import type { Point } from "../../drawing/geometry";
import type { OpenKnife } from "../../drawing/open";

type Fault = SchoolVerdict["reasons"][number];

/** What is asked at the station in hand: a point of condition, and of which blade, from 0. */
export interface PointedAt {
  point: string;
  blade: number;
}

/** As many as the list beside shows. */
export const MOST_FAULTS = 6;

/** The letter a fault goes by, in the list and on the drawing. */
export const letterOf = (place: number): string => String.fromCharCode(65 + place);

/** Where a point of condition, or what was done to it, is found on the drawn knife. */
export function placeOfPoint(drawn: OpenKnife, book: Book, of: string, blade: number): Point | undefined {
  const at = [...book.condition.points, ...book.condition.alterations].find((p) => p.id === of)?.at;
  if (!at) return undefined;
  if (!at.blade) return drawn.at(at.along, at.across);
  return (drawn.blades[Math.max(0, blade - 1)] ?? drawn.blades[0])?.at(at.along, at.across);
}

const SIDE = 18;

/** The same places, those that would lie on another moved aside, towards the butt. */
export function apart<T extends { at: Point }>(marks: T[]): T[] {
  const out: T[] = [];
  for (const mark of marks) {
    let [x, y] = mark.at;
    while (out.some(({ at }) => Math.abs(at[0] - x) < SIDE && Math.abs(at[1] - y) < SIDE)) x -= SIDE / 2;
    out.push({ ...mark, at: [x, y] });
  }
  return out;
}

/** The faults that count, each at its place on the knife, and the place of what is asked. */
export function FaultMarks({
  drawn,
  book,
  school,
  asked,
}: {
  drawn: OpenKnife;
  book: Book;
  school: SchoolVerdict | undefined;
  asked: PointedAt | undefined;
}) {
  const placed = (school?.reasons ?? []).slice(0, MOST_FAULTS).flatMap((fault, i) => {
    const at = placeOfPoint(drawn, book, fault.of, fault.blade);
    return at ? [{ fault, letter: letterOf(i), at }] : [];
  });
  const here = asked && placeOfPoint(drawn, book, asked.point, asked.blade + 1);
  return (
    <g data-testid="fault-marks">
      {here && (
        <circle
          data-testid="asked-place"
          cx={here[0]}
          cy={here[1]}
          r="13"
          fill="none"
          stroke="var(--color-blue)"
          strokeWidth="2"
          strokeDasharray="5 3"
        />
      )}
      {apart(placed).map(({ fault, letter, at }) => (
        <FaultMark key={letter} fault={fault} at={at} letter={letter} />
      ))}
    </g>
  );
}

/** A square, where parts of the knife have round discs. */
function FaultMark({ fault, at: [x, y], letter }: { fault: Fault; at: Point; letter: string }) {
  return (
    <g>
      <title>{[fault.label, fault.found.toLowerCase()].filter(Boolean).join(", ")}</title>
      <rect
        x={x - 8}
        y={y - 8}
        width="16"
        height="16"
        fill="var(--color-lead)"
        stroke="var(--color-paper)"
        strokeWidth="1.4"
      />
      <text
        x={x}
        y={y + 4}
        textAnchor="middle"
        fontSize="11.5"
        fontWeight="600"
        fill="var(--color-paper)"
        aria-hidden="true"
      >
        {letter}
      </text>
    </g>
  );
}
