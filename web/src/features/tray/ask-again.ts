import type { TrayEntry } from "../../api/types";

/** How many knives are still being worked out. */
export const leftOf = (tray: TrayEntry[] | undefined) =>
  (tray ?? []).filter((k) => k.pending || k.stale).length;

/** While knives are still being worked out the tray is asked for again, the more there are the more seldom. */
export const askAgain = (tray: TrayEntry[] | undefined) =>
  leftOf(tray) > 0 ? 1000 + Math.min(9000, (tray ?? []).length) : false;
