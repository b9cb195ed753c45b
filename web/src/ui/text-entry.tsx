import { type ComponentProps, useEffect, useRef, useState } from "react";

/** What a field needs to take readings of an instrument. */
export interface Readings {
  reads: string;
  onRead: () => void;
  onReading: (reading: string) => void;
  onLeave: () => void;
  told?: string;
}

/**
 * A line of text that keeps what is being typed to itself and hands it over on Enter or when left.
 * Escape takes back what was not handed over.
 */
export function TextEntry({
  value,
  onCommit,
  readings,
  ...rest
}: { value: string; onCommit: (text: string) => void; readings?: Readings } & Omit<
  ComponentProps<"input">,
  "value" | "onChange"
>) {
  const [typed, setTyped] = useState(value);
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => setTyped(value), [value]);
  const commit = () => typed !== value && onCommit(typed);
  const latest = useRef(readings);
  latest.current = readings;
  useEffect(() => {
    const field = input.current;
    const take = (e: Event) => latest.current?.onReading((e as CustomEvent<string>).detail);
    field?.addEventListener("reading", take);
    return () => field?.removeEventListener("reading", take);
  }, []);
  return (
    <input
      {...rest}
      ref={input}
      data-reads={readings?.reads}
      className={`entry ${rest.className ?? ""}`}
      value={typed}
      data-empty={typed === ""}
      autoComplete="off"
      onChange={(e) => setTyped(e.target.value)}
      onFocus={(e) => readings && e.target.select()}
      onBlur={() => {
        commit();
        readings?.onLeave();
      }}
      onKeyDown={(e) => {
        if (e.key === "F2" && readings) {
          e.preventDefault();
          readings.onRead();
        }
        if (e.key === "Enter") {
          commit();
          if (readings) e.currentTarget.select();
        }
        if (e.key === "Escape") setTyped(value);
      }}
    />
  );
}
