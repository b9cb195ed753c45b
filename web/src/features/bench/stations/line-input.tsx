import { useEffect, useLayoutEffect, useRef, useState } from "react";
import { type Cell, cellsOf, doubted, edited, notation } from "../../../letters";

/** Long lines stand in smaller cells, so that all of them is seen. */
const CELL = "var(--cell)";
const LETTER = "calc(var(--cell) * 0.8333)";
const cellOf = (places: number) => `max(0.8rem, min(1.5rem, 100cqw / ${places}))`;

/** A line of letters struck in steel: typed like text, shown in cells with three squares for legibility. */
export function LineInput({ label, line, onCommit, onEnter }: OfLine) {
  const { cells, show, input } = useCells(line, onCommit);
  const places = Math.max(9, cells.length + 1);
  return (
    <div className="overflow-x-auto" style={{ containerType: "inline-size" }}>
      <div
        className="relative h-[2.6rem] overflow-hidden"
        style={{ ["--cell" as string]: cellOf(places), width: `calc(${places} * ${CELL})`, fontSize: LETTER }}
      >
        <input
          ref={input}
          aria-label={label}
          value={cells.map((c) => (c.letter === "_" ? "\u00b7" : c.letter)).join("")}
          maxLength={30}
          spellCheck={false}
          autoComplete="off"
          autoCapitalize="characters"
          className="absolute inset-0 h-full w-full pb-[0.6rem] bg-transparent font-steel text-[length:inherit]/8 font-semibold text-transparent uppercase caret-blue"
          style={{ letterSpacing: `calc(${CELL} - 1ch)`, paddingLeft: `calc((${CELL} - 1ch) / 2)` }}
          onChange={(e) => show(edited(cells, e.target.value))}
          onKeyDown={(e) => {
            const at = (e.currentTarget.selectionStart ?? 0) - 1;
            if (e.key === "?") {
              e.preventDefault();
              if (at >= 0) show(doubted(cells, at));
            } else if (e.key === "Enter") onEnter();
          }}
        />
        <Struck cells={cells} places={places} />
      </div>
    </div>
  );
}

interface OfLine {
  label: string;
  line: string;
  onCommit: (line: string) => void;
  onEnter: () => void;
}

function useCells(line: string, onCommit: (line: string) => void) {
  const [cells, setCells] = useState<Cell[]>(() => cellsOf(line));
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => setCells(cellsOf(line)), [line]);
  // Letters change as they are typed (small to capital, a point to a lost letter): the caret stays put.
  const caret = useRef<number | null>(null);
  useLayoutEffect(() => {
    if (caret.current !== null) input.current?.setSelectionRange(caret.current, caret.current);
    caret.current = null;
  });
  const show = (next: Cell[]) => {
    caret.current = input.current?.selectionStart ?? null;
    setCells(next);
    onCommit(notation(next));
  };
  return { cells, show, input };
}

function Struck({ cells, places }: { cells: Cell[]; places: number }) {
  return (
    <div className="pointer-events-none flex" aria-hidden="true">
      {Array.from({ length: places }, (_, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a cell is known by its place
        <LetterCell key={i} cell={cells[i]} />
      ))}
    </div>
  );
}

function LetterCell({ cell }: { cell: Cell | undefined }) {
  if (!cell || cell.letter === " ") return <span className="h-11 shrink-0" style={{ width: CELL }} />;
  const isLost = cell.letter === "_" || cell.letter === "*";
  const squares = isLost ? 0 : cell.doubtful ? 1 : 3;
  return (
    <span className="flex h-11 shrink-0 flex-col items-center" style={{ width: CELL }}>
      <span
        className={`font-steel leading-8 ${isLost ? "text-ink3" : cell.doubtful ? "text-ink2 italic" : "font-semibold"}`}
      >
        {cell.letter === "_" ? "\u00b7" : cell.letter === "*" ? "\u2026" : cell.letter}
      </span>
      <span className="flex gap-[calc(var(--cell)*0.06)]">
        {[0, 1, 2].map((k) => (
          <span
            key={k}
            className={`size-[calc(var(--cell)*0.21)] border ${k < squares ? "border-ink bg-ink" : "border-edge"}`}
          />
        ))}
      </span>
    </span>
  );
}
