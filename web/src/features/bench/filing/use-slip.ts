import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, Refused } from "../../../api/client";
import type { MarkSlip, Specimen } from "../../../api/types";

/** What stands on a slip, whether or not it is all there yet. */
export type Draft = Partial<MarkSlip>;

/** A slip as it is filled in, and what filing it would do, told while one writes. */
export function useSlip(specimen: Specimen, first: Draft) {
  const [slip, setSlip] = useState(first);
  const [failed, setFailed] = useState<Error>();
  const look = useQuery({
    queryKey: ["own-look", specimen, slip],
    queryFn: ({ signal }) => api.lookMark(specimen, slip, signal),
    placeholderData: keepPreviousData,
    retry: false,
  });
  const isRefused = failed instanceof Refused && failed.problems.length > 0;
  return {
    slip,
    set: (what: Draft) => {
      setSlip((now) => ({ ...now, ...what }));
      if (!isRefused) setFailed(undefined);
    },
    does: look.data?.filed,
    // What is still missing is no mistake before one tries to keep it; from then on it goes as it is mended.
    problems: (isRefused && look.data?.problems) || [],
    /** Why it could not be kept, where that is no matter of what is written. */
    message: isRefused ? undefined : failed?.message,
    setFailed,
  };
}
