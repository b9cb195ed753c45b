import { useState } from "react";
import { api, Refused } from "../../../api/client";
import type { Problem } from "../../../api/types";
import { useEntry } from "../../../ui/form-entries";
import { TextField } from "../../../ui/text-field";

/** A date as people write it, "c. 1936" or "14.5.1936". What it means the server says. */
export function DateEntry({
  label,
  value,
  placeholder,
  problem,
  onChange,
}: {
  label: string;
  value: string | undefined;
  placeholder: string;
  problem: Problem | undefined;
  onChange: (edtf: string | undefined) => void;
}) {
  const [typed, show] = useState<{ text: string; problem: Problem }>();
  const entry = useEntry();
  const setTyped = (wrong?: { text: string; problem: Problem }) => {
    entry.isUnderstood(!wrong);
    show(wrong);
  };
  const commit = async (text: string | undefined) => {
    if (!text) {
      setTyped();
      return onChange(undefined);
    }
    try {
      const read = await api.date(text);
      setTyped();
      onChange(read.edtf);
    } catch (e) {
      const told = e instanceof Refused ? e.problems[0] : undefined;
      const accepted = told?.accepted ?? (e as Error).message;
      setTyped({ text, problem: { field: label, given: text, accepted } });
    }
  };
  return (
    <TextField
      label={label}
      problem={typed?.problem ?? problem}
      placeholder={placeholder}
      value={typed?.text ?? value}
      onCommit={(text) => entry.reads(commit(text))}
    />
  );
}
