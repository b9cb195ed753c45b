import { useQuery } from "@tanstack/react-query";
import { api } from "./client";

/** All that can be chosen; it stays the same as long as the server runs. */
export const useBook = () =>
  useQuery({ queryKey: ["book"], queryFn: api.book, staleTime: Number.POSITIVE_INFINITY });

/** What a station is called at the bench. */
export function useStationName(): (id: string) => string {
  const { data } = useBook();
  return (id) => data?.stations.find((s) => s.id === id)?.name ?? id;
}
