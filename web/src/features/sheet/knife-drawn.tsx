import { useMemo } from "react";
import type { Book, Sketch } from "../../api/types";
import { drawOpen } from "../../drawing/open";
import { Shapes } from "../../drawing/shapes";
import { lengthText } from "../../format";
import { usePreferences } from "../../preferences";

const WIDE = 640;
const HIGH = 230;
const LARGEST = 4.6;

/** The open knife, as large as its place, without a way anywhere. */
export function KnifeDrawn({ sketch, book, label }: { sketch: Sketch; book: Book; label: string }) {
  const { units } = usePreferences();
  const drawn = useMemo(() => drawOpen(sketch, book, WIDE, HIGH, LARGEST), [sketch, book]);
  return (
    <figure className="min-w-0">
      <svg
        viewBox={`0 0 ${WIDE} ${HIGH + 6}`}
        className="w-full text-ink"
        role="img"
        aria-label={`${label}, mark side, blades open`}
      >
        {[...drawn.blades].reverse().map((b) => (
          <Shapes key={`${b.tip[0]} ${b.tip[1]}`} shapes={b.shapes} />
        ))}
        <Shapes shapes={drawn.handle} />
      </svg>
      <figcaption className="text-[0.78125rem]/4 text-ink2">
        {sketch.measured ? `${lengthText(sketch.closedLengthMm, units)} closed` : "Not measured"}, mark side.
      </figcaption>
    </figure>
  );
}
