import { useQueryClient } from "@tanstack/react-query";
import { api } from "../../api/client";
import type { TrayEntry } from "../../api/types";
import { titleBy } from "../../format";
import { usePreferences } from "../../preferences";
import { useToast } from "../../ui/toasts";

/** Takes a knife out of the tray, with a way back. */
export function useTakingOut() {
  const queries = useQueryClient();
  const toast = useToast();
  const { school } = usePreferences();
  return async (k: TrayEntry) => {
    const name = k.title ?? (k.summary ? titleBy(school, k.summary) : `Knife ${k.number}`);
    try {
      await api.remove(k.id);
      await queries.invalidateQueries({ queryKey: ["tray"] });
      toast(`${name} taken out of the tray.`, async () => {
        await api.restore(k.id);
        queries.invalidateQueries({ queryKey: ["tray"] });
      });
    } catch (e) {
      toast(`It is still in the tray. ${(e as Error).message}`);
    }
  };
}
