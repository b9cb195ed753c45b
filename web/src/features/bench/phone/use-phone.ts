import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { api } from "../../../api/client";

const WATCH_MS = 1500;

/** What the phone is to photograph. */
export interface Wanted {
  role: string;
  blade?: number;
  face?: string;
}

/** The line to a phone: asked after while the sheet is open or one is in, never otherwise. */
export function usePhone(knife: string, isOpen: boolean) {
  const queries = useQueryClient();
  const state = useQuery({
    queryKey: ["phone"],
    queryFn: api.phone,
    enabled: ({ state }) => isOpen || state.data?.line !== undefined,
    refetchInterval: WATCH_MS,
  });
  const line = state.data?.line?.knife === knife ? state.data.line : undefined;
  const taken = line?.taken;
  useEffect(() => {
    if (taken) queries.invalidateQueries({ queryKey: ["photos", knife] });
  }, [taken, knife, queries]);
  const look = () => queries.invalidateQueries({ queryKey: ["phone"] });
  return {
    line,
    addresses: state.data?.addresses ?? [],
    isLoading: state.isLoading,
    error: state.error,
    begin: async (wanted: Wanted, address?: string) => {
      await api.letPhoneIn(knife, { ...wanted, address });
      await look();
    },
    end: async () => {
      await api.endPhone();
      await look();
    },
  };
}
