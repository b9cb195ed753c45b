import { type ComponentProps, useEffect, useRef, useState } from "react";

/** What a field needs to take readings of an instrument. */
export interface Readings {
  reads: string;
  onRead: () => void;
  onReading: (reading: string) => void;
  onLeave: () => void;
  told?: string;
}

/** No hand types as fast as a wedge instrument does: milliseconds from key to key. */
const WEDGE_MS = 30;

/**
 * A line of text that keeps what is being typed to itself and hands it over on Enter or when left.
 * Enter gives the keys back to the page, but stays for the next reading of a wedge instrument. Escape
 * takes back what was not handed over.
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
  const lastKey = useRef(0);
  // What is being typed stays, though what is kept comes to be shown otherwise meanwhile.
  const isTyping = useRef(false);
  useEffect(() => {
    if (!isTyping.current) setTyped(value);
  }, [value]);
  const commit = () => {
    isTyping.current = false;
    if (typed !== value) onCommit(typed);
  };
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
      onChange={(e) => {
        isTyping.current = true;
        setTyped(e.target.value);
      }}
      onFocus={(e) => readings && e.target.select()}
      onBlur={() => {
        commit();
        readings?.onLeave();
      }}
      onKeyDown={(e) => {
        const since = e.timeStamp - lastKey.current;
        lastKey.current = e.timeStamp;
        if (e.key === "F2" && readings) {
          e.preventDefault();
          readings.onRead();
        }
        if (e.key === "Enter") {
          if (readings && since < WEDGE_MS) {
            commit();
            e.currentTarget.select();
          } else e.currentTarget.blur();
        }
        if (e.key === "Escape" && typed !== value) {
          e.preventDefault();
          isTyping.current = false;
          setTyped(value);
        }
      }}
    />
  );
}
