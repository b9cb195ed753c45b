import type { ComponentProps } from "react";

export interface Option {
  id: string;
  label: string;
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
    <select
      {...rest}
      className={`entry ${rest.className ?? ""}`}
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
  );
}
