import { useState } from "react";
import { Refused } from "../../../api/client";
import type { Problem } from "../../../api/types";
import { useEntry } from "../../../ui/form-entries";

/** What is typed and read by the server: what was not understood stays as it was typed, with its problem. */
export function useRead<T>(
  label: string,
  read: (text: string) => Promise<T>,
  onRead: (told: T | undefined) => void,
) {
  const [typed, setTyped] = useState<{ text: string; problem: Problem }>();
  const entry = useEntry();
  const show = (wrong?: { text: string; problem: Problem }) => {
    entry.isUnderstood(!wrong);
    setTyped(wrong);
  };
  const take = async (text: string | undefined) => {
    if (!text) {
      show();
      return onRead(undefined);
    }
    try {
      const told = await read(text);
      show();
      onRead(told);
    } catch (e) {
      const refused = e instanceof Refused ? e.problems[0] : undefined;
      const accepted = refused?.accepted ?? (e as Error).message;
      show({ text, problem: { field: label, given: text, accepted } });
    }
  };
  return { typed, onCommit: (text: string | undefined) => entry.reads(take(text)) };
}
