import type { Problem } from "../api/types";
import { Field } from "./field";
import { TextEntry } from "./text-entry";

/** A labelled line of text; left empty it is nothing at all. */
export function TextField({
  label,
  value,
  onCommit,
  problem,
  hint,
  placeholder,
  maxLength = 120,
  className,
  entryClassName,
}: {
  label: string;
  value: string | undefined;
  onCommit: (text: string | undefined) => void;
  problem?: Problem;
  hint?: string;
  placeholder?: string;
  maxLength?: number;
  className?: string;
  entryClassName?: string;
}) {
  return (
    <Field label={label} problem={problem} hint={hint} className={className}>
      {(ids) => (
        <TextEntry
          {...ids}
          className={entryClassName}
          placeholder={placeholder}
          maxLength={maxLength}
          value={value ?? ""}
          onCommit={(text) => onCommit(text.trim() || undefined)}
        />
      )}
    </Field>
  );
}
