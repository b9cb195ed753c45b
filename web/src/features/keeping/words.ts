import type { Backup } from "../../api/types";

/** Why a copy was made. */
export const REASONS: Record<Backup["reason"], string> = {
  "by-hand": "asked for",
  daily: "daily",
  "before-upgrade": "before an upgrade",
  "before-restore": "before a copy was brought back",
};

/** A moment as the reader's locale writes it. */
export const moment = (iso: string) =>
  new Intl.DateTimeFormat(undefined, { dateStyle: "medium", timeStyle: "short" }).format(new Date(iso));

/** A day as the reader's locale writes it. */
export const day = (iso: string) =>
  new Intl.DateTimeFormat(undefined, { dateStyle: "medium" }).format(new Date(iso));
