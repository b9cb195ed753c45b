import { useState } from "react";
import { api, Refused } from "../../../api/client";
import type { Problem } from "../../../api/types";
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
  const [typed, setTyped] = useState<{ text: string; problem: Problem }>();
  const commit = async (text: string | undefined) => {
    if (!text) {
      setTyped(undefined);
      return onChange(undefined);
    }
    try {
      const read = await api.date(text);
      setTyped(undefined);
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
      onCommit={commit}
    />
  );
}
