import { useQuery } from "@tanstack/react-query";
import { api } from "../../api/client";
import type { Readings } from "../../api/types";

/** What the server makes of several readings of one thing, in words. */
export function meanWords({ count, mean, unit }: Readings): string {
  if (!mean || !unit) return `${count} readings`;
  const digits = Math.max(1, Math.ceil(-Math.log10(mean.spread || 1)));
  return `${count} readings: mean ${mean.mean.toFixed(digits)} ${unit}, spread ${mean.spread.toFixed(digits)}`;
}

/** The mean of readings that stand in a field; nothing for fewer than two or where one cannot be read. */
export function useMean(readings: string[]): string | undefined {
  const several = readings.length > 1;
  const mean = useQuery({
    queryKey: ["mean", ...readings],
    queryFn: () => api.mean(readings),
    enabled: several,
    retry: false,
    staleTime: Number.POSITIVE_INFINITY,
  });
  return several && mean.data ? meanWords(mean.data) : undefined;
}
