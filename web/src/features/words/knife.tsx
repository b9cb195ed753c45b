import { useMemo, useRef } from "react";
import type { Book, Term, Words } from "../../api/types";
import type { Point } from "../../drawing/geometry";
import { drawOpen, type OpenKnife } from "../../drawing/open";
import { Shapes } from "../../drawing/shapes";
import { useWidth } from "../../ui/use-width";

const HEIGHT = 300;
const MARGIN = 16;

/** Below this many pixels to the millimetre numbers would lie on one another: only dots are drawn. */
const NUMBERED_FROM = 4.4;
const LARGEST = 7;

/** Where a word is found on the drawn knife. */
export function placeOf(drawn: OpenKnife, { at }: Term): Point | undefined {
  if (!at) return undefined;
  return at.blade ? drawn.blades[at.blade - 1]?.at(at.along, at.across) : drawn.at(at.along, at.across);
}

/** The knife on which words have their numbers; the one in hand stands out. */
export function KnifeOfWords({
  words,
  book,
  numbers,
  chosen,
  onChoose,
}: {
  words: Words;
  book: Book;
  numbers: Map<string, number>;
  chosen: string | undefined;
  onChoose: (id: string) => void;
}) {
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box, 800);
  const drawn = useMemo(
    () => drawOpen(words.sketch, book, width - 2 * MARGIN, HEIGHT - 2 * MARGIN, LARGEST),
    [words, book, width],
  );
  const isNumbered = drawn.scale >= NUMBERED_FROM;
  // The one in hand last, so that it lies on top.
  const placed = words.terms.filter((t) => t.at).sort((a, b) => +(a.id === chosen) - +(b.id === chosen));
  return (
    <div ref={box} className="min-w-0 overflow-hidden">
      <svg
        width={width}
        height={drawn.box.bottom + 2 * MARGIN}
        viewBox={`${-MARGIN} ${-MARGIN} ${width} ${drawn.box.bottom + 2 * MARGIN}`}
        className="text-ink"
        role="img"
        aria-label="A jack of two blades, open, with the number of each word at its place"
      >
        {[...drawn.blades].reverse().map((b, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a blade is known by its place
          <Shapes key={i} shapes={b.shapes} />
        ))}
        <Shapes shapes={drawn.handle} />
        {placed.map((t) => (
          <Spot
            key={t.id}
            at={placeOf(drawn, t) as Point}
            number={isNumbered || t.id === chosen ? numbers.get(t.id) : undefined}
            word={t.word}
            isChosen={t.id === chosen}
            onChoose={() => onChoose(t.id)}
          />
        ))}
      </svg>
    </div>
  );
}

function Spot({
  at: [x, y],
  number,
  word,
  isChosen,
  onChoose,
}: {
  at: Point;
  number: number | undefined;
  word: string;
  isChosen: boolean;
  onChoose: () => void;
}) {
  const colour = isChosen ? "var(--color-blue)" : "currentColor";
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the same is done by the list, with any key
    <g className="cursor-pointer" onClick={onChoose}>
      <title>{word}</title>
      <circle
        cx={x}
        cy={y}
        r={number === undefined ? 3 : isChosen ? 10.5 : 8.5}
        fill={isChosen ? colour : "var(--color-paper)"}
        stroke={colour}
        strokeWidth="1.1"
      />
      {number !== undefined && (
        <text
          x={x}
          y={y + 4}
          textAnchor="middle"
          fontSize="11"
          fontWeight="600"
          fill={isChosen ? "var(--color-paper)" : colour}
        >
          {number}
        </text>
      )}
    </g>
  );
}
