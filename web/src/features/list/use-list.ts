import { useEffect, useRef, useState } from "react";
import { api } from "../../api/client";
import { inParts, type Whole } from "./in-parts";

interface Asked {
  file: File;
  currency: string;
  /** What each column is; empty to find out. */
  columns: string[];
}

type Work = "looking" | "taking-in" | undefined;

/** A list that is gone over part by part, with how far it is; what is begun anew stops what went before. */
export function useList() {
  const [so, setSo] = useState<Whole>();
  const [work, setWork] = useState<Work>();
  const [error, setError] = useState<Error>();
  const running = useRef<AbortController>(undefined);

  const go = async (what: Work, asked: Asked, batch?: string): Promise<Whole | undefined> => {
    running.current?.abort();
    const mine = new AbortController();
    running.current = mine;
    setWork(what);
    setError(undefined);
    try {
      return await inParts(
        (from, signal) => api.knivesTable(asked.file, { ...asked, from, batch }, signal),
        mine.signal,
        setSo,
      );
    } catch (e) {
      if (!mine.signal.aborted) setError(e as Error);
      return undefined;
    } finally {
      if (running.current === mine) setWork(undefined);
    }
  };
  const stop = () => running.current?.abort();
  useEffect(() => () => running.current?.abort(), []);
  return { so, work, error, go, stop };
}
