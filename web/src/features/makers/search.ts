import type { OneMaker } from "../../api/types";

const plain = (s: string) => s.normalize("NFD").replace(/\p{M}/gu, "").toLowerCase();

/** Whether a maker has the text in its name, its place, its history or in any of its marks. */
export function holds(maker: OneMaker, text: string): boolean {
  const told = [maker.name, maker.place, maker.region, maker.note];
  return told.some((t) => plain(t).includes(plain(text))) || maker.marks.some((m) => marked(m, text));
}

/** Whether a mark has the text in one of its lines. */
export function marked(mark: OneMaker["marks"][number], text: string): boolean {
  return text !== "" && [...mark.lines, ...mark.pile].some((l) => plain(l).includes(plain(text)));
}
