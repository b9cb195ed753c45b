import type { Problem } from "../api/types";
import { Field } from "./field";
import { type Readings, TextEntry } from "./text-entry";

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
  readings,
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
  readings?: Readings;
}) {
  return (
    <Field label={label} problem={problem} hint={readings?.told ?? hint} className={className}>
      {(ids) => (
        <span className="flex items-end gap-1.5">
          <TextEntry
            {...ids}
            className={entryClassName}
            placeholder={placeholder}
            maxLength={maxLength}
            value={value ?? ""}
            readings={readings}
            onCommit={(text) => onCommit(text.trim() || undefined)}
          />
          {readings && (
            <button
              type="button"
              tabIndex={-1}
              title="F2 in the field"
              className="min-h-6 shrink-0 text-[0.78125rem] text-ink2 hover:underline"
              aria-label={`Read the instrument into ${label}`}
              onClick={readings.onRead}
            >
              read
            </button>
          )}
        </span>
      )}
    </Field>
  );
}
