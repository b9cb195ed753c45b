import type { ComponentProps } from "react";

export interface Option {
  id: string;
  label: string;
}

/** The sign of a control that opens a list. */
export function Opens({ className }: { className?: string }) {
  return (
    <svg width="9" height="6" viewBox="0 0 9 6" aria-hidden="true" className={className}>
      <path d="M.8.8 4.5 4.6 8.2.8" fill="none" stroke="currentColor" strokeWidth="1.6" />
    </svg>
  );
}

/** A choice from a list; nothing chosen is shown as such and never as a value. */
export function Select({
  value,
  options,
  nothing,
  onChange,
  ...rest
}: {
  value: string | undefined;
  options: Option[];
  nothing: string;
  onChange: (id: string | undefined) => void;
} & Omit<ComponentProps<"select">, "value" | "onChange">) {
  return (
    <span className={`relative block min-w-0 ${rest.className ?? ""}`}>
      <select
        {...rest}
        className="entry"
        value={value ?? ""}
        data-empty={value === undefined}
        onChange={(e) => onChange(e.target.value || undefined)}
      >
        <option value="">{nothing}</option>
        {options.map((o) => (
          <option key={o.id} value={o.id}>
            {o.label}
          </option>
        ))}
      </select>
      <Opens className="pointer-events-none absolute top-[0.8125rem] right-1" />
    </span>
  );
}
