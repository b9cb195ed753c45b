import { useMemo } from "react";
import type { Book, Sketch } from "../api/types";
import { drawClosed } from "./closed";
import { placed } from "./geometry";
import { Shapes } from "./shapes";

/** A quarter of life size: CSS pixels to a millimetre. */
const SCALE = 0.945;

/** A closed knife as small as it can be told by its form; without a label it is only beside its name. */
export function SmallKnife({
  sketch,
  book,
  className,
  label,
}: {
  sketch: Sketch;
  book: Book;
  className: string;
  label?: string;
}) {
  const shapes = useMemo(() => drawClosed(sketch, book, placed(SCALE, [6, 13]), 0.6), [sketch, book]);
  return (
    <svg
      width="104"
      height="28"
      viewBox="0 0 104 28"
      className={className}
      role={label ? "img" : undefined}
      aria-label={label}
      aria-hidden={label ? undefined : true}
    >
      <Shapes shapes={shapes} />
    </svg>
  );
}
