import { useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import { api } from "./client";
import type { ReadableEntry } from "./types";

/** The knives of the tray that can be read, by number. */
export function useByNumber(): Map<number, ReadableEntry> {
  const tray = useQuery({ queryKey: ["tray"], queryFn: () => api.tray() });
  return useMemo(
    () =>
      new Map(
        (tray.data ?? [])
          .filter((k): k is ReadableEntry => Boolean(k.summary && k.sketch))
          .map((k) => [k.number, k] as const),
      ),
    [tray.data],
  );
}
