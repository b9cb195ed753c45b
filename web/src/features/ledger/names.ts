import { useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import { api } from "../../api/client";
import type { LedgerLot } from "../../api/types";
import { titleBy } from "../../format";
import { usePreferences } from "../../preferences";

type Holding = LedgerLot["knives"][number];

/** What knives of the ledger are called: as in the tray, else as the ledger has it. */
export function useNames() {
  const { school } = usePreferences();
  const tray = useQuery({ queryKey: ["tray"], queryFn: () => api.tray() });
  const byId = useMemo(
    () =>
      new Map(
        (tray.data ?? []).map((k) => [
          k.id,
          `${k.number} ${k.title ?? (k.summary ? titleBy(school, k.summary) : "a knife")}`,
        ]),
      ),
    [tray.data, school],
  );
  const idOf = (called: string) => [...byId].find(([, name]) => name === called)?.[0];
  const nameOf = (h: Pick<Holding, "knife" | "name">) =>
    (h.knife && byId.get(h.knife)) || h.name || "a knife without a name";
  /** Its id, where it still lies in the tray. */
  const hereOf = (h: Pick<Holding, "knife">) => (h.knife && byId.has(h.knife) ? h.knife : undefined);
  return { hereOf, all: [...byId.values()], idOf, nameOf };
}
