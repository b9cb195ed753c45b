import type { Backup } from "../../api/types";

/** Why a copy was made. */
export const REASONS: Record<Backup["reason"], string> = {
  "by-hand": "asked for",
  daily: "daily",
  "before-upgrade": "before an upgrade",
  "before-restore": "before a copy was brought back",
  "before-parcel": "before a collection was brought",
};

/** A moment as the reader's locale writes it. */
export const moment = (iso: string) =>
  new Intl.DateTimeFormat(undefined, { dateStyle: "medium", timeStyle: "short" }).format(new Date(iso));

/** A day as the reader's locale writes it. */
export const day = (iso: string) =>
  new Intl.DateTimeFormat(undefined, { dateStyle: "medium" }).format(new Date(iso));

/** How the knives of a collection that is brought stand to those here, in the order they are told. */
export const STANDINGS: Record<string, string> = {
  new: "not here yet: added",
  "theirs-newer": "changed there alone: theirs is taken",
  "both-changed": "changed here and there: for you to say",
  "ours-newer": "changed here alone: left as here",
  "taken-out": "taken out of the tray here: left out",
  same: "the same in both",
};

/** Entries of the books of a collection. */
export const BOOKS: Record<string, string> = {
  sale: "sales",
  ledger_revision: "ledger entries",
  pack: "packs of makers",
  filed_step: "steps of your own references",
  grading: "ways of grading",
  schedule: "schedules",
  saved_search: "searches",
  want: "knives looked for",
  practice_round: "rounds of practice",
};
