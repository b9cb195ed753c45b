import { type ComponentProps, useEffect, useState } from "react";

/**
 * A line of text that keeps what is being typed to itself and hands it over on Enter or when left.
 * Escape takes back what was not handed over.
 */
export function TextEntry({
  value,
  onCommit,
  ...rest
}: { value: string; onCommit: (text: string) => void } & Omit<
  ComponentProps<"input">,
  "value" | "onChange"
>) {
  const [typed, setTyped] = useState(value);
  useEffect(() => setTyped(value), [value]);
  const commit = () => typed !== value && onCommit(typed);
  return (
    <input
      {...rest}
      className={`entry ${rest.className ?? ""}`}
      value={typed}
      data-empty={typed === ""}
      autoComplete="off"
      onChange={(e) => setTyped(e.target.value)}
      onBlur={commit}
      onKeyDown={(e) => {
        if (e.key === "Enter") commit();
        if (e.key === "Escape") setTyped(value);
      }}
    />
  );
}
