import type { MakersPack } from "../../api/types";

/** What a fact is known from, in brackets behind it. */
export const sourceOf = (pack: MakersPack, id: string) => {
  const source = pack.sources.find((s) => s.id === id);
  return source ? `(${source.label})` : "";
};
