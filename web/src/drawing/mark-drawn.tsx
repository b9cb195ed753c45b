import { useId } from "react";
import type { Candidate } from "../api/types";

/** Letters the mark on file supplies are underlined; a letter read otherwise stands out. */
export const FIT = {
  read: "",
  bare: "whitespace-pre",
  supplied: "underline decoration-blue decoration-2 underline-offset-[3px]",
  against: "font-semibold text-lead underline decoration-2 underline-offset-[3px]",
};

const INK = { read: "fill-ink", bare: "", supplied: "fill-blue", against: "fill-lead" };
const LINE = 24;
const WIDE = 248;
const LARGEST = 20;
/** Width of a letter for each unit of its size. */
const LETTER = 0.62;
const ARCH = { half: 104, rise: 24 };
const RING = 46;

/** A mark on file as it should look; letters not read are blue, letters read otherwise red. */
export function MarkDrawn({ of, lines, layout }: OfMark & { of: string }) {
  const id = useId();
  const at = laidOut(lines, layout);
  const text = lines.map((line) => line.map((l) => l.letter).join("")).join(", ");
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${at.high}`}
      className="block h-auto w-full max-w-[15.5rem] font-steel font-semibold"
      role="img"
      aria-label={`${of}: ${text}`}
    >
      {layout !== "straight" && (
        <path id={id} fill="none" d={layout === "circled" ? circle(RING + LINE) : arch(LINE + ARCH.rise)} />
      )}
      {lines.map((line, i) =>
        i === 0 && layout !== "straight" ? (
          // biome-ignore lint/suspicious/noArrayIndexKey: a line is known by its place
          <text key={i} textAnchor="middle" fontSize={sizeOf(line, at.along)} className="whitespace-pre">
            <textPath href={`#${id}`} startOffset="50%">
              <Inked line={line} />
            </textPath>
          </text>
        ) : (
          <text
            // biome-ignore lint/suspicious/noArrayIndexKey: a line is known by its place
            key={i}
            x={WIDE / 2}
            y={at.top + LINE * (layout === "straight" ? i + 1 : i) - 1}
            textAnchor="middle"
            fontSize={sizeOf(line, at.across)}
            className="whitespace-pre"
          >
            <Inked line={line} />
          </text>
        ),
      )}
    </svg>
  );
}

type OfMark = Pick<Candidate, "lines" | "layout">;
type MarkLine = OfMark["lines"][number];

/** How large the letters of a line may be in the room it has. */
const sizeOf = (line: MarkLine, room: number) =>
  Math.min(LARGEST, room / (Math.max(1, line.length) * LETTER));

/** Where the straight lines begin, how high the whole is, and the room along a bow and across. */
function laidOut(lines: OfMark["lines"], layout: OfMark["layout"]) {
  const isRing = layout === "circled";
  // Lines below the first stand under an arch, and within a ring.
  const below = lines.length - (layout === "straight" ? 0 : 1);
  const top = layout === "arched" ? LINE + ARCH.rise : isRing ? RING + LINE - (below * LINE) / 2 : 0;
  return {
    top,
    high: isRing ? 2 * RING + 2 * LINE : top + below * LINE + 10,
    along: isRing ? 2 * Math.PI * RING * 0.94 : WIDE - 16,
    across: isRing ? 1.5 * RING : WIDE - 16,
  };
}

function Inked({ line }: { line: MarkLine }) {
  return line.map((l, k) => (
    // biome-ignore lint/suspicious/noArrayIndexKey: a letter is known by its place
    <tspan key={k} className={INK[l.fit]}>
      {l.letter}
    </tspan>
  ));
}

function arch(y: number): string {
  const radius = (ARCH.half ** 2 + ARCH.rise ** 2) / (2 * ARCH.rise);
  return `M${WIDE / 2 - ARCH.half} ${y}A${radius} ${radius} 0 0 1 ${WIDE / 2 + ARCH.half} ${y}`;
}

/** Begun below, so that its middle is above. */
const circle = (y: number) => `M${WIDE / 2} ${y + RING}A${RING} ${RING} 0 1 1 ${WIDE / 2 + 0.1} ${y + RING}`;

/** Letters of a line that nothing was held against. */
export const plainLetters = (line: string): Candidate["lines"][number] =>
  [...line].map((letter) => ({ letter, fit: "read" }));
