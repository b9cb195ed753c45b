import { useQueryClient } from "@tanstack/react-query";
import { api } from "../../api/client";
import { useToast } from "../../ui/toasts";

/** So many knives go in one request. */
const AT_ONCE = 2000;

type Change = Omit<Parameters<typeof api.file>[0], "ids">;

/** Moves and sorts several knives at once, with one way back for all of them. */
export function useFiling() {
  const queries = useQueryClient();
  const toast = useToast();
  const again = () => queries.invalidateQueries({ queryKey: ["tray"] });
  return async (ids: string[], change: Change, done: string) => {
    const before: Awaited<ReturnType<typeof api.file>> = [];
    const back = async () => {
      try {
        for (let at = 0; at < before.length; at += AT_ONCE)
          await api.setFiling(before.slice(at, at + AT_ONCE));
      } catch (e) {
        toast(`They could not be put back. ${(e as Error).message}`);
      }
      again();
    };
    try {
      for (let at = 0; at < ids.length; at += AT_ONCE)
        before.push(...(await api.file({ ids: ids.slice(at, at + AT_ONCE), ...change })));
      toast(done, back);
    } catch (e) {
      const why = (e as Error).message;
      if (before.length > 0) toast(`${before.length} of ${ids.length} are changed. ${why}`, back);
      else toast(`Nothing was changed. ${why}`);
    }
    again();
  };
}
