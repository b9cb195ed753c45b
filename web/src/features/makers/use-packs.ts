import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, Refused } from "../../api/client";
import type { MakersPack } from "../../api/types";
import { useToast } from "../../ui/toasts";
import type { Looked } from "./looked-at";

/** Packs looked at, added, switched and removed. */
export function usePacks() {
  const queries = useQueryClient();
  const toast = useToast();
  const [looked, setLooked] = useState<Looked>();
  const [isReading, setReading] = useState(false);
  const attempt = async (done: Promise<unknown>, text: string, undo?: () => void) => {
    try {
      await done;
      toast(text, undo);
    } catch (e) {
      toast(`That could not be done. ${(e as Error).message}`);
    }
    // With other references every verdict may be another.
    queries.invalidateQueries();
  };
  const add = async (file: File) => {
    setLooked(undefined);
    await attempt(api.bringPack(file, true), `${file.name} is on the shelf.`);
  };
  return {
    looked,
    close: () => setLooked(undefined),
    isReading,
    look: async (file: File) => {
      setReading(true);
      try {
        setLooked({ file, brought: await api.bringPack(file, false), problems: [] });
      } catch (e) {
        const problems = e instanceof Refused ? e.problems : [];
        setLooked({ file, problems, message: (e as Error).message });
      }
      setReading(false);
    },
    add,
    turn: (p: MakersPack, on: boolean) =>
      attempt(api.switchPack(p.id, on), `${p.title} ${on ? "is in use again." : "is switched off."}`),
    remove: async (p: MakersPack) => {
      const kept = await (await fetch(`/api/packs/${p.id}`)).blob();
      const again = new File([kept], `${p.id}.yaml`);
      await attempt(api.removePack(p.id), `${p.title} was removed.`, () => add(again));
    },
  };
}
