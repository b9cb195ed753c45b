import type { ReadableEntry } from "../../api/types";
import type { OpenKnife } from "../../drawing/open";
import { Shapes } from "../../drawing/shapes";
import type { Laid } from "../../drawing/together";
import { lengthText } from "../../format";
import type { Units } from "../../preferences";

/** One line for each that lies over the others. */
const COLOURS = ["var(--color-ink)", "var(--color-blue)", "var(--color-lead)", "var(--color-ink3)"];

export const MOST_OVER = COLOURS.length;
const DASHES = [undefined, "7 3", "2 2.5", "10 3 2 3"];

/** The handle lies over the tangs, and the blade nearest over the others. */
const layers = (drawn: OpenKnife) => [...[...drawn.blades].reverse().map((b) => b.shapes), drawn.handle];

export function Whole({ laid, knife, units }: { laid: Laid; knife: ReadableEntry; units: Units }) {
  const { drawn, x, y } = laid;
  return (
    <g transform={`translate(${x} ${y})`}>
      {layers(drawn).map((shapes, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: layers have no life of their own, only an order
        <Shapes key={i} shapes={shapes} />
      ))}
      <text x={drawn.left[0]} y={drawn.box.bottom + 20} fill="currentColor" fontSize="13">
        No. {knife.number}
        {knife.sketch.measured ? `, ${lengthText(knife.sketch.closedLengthMm, units)}` : ", not measured"}
      </text>
    </g>
  );
}

/** As the lines of the knife in this place are drawn, to stand beside its name. */
export const Line = ({ place }: { place: number }) => (
  <svg width="26" height="6" viewBox="0 0 26 6" aria-hidden="true" className="mr-1.5 inline-block">
    <path d="M0 3H26" stroke={COLOURS[place]} strokeWidth="1.6" strokeDasharray={DASHES[place]} />
  </svg>
);

/** The lines of a knife alone, in a colour and a stroke of its own. */
export function Outlined({ laid, place }: { laid: Laid; place: number }) {
  const { drawn, x, y } = laid;
  return (
    <g transform={`translate(${x} ${y})`} fill="none" stroke={COLOURS[place]}>
      {layers(drawn)
        .map((shapes) => shapes[0])
        .filter((s) => s !== undefined)
        .map((s) => (
          <path key={s.d} d={s.d} strokeWidth="1.6" strokeLinejoin="round" strokeDasharray={DASHES[place]} />
        ))}
    </g>
  );
}

const INCH = 25.4;

/** A ruler along the foot, in the units one uses. */
export function Ruler({ scale, units, width, y }: { scale: number; units: Units; width: number; y: number }) {
  const step = units === "in" ? INCH / 4 : 5;
  const each = units === "in" ? 4 : 2;
  const marks = Math.floor((width - 24) / (step * scale));
  return (
    <g transform={`translate(12 ${y + 8})`} stroke="currentColor" fill="currentColor">
      <path d={`M0 0H${marks * step * scale}`} fill="none" />
      {Array.from({ length: marks + 1 }, (_, i) => i).map((i) => (
        <g key={i}>
          <path d={`M${i * step * scale} 0v${i % each === 0 ? 9 : 5}`} fill="none" />
          {i % each === 0 && (
            <text x={i * step * scale} y={22} stroke="none" fontSize="11" textAnchor="middle">
              {(i / each) * (units === "in" ? 1 : 10)}
            </text>
          )}
        </g>
      ))}
      <text x={marks * step * scale + 6} y={22} stroke="none" fontSize="11">
        {units}
      </text>
    </g>
  );
}
