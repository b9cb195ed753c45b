import { useQuery } from "@tanstack/react-query";
import { api } from "../../api/client";

/** Places and tags that are in use already, to choose from. */
export function useKnown(): { places: string[]; tags: string[] } {
  const all = useQuery({
    queryKey: ["tray", "search", "", [], "filing"],
    queryFn: ({ signal }) => api.search("", [], signal),
  });
  const of = (facet: string) =>
    all.data?.facets.find((f) => f.id === facet)?.values.map((v) => v.value) ?? [];
  return { places: of("lies"), tags: of("tag") };
}
