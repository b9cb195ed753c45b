import { useCallback, useEffect, useRef, useState } from "react";
import { type Asked, enter, type NotTaken, now, send } from "./line";

const LOOK_AGAIN_MS = 4000;
const LET_IN_NO_MORE = [403, 410];

/** A photograph that was taken, and how far it has come. */
export interface Taken {
  id: number;
  picture: Blob;
  url: string;
  role: string;
  /** From 0 to 1 while it is on its way. */
  sent: number;
  state: "waiting" | "sending" | "kept" | "refused";
  why?: string;
}

/** The line to the bench: lets this phone in, follows what is wanted, sends one photograph at a time. */
export function useLine() {
  const { asked, failure, isOver } = useAsked();
  const [taken, setTaken] = useState<Taken[]>([]);
  const set = useCallback(
    (id: number, change: Partial<Taken>) =>
      setTaken((all) => all.map((t) => (t.id === id ? { ...t, ...change } : t))),
    [],
  );
  useSending(taken, set);
  const take = (pictures: File[], role: string) =>
    setTaken((all) => [
      ...pictures.map((picture, i) => ({
        id: all.length + i,
        picture,
        url: URL.createObjectURL(picture),
        role,
        sent: 0,
        state: "waiting" as const,
      })),
      ...all,
    ]);
  const again = (id: number) => set(id, { state: "waiting", why: undefined });
  return { asked, failure, isOver, taken, take, again };
}

/** Lets this phone in with its code, then looks every few seconds what is wanted. */
function useAsked() {
  const [asked, setAsked] = useState<Asked>();
  const [failure, setFailure] = useState<NotTaken>();
  const code = useRef(location.hash.slice(1));
  const isOver = failure !== undefined && LET_IN_NO_MORE.includes(failure.status);
  const isAsking = useRef(false);
  const look = useCallback(async () => {
    if (isAsking.current) return;
    isAsking.current = true;
    const given = code.current;
    code.current = "";
    try {
      setAsked(await (given ? enter(given) : now()));
      setFailure(undefined);
      // What let this phone in once is worth nothing now, and need not stand in the address.
      if (given) history.replaceState(null, "", "/");
    } catch (e) {
      const refusal = e as NotTaken;
      if (refusal.status === 0) code.current = given;
      setFailure(refusal);
    } finally {
      isAsking.current = false;
    }
  }, []);
  useEffect(() => {
    if (isOver) return;
    look();
    const timer = setInterval(look, LOOK_AGAIN_MS);
    return () => clearInterval(timer);
  }, [look, isOver]);
  return { asked, failure, isOver };
}

/** Sends one photograph at a time, the next that waits. */
function useSending(taken: Taken[], set: (id: number, change: Partial<Taken>) => void) {
  const next = taken.find((t) => t.state === "waiting");
  const isSending = taken.some((t) => t.state === "sending");
  useEffect(() => {
    if (!next || isSending) return;
    set(next.id, { state: "sending", sent: 0 });
    send(next.picture, next.role, (sent) => set(next.id, { sent }))
      .then(() => set(next.id, { state: "kept", sent: 1 }))
      .catch((e: NotTaken) => set(next.id, { state: "refused", why: e.message }));
  }, [next, isSending, set]);
}
