import type { Specimen } from "./types";

/** A knife of which nothing was looked at yet. */
export const unseen = (begins: { title?: string; note?: string } = {}): Specimen => ({
  ...begins,
  blades: [],
  care: [],
  codes: [],
  registered: [],
  hallmarks: [],
  comparables: [],
  condition: {},
  marks: [],
  measured: {},
  notFound: [],
  tags: [],
  seen: {},
  story: [],
});
