import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api } from "../../api/client";
import type { Specimen } from "../../api/types";

/** The story held against the knife; what was worked out last stands while it is worked out anew. */
export const useStory = (specimen: Specimen | undefined) =>
  useQuery({
    queryKey: ["story", specimen],
    queryFn: ({ signal }) => api.story({ specimen: specimen as Specimen }, signal),
    enabled: specimen !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
  });
