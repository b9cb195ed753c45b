import { createContext, useCallback, useContext, useEffect, useId, useRef, useState } from "react";

interface Entries {
  /** What was typed and is being read by the server. */
  reading: Set<Promise<unknown>>;
  /** Fields in which something stands that was not understood, and is not in the form therefore. */
  unread: Set<string>;
}

const Context = createContext<Entries | undefined>(undefined);

export const FormEntries = Context.Provider;

/**
 * A form whose fields may take a moment to be read. Before it is sent it is asked for what it holds: then all
 * that was typed is in it, or nothing is handed out, because a field says that it was not understood.
 */
export function useFormEntries<S>(initial: S) {
  const [holds, setHolds] = useState(initial);
  const latest = useRef(holds);
  const entries = useRef<Entries>({ reading: new Set(), unread: new Set() });
  const change = useCallback((to: (now: S) => S) => {
    latest.current = to(latest.current);
    setHolds(latest.current);
  }, []);
  const settled = async (): Promise<S | undefined> => {
    const { reading, unread } = entries.current;
    while (reading.size > 0) await Promise.allSettled([...reading]);
    if (unread.size === 0) return latest.current;
    // The field says so a moment later.
    setTimeout(
      () => document.querySelector<HTMLElement>("[role='dialog'] [aria-invalid='true']")?.focus(),
      50,
    );
    return undefined;
  };
  return { holds, change, entries: entries.current, settled };
}

/** For a field: notes that something is being read, and whether what stands in it was not understood. */
export function useEntry() {
  const form = useContext(Context);
  const id = useId();
  useEffect(
    () => () => {
      form?.unread.delete(id);
    },
    [form, id],
  );
  return {
    reads: (reading: Promise<unknown>) => {
      form?.reading.add(reading);
      const done = () => form?.reading.delete(reading);
      reading.then(done, done);
    },
    isUnderstood: (so: boolean) => {
      if (so) form?.unread.delete(id);
      else form?.unread.add(id);
    },
  };
}
