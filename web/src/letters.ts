/** A line of a mark as cells: what is typed stays one character a cell, legibility goes beside it. */
export interface Cell {
  letter: string;
  doubtful: boolean;
}

/** From the notation of the open format: `?` after a doubtful letter, `_` lost, `*` a stretch. */
export function cellsOf(line: string): Cell[] {
  const cells: Cell[] = [];
  for (const c of line) {
    const last = cells.at(-1);
    if (c === "?" && last) last.doubtful = true;
    else cells.push({ letter: c, doubtful: false });
  }
  return cells;
}

/** As it is read on paper: a lost letter is a point, a stretch three. */
export const asRead = (line: string): string => line.replace(/_/g, "\u00b7").replace(/\*/g, "\u2026");

/** Back to the notation. */
export const notation = (cells: Cell[]): string =>
  cells.map((c) => (c.doubtful && /[^_* ]/.test(c.letter) ? `${c.letter}?` : c.letter)).join("");

/** Cells after the text was edited: what stayed at either end keeps its legibility. */
export function edited(cells: Cell[], typed: string): Cell[] {
  const text = [...typed.toUpperCase().replaceAll("?", "").replaceAll(".", "_").replaceAll("\u00b7", "_")];
  let head = 0;
  while (head < text.length && head < cells.length && text[head] === cells[head]?.letter) head++;
  let tail = 0;
  while (
    tail < text.length - head &&
    tail < cells.length - head &&
    text[text.length - 1 - tail] === cells[cells.length - 1 - tail]?.letter
  )
    tail++;
  return text.map((letter, i) => {
    if (i < head) return cells[i] as Cell;
    if (i >= text.length - tail) return cells[cells.length - (text.length - i)] as Cell;
    return { letter, doubtful: false };
  });
}

/** The same cells with the one at a place doubted, or no longer. */
export const doubted = (cells: Cell[], at: number): Cell[] =>
  cells.map((c, i) => (i === at ? { ...c, doubtful: !c.doubtful } : c));
