import type { Specimen } from "../../api/types";

/** What was entered and has not reached the server, by knife; it outlives the tab. */
const key = (id: string) => `snikra.unsaved.${id}`;

export function keep(id: string, specimen: Specimen): void {
  try {
    localStorage.setItem(key(id), JSON.stringify(specimen));
  } catch {
    // A full or closed store costs only this safety net: the save to the server goes on.
  }
}

export function recall(id: string): Specimen | undefined {
  try {
    const text = localStorage.getItem(key(id));
    return text ? (JSON.parse(text) as Specimen) : undefined;
  } catch {
    return undefined;
  }
}

export function forget(id: string): void {
  localStorage.removeItem(key(id));
}
