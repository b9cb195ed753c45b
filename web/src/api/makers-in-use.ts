import { useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import { api } from "./client";
import type { OneMaker } from "./types";

/** The makers that are in use, by name; of one that several packs tell of, the first. */
export function useMakersInUse(): OneMaker[] {
  const shelf = useQuery({ queryKey: ["makers"], queryFn: api.makers, staleTime: Number.POSITIVE_INFINITY });
  return useMemo(() => {
    const all = (shelf.data?.packs ?? []).filter((p) => p.on).flatMap((p) => p.makers);
    return [...new Map(all.toReversed().map((m) => [m.id, m])).values()].sort((a, b) =>
      a.name.localeCompare(b.name),
    );
  }, [shelf.data]);
}
