import { useId } from "react";
import type { Candidate } from "../../../api/types";

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
/** Radius of the curve a line of this kind runs on, and how much higher that stands. */
const CURVES = { straight: undefined, arched: { radius: 150, rise: 22 }, circled: { radius: 62, rise: 44 } };

/** A mark on file as it should look; letters not read are blue, letters read otherwise red. */
export function MarkDrawn({ candidate }: { candidate: Candidate }) {
  const id = useId();
  const curve = CURVES[candidate.layout];
  const high = candidate.lines.length * LINE + (curve?.rise ?? 0) + 10;
  const text = candidate.lines.map((line) => line.map((l) => l.letter).join("")).join(", ");
  const size = (letters: number) => Math.min(20, (WIDE - 16) / (Math.max(1, letters) * 0.66));
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${high}`}
      className="mt-1 block h-auto w-full max-w-[15.5rem] border border-ink bg-lit font-steel font-semibold"
      role="img"
      aria-label={`${candidate.makerName}: ${text}`}
    >
      {curve && (
        <path
          id={id}
          fill="none"
          d={`M${WIDE / 2 - curve.radius * 0.95} ${LINE + curve.rise + curve.radius * 0.2} A${curve.radius} ${curve.radius} 0 0 1 ${WIDE / 2 + curve.radius * 0.95} ${LINE + curve.rise + curve.radius * 0.2}`}
        />
      )}
      {candidate.lines.map((line, i) => {
        const letters = line.map((l, k) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a letter is known by its place
          <tspan key={k} className={INK[l.fit]}>
            {l.letter}
          </tspan>
        ));
        return (
          <text
            // biome-ignore lint/suspicious/noArrayIndexKey: a line is known by its place
            key={i}
            x={curve && i === 0 ? undefined : WIDE / 2}
            y={curve && i === 0 ? undefined : (curve?.rise ?? 0) + LINE * (i + 1) - 1}
            textAnchor="middle"
            fontSize={size(line.length)}
            className="whitespace-pre"
          >
            {curve && i === 0 ? (
              <textPath href={`#${id}`} startOffset="50%">
                {letters}
              </textPath>
            ) : (
              letters
            )}
          </text>
        );
      })}
    </svg>
  );
}
