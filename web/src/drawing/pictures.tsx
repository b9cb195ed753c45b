import type { Answer, BladeType, Book, ConditionPoint, Frame, Question, Sketch } from "../api/types";
import type { PictureOption } from "../ui/picker";
import { type Along, blade, drawBlade } from "./blade";
import { placed } from "./geometry";
import { drawHandle, handleOf, type Shape } from "./handle";
import { Shapes } from "./shapes";

/** Small drawings of one kind and size, for choices that are made by looking. */

const WIDE = 78;
const HIGH = 26;

function Picture({ shapes, wide = WIDE, high = HIGH }: { shapes: Shape[]; wide?: number; high?: number }) {
  return (
    <svg width={wide} height={high} viewBox={`0 0 ${wide} ${high}`} aria-hidden="true">
      <Shapes shapes={shapes} />
    </svg>
  );
}

const BARE: Sketch = {
  closedLengthMm: 76,
  measured: true,
  blades: [],
  back: { springs: 1, counted: false, tangs: [] },
};

/** The outline given, whichever it is in the book. */
const FRAME = "x";

function handlePicture(book: Book, sketch: Partial<Sketch>, frame: Frame | undefined, scale = 1) {
  const frames = frame ? [{ ...frame, id: FRAME }] : [];
  const whole = handleOf(
    { ...BARE, closedLengthMm: 76 / scale, ...sketch, frame: FRAME },
    { ...book, frames },
  );
  const span = whole.y(whole.length / 2, 1) - whole.y(whole.length / 2, -1);
  const tall = Math.max(span, 12);
  const fit = Math.min(scale, (HIGH - 3) / tall);
  return (
    <Picture
      shapes={drawHandle(whole, placed(fit, [(WIDE / fit - whole.length) / 2, HIGH / 2 / fit]), 0.75, false)}
    />
  );
}

/** A blade or tool of one length, its tang at the left as it lies open on the mark side. */
export function bladePicture(type: BladeType, pull?: string, left?: Along) {
  const b = blade(type, 62);
  const heights = [...b.spine, ...b.edge].map((p) => p[1]);
  const tall = Math.max(...heights) - Math.min(...heights);
  const fit = Math.min(72 / (b.length + 6), (HIGH - 3) / tall);
  const middle = (Math.max(...heights) + Math.min(...heights)) / 2;
  return <Picture shapes={drawBlade(b, placed(fit, [7, HIGH / 2 / fit - middle]), 0.7, pull, true, left)} />;
}

export const bladeOptions = (book: Book): PictureOption[] =>
  book.blades.map((b) => ({
    id: b.id,
    label: b.name,
    also: b.alsoCalled,
    tell: `${b.recognise} ${b.use}`,
    picture: bladePicture(b),
  }));

export const frameOptions = (book: Book): PictureOption[] =>
  book.frames.map((f) => ({
    id: f.id,
    label: f.name,
    also: f.alsoCalled,
    tell: f.recognise,
    picture: handlePicture(book, { handle: PLAIN }, f),
  }));

const plain = (book: Book) => book.frames.find((f) => f.id === "equal-end") ?? book.frames[0];

export const bolsterOptions = (book: Book): PictureOption[] =>
  book.bolsters.map((b) => ({
    id: b.id,
    label: b.label.charAt(0).toUpperCase() + b.label.slice(1),
    tell: b.recognise,
    picture: handlePicture(book, { bolsters: b.id, handle: PLAIN }, plain(book)),
  }));

/** Textures on which a form or a surface shows well. */
const PLAIN = "flecks";
const JIGGED = "jigged";

/** How an answer is drawn, for questions that ask for a shape or a surface. */
const DRAWN: Record<string, (answer: string) => Partial<Sketch>> = {
  handle_material: (handle) => ({ handle, jigging: handle === JIGGED ? "deep-cross" : undefined }),
  jigging: (jigging) => ({ handle: JIGGED, jigging }),
  shield_shape: (shieldShape) => ({
    shield: shieldShape === "none" ? "none" : "glued",
    shieldShape,
    handle: PLAIN,
  }),
  shield_fixing: (shield) => ({ shield, shieldShape: "bar", handle: PLAIN }),
  bail: (bail) => ({ bail, bolsters: "both-ends", handle: PLAIN }),
};

/** The answers of a question as pictures, or nothing where words are all there is. */
export function answerOptions(book: Book, q: Question): PictureOption[] | undefined {
  const tell = (a: Answer) => [a.lookFor, a.test].filter(Boolean).join(" ");
  const draw = DRAWN[q.id];
  if (draw)
    return q.answers.map((a) => ({
      id: a.id,
      label: a.label,
      tell: tell(a),
      picture: handlePicture(book, draw(a.drawnAs ?? a.id), plain(book), q.id === "bail" ? 0.82 : 1),
    }));
  const outline = (id: string | undefined) => book.blades.find((b) => b.id === id);
  const pulls = q.id.endsWith("_pull");
  if (!pulls && q.answers.every((a) => !a.drawnAs)) return undefined;
  return q.answers.map((a) => {
    const type = outline(pulls ? "spear" : a.drawnAs);
    return {
      id: a.id,
      label: a.label,
      tell: tell(a),
      picture: type ? bladePicture(type, pulls ? a.id : undefined) : null,
    };
  });
}

/** What may be found of a blade, drawn on one; nothing where words are all there is. */
export function findingOptions(book: Book, point: ConditionPoint): PictureOption[] | undefined {
  const clip = book.blades.find((b) => b.id === "clip");
  if (!clip || point.findings.every((f) => !f.left)) return undefined;
  return point.findings.map((f) => ({
    id: f.id,
    label: f.label,
    tell: f.why,
    picture: f.left ? bladePicture(clip, undefined, f.left as unknown as Along) : null,
  }));
}
