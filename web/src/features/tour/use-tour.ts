import { useQueryClient } from "@tanstack/react-query";
import { useRef } from "react";
import { useNavigate } from "react-router";
import { api } from "../../api/client";
import { useToast } from "../../ui/toasts";

const KEPT = "snikra.tour";

export const tourQuery = {
  queryKey: ["tour"],
  queryFn: () => api.tour(),
  staleTime: Number.POSITIVE_INFINITY,
};

/** Whether this knife is the one the tour is made with. */
export const isOnTour = (knife: string) => localStorage.getItem(KEPT) === knife;

export const endTour = () => localStorage.removeItem(KEPT);

/** Lays the knife of the tour on the bench. */
export function useTour() {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const toast = useToast();
  // The same until it was kept: pressed twice, one knife is laid out.
  const newId = useRef(crypto.randomUUID());
  return async () => {
    try {
      const { begins, steps } = await queries.ensureQueryData(tourQuery);
      const knife = await api.add(newId.current, begins);
      newId.current = crypto.randomUUID();
      localStorage.setItem(KEPT, knife.id);
      navigate(`/bench/${knife.id}?at=${steps[0]?.station}`);
    } catch (e) {
      toast(`The tour could not begin. ${(e as Error).message}`);
    }
  };
}
