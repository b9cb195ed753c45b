import { useQueryClient } from "@tanstack/react-query";
import { api } from "../../api/client";
import type { TrayEntry } from "../../api/types";
import { titleBy } from "../../format";
import { usePreferences } from "../../preferences";
import { useToast } from "../../ui/toasts";

/** Takes knives out of the tray, with one way back for all of them. */
export function useTakingOut() {
  const queries = useQueryClient();
  const toast = useToast();
  const { school } = usePreferences();
  const nameOf = (k: TrayEntry) => k.title ?? (k.summary ? titleBy(school, k.summary) : `Knife ${k.number}`);
  return async (knives: TrayEntry[]) => {
    const out: TrayEntry[] = [];
    let refused = "";
    for (const k of knives) {
      try {
        await api.remove(k.id);
        out.push(k);
      } catch (e) {
        refused = (e as Error).message;
        break;
      }
    }
    await queries.invalidateQueries({ queryKey: ["tray"] });
    const whole = out.length === 1 ? nameOf(out[0] as TrayEntry) : `${out.length} knives`;
    const back = async () => {
      try {
        for (const k of out) await api.restore(k.id);
      } finally {
        queries.invalidateQueries({ queryKey: ["tray"] });
      }
    };
    if (out.length > 0) toast(`${whole} taken out of the tray.`, back);
    if (refused) toast(`${knives.length > 1 ? "The rest is" : "It is"} still in the tray. ${refused}`);
  };
}
