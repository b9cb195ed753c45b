import type { Seen } from "../../api/types";

/** An answer that goes with every question: it was looked at and could not be told. */
export const CANNOT_TELL = { id: "cannot-tell", label: "cannot tell" } as const;

/** What was seen, of any kind; without a value it could not be told. */
export interface SeenOf<T> {
  value?: T;
  sureness: Seen["sureness"];
  /** Other answers it may be, with their shares. */
  or?: Record<string, number>;
}

/** What is seen once this is answered: as sure as the answer before it. */
export const answered = <T extends string>(id: T, before: SeenOf<T> | undefined): SeenOf<T> =>
  id === CANNOT_TELL.id
    ? { sureness: CANNOT_TELL.id }
    : { value: id, sureness: before?.value ? before.sureness : "sure" };

/** Whether this is the answer that was given. */
export const isGiven = (id: string, seen: SeenOf<string> | undefined): boolean =>
  (seen?.sureness === CANNOT_TELL.id ? CANNOT_TELL.id : seen?.value) === id;
