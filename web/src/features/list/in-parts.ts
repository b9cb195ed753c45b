import type { ListTold } from "../../api/types";

/** One part of a list: what became of the rows from here on. */
export type Part = (from: number, signal: AbortSignal) => Promise<ListTold>;

/** What became of all rows so far, as one. */
export interface Whole extends ListTold {
  /** How many rows have been gone over. */
  done: number;
}

/** Goes over a list part by part, until the end or until it is stopped; tells after each part. */
export async function inParts(part: Part, signal: AbortSignal, onPart: (so: Whole) => void): Promise<Whole> {
  let so: Whole | undefined;
  for (let from: number | undefined = 0; from !== undefined; from = so.next) {
    const told = await part(from, signal);
    signal.throwIfAborted();
    so = so
      ? {
          ...told,
          told: [...so.told, ...told.told],
          kept: so.kept + told.kept,
          done: so.done + told.told.length,
        }
      : { ...told, done: told.told.length };
    onPart(so);
  }
  return so as Whole;
}

/** How many rows are knives that are not in the tray yet. */
export const anew = (so: ListTold): number => so.told.filter((r) => !r.known).length;
