import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useToast } from "../ui/toasts";
import { api } from "./client";
import type { Grading, OwnSchools } from "./types";

export const gradingQuery = {
  queryKey: ["grading"],
  queryFn: () => api.grading(),
  staleTime: Number.POSITIVE_INFINITY,
};

/** How the collection judges, as it is sent back. */
export const choiceOf = (grading: Grading): OwnSchools => ({
  heads: grading.heads,
  own: grading.schools.filter((s) => !s.shipped).map((s) => s.school),
});

/** How this collection judges condition, and ways to have it judge otherwise. */
export function useGrading() {
  const queries = useQueryClient();
  const toast = useToast();
  const { data, error, refetch } = useQuery(gradingQuery);
  // Chosen at once, with the click; what the server says of it comes a moment later.
  const [chosen, setChosen] = useState<string>();
  const grading = data && chosen ? { ...data, heads: chosen } : data;
  const judge = async (choice: OwnSchools) => {
    queries.setQueryData(gradingQuery.queryKey, await api.judge(choice));
    // Every grade in the tray is another now.
    await queries.invalidateQueries({ queryKey: ["tray"] });
  };
  const head = async (school: string) => {
    if (!data) return;
    const before = choiceOf(data);
    setChosen(school);
    try {
      await judge({ ...before, heads: school });
      const label = data.schools.find((s) => s.school.id === school)?.school.label;
      toast(`${label} heads every page of this collection.`, () => judge(before));
    } catch (e) {
      toast(`The school stays as it was. ${(e as Error).message}`);
    } finally {
      setChosen(undefined);
    }
  };
  return { grading, error, refetch, judge, head };
}
