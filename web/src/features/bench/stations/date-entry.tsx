import { api } from "../../../api/client";
import type { Problem } from "../../../api/types";
import { TextField } from "../../../ui/text-field";
import { useRead } from "./use-read";

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
  const { typed, onCommit } = useRead(label, api.date, (read) => onChange(read?.edtf));
  return (
    <TextField
      label={label}
      problem={typed?.problem ?? problem}
      placeholder={placeholder}
      value={typed?.text ?? value}
      onCommit={onCommit}
    />
  );
}
