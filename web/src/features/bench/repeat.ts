import type { Book, Specimen } from "../../api/types";
import type { Knife } from "./use-knife";

const KEY = "snikra.repeat";

interface Last {
  id: string;
  specimen: Specimen;
}

const read = (): Last[] => JSON.parse(sessionStorage.getItem(KEY) ?? "[]") as Last[];

/** Keeps the knife in hand and the one before it, so that the next can take over its choices. */
export function rememberLast(id: string, specimen: Specimen): void {
  const others = read().filter((l) => l.id !== id);
  sessionStorage.setItem(KEY, JSON.stringify([{ id, specimen }, ...others].slice(0, 2)));
}

/** Takes over what the knife before had at this station, where nothing has been looked at yet. */
export function repeatLast(knife: Knife, station: string, book: Book): void {
  const last = read()[1]?.specimen;
  if (last) knife.change((now) => repeated(now, last, station, book));
}

export function repeated(
  now: Specimen,
  last: Specimen,
  station: string,
  book: Pick<Book, "questions" | "condition">,
): Specimen {
  const next = { ...now };
  if (station === "pattern") {
    next.frame ??= last.frame;
    next.bolsters ??= last.bolsters;
    next.springs ??= last.springs;
  }
  if (station === "blades" && now.blades.length === 0)
    next.blades = last.blades.map((b) => ({ ...b, length: undefined, heights: [] }));
  const asked = book.questions.filter((q) => q.station === station && q.asked === "once").map((q) => q.id);
  next.seen = { ...pick(last.seen, asked), ...now.seen };
  const points = book.condition.points.filter((p) => p.station === station).map((p) => p.id);
  next.condition = { ...pick(last.condition, points), ...now.condition };
  return next;
}

const pick = <T>(all: Record<string, T>, keys: string[]): Record<string, T> =>
  Object.fromEntries(Object.entries(all).filter(([key]) => keys.includes(key)));
