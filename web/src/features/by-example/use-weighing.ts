import { keepPreviousData, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Refused } from "../../api/client";
import { useOwnReferences } from "../../api/own";
import { type Source, useSource } from "./known-from";

/** Fewer examples tell nothing. */
const FEWEST = 2;

/** What is asked of the ways there may be, and how one of them is put on file. */
export interface Weighed<Told, Way> {
  queryKey: unknown[];
  examples: number;
  weigh: () => Promise<Told>;
  ways: (told: Told) => Way[];
  file: (way: Way, known: Source) => Promise<unknown>;
  /** Said once it is on file. */
  done: string;
}

/** Ways weighed while examples are written, the one chosen, and the press that puts it on file. */
export function useWeighing<Told, Way>(of: Weighed<Told, Way>, onClose: () => void) {
  const [chosen, setChosen] = useState(0);
  const [known, setKnown] = useSource();
  const [failed, setFailed] = useState<Error>();
  const { turn, undo } = useOwnReferences();
  const queries = useQueryClient();
  const weighing = {
    queryKey: of.queryKey,
    queryFn: of.weigh,
    staleTime: Number.POSITIVE_INFINITY,
    retry: false,
  };
  const isEnough = of.examples >= FEWEST;
  const look = useQuery({ ...weighing, enabled: isEnough, placeholderData: keepPreviousData });
  const told = isEnough && !look.isError ? look.data : undefined;
  const among = (ways: Way[]) => ways[Math.min(chosen, ways.length - 1)];
  // What was still being typed when one pressed is weighed first.
  const keep = async () => {
    setFailed(undefined);
    try {
      const kept = await of.file(among(of.ways(await queries.fetchQuery(weighing))) as Way, known);
      onClose();
      await turn(Promise.resolve(kept), of.done, undo);
    } catch (e) {
      setFailed(e as Error);
    }
  };
  return {
    isEnough,
    isWeighing: look.isFetching,
    refused: look.isError ? look.error.message : undefined,
    told,
    way: told && among(of.ways(told)),
    choose: setChosen,
    problems: [look.error, failed].flatMap((e) => (e instanceof Refused ? e.problems : [])),
    known,
    setKnown,
    failed,
    keep,
  };
}
