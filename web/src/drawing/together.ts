import type { Book, Sketch } from "../api/types";
import { drawOpen, type OpenKnife, type Pose } from "./open";

/** Four times life size: CSS pixels to a millimetre. */
const LARGEST = 15;
const GAP = 28;
const LABEL = 44;
const EDGE = 8;
const HIGHEST = 300;

/** From this width on two stand beside one another. */
const TWO_FROM = 700;

export interface Laid {
  drawn: OpenKnife;
  /** Where its drawing begins. */
  x: number;
  y: number;
}

export interface Together {
  laid: Laid[];
  /** Pixels to a millimetre, the same for all. */
  scale: number;
  height: number;
}

/** Knives at one scale, as large as the room allows: beside one another, or their heads one over the other. */
export function layTogether(
  sketches: Sketch[],
  book: Book,
  width: number,
  pose: Pose,
  isOver: boolean,
): Together {
  const columns = isOver || sketches.length < 3 || width < TWO_FROM ? 1 : 2;
  const room = (width - (columns - 1) * GAP) / columns - 2 * EDGE;
  const scale = Math.min(
    LARGEST,
    ...sketches.map((s) => drawOpen(s, book, room, HIGHEST, LARGEST, pose).scale),
  );
  const drawn = sketches.map((s) => drawOpen(s, book, room, HIGHEST, scale, pose));
  return isOver ? over(drawn, scale) : beside(drawn, scale, columns, room);
}

function beside(drawn: OpenKnife[], scale: number, columns: number, room: number): Together {
  const laid: Laid[] = [];
  let y = EDGE;
  for (let row = 0; row < drawn.length; row += columns) {
    const here = drawn.slice(row, row + columns);
    const high = Math.max(...here.map((d) => d.box.bottom));
    here.forEach((d, i) => {
      // On one line below, as they would lie on a table.
      laid.push({ drawn: d, x: EDGE + i * (room + 2 * EDGE + GAP), y: y + high - d.box.bottom });
    });
    y += high + LABEL;
  }
  return { laid, scale, height: y };
}

// The heads of all handles lie on one another.
function over(drawn: OpenKnife[], scale: number): Together {
  const x = Math.max(...drawn.map((d) => d.left[0]));
  const above = Math.max(...drawn.map((d) => d.left[1]));
  const below = Math.max(...drawn.map((d) => d.box.bottom - d.left[1]));
  return {
    laid: drawn.map((d) => ({ drawn: d, x: EDGE + x - d.left[0], y: EDGE + above - d.left[1] })),
    scale,
    height: above + below + 2 * EDGE,
  };
}
