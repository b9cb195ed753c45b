import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useToast } from "../ui/toasts";
import { api } from "./client";

export const stepsQuery = {
  queryKey: ["own-steps"],
  queryFn: () => api.ownSteps(),
  staleTime: Number.POSITIVE_INFINITY,
};

/** How the knife that is laid out on the bench is asked for. */
export const ON_THE_BENCH = "bench";

/** What the collector put on file, step by step, and the way back and forth along it. */
export function useOwnReferences() {
  const queries = useQueryClient();
  const toast = useToast();
  const { data: steps } = useQuery(stepsQuery);
  const turn = async (way: Promise<unknown>, text: string, back?: () => void) => {
    try {
      await way;
      toast(text, back);
    } catch (e) {
      toast(`That could not be done. ${(e as Error).message}`);
    }
    // With other references every verdict may be another; a knife on the bench is no other, and stays laid out.
    await queries.invalidateQueries({ predicate: ({ queryKey }) => queryKey[0] !== ON_THE_BENCH });
  };
  const undo = (): Promise<void> => turn(api.undoOwn(), "It is off the file again.", redo);
  const redo = (): Promise<void> => turn(api.redoOwn(), "It is on file again.", undo);
  return { steps, turn, undo, redo };
}
