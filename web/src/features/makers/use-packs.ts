import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, Refused } from "../../api/client";
import type { MakersPack } from "../../api/types";
import { useAttempt } from "../../ui/use-attempt";
import type { Looked } from "./looked-at";

/** Packs looked at, added, switched and removed. */
export function usePacks() {
  const queries = useQueryClient();
  // With other references every verdict may be another.
  const attempt = useAttempt(() => queries.invalidateQueries());
  const { looked, setLooked, isReading, look } = useLooking();
  return {
    looked,
    close: () => setLooked(undefined),
    isReading,
    look,
    add: async (file: File) => {
      setLooked(undefined);
      await attempt(() => api.bringPack(file, true), `${file.name} is on the shelf.`);
    },
    turn: (p: MakersPack, on: boolean) =>
      attempt(() => api.switchPack(p.id, on), `${p.title} ${on ? "is in use again." : "is switched off."}`),
    remove: async (p: MakersPack) => {
      const kept = await (await fetch(`/api/packs/${p.id}`)).blob();
      const again = new File([kept], `${p.id}.yaml`);
      await attempt(
        () => api.removePack(p.id),
        `${p.title} was removed.`,
        () => api.bringPack(again, true),
      );
    },
  };
}

/** A file that is looked at before it is added. */
function useLooking() {
  const [looked, setLooked] = useState<Looked>();
  const [isReading, setReading] = useState(false);
  const look = async (file: File) => {
    setReading(true);
    try {
      setLooked({ file, brought: await api.bringPack(file, false), problems: [] });
    } catch (e) {
      const problems = e instanceof Refused ? e.problems : [];
      setLooked({ file, problems, message: (e as Error).message });
    }
    setReading(false);
  };
  return { looked, setLooked, isReading, look };
}
