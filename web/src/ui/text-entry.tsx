import { type ComponentProps, type KeyboardEvent, useEffect, useRef, useState } from "react";

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
export function TextEntry({ value, onCommit, readings, ...rest }: OfEntry) {
  const { typed, type, commit, takeBack } = useTyped(value, onCommit);
  const input = useReadingsInto(readings);
  const lastKey = useRef(0);
  const onKeyDown = (e: KeyboardEvent<HTMLInputElement>) => {
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
      takeBack();
    }
  };
  return (
    <input
      {...rest}
      ref={input}
      data-reads={readings?.reads}
      className={`entry ${rest.className ?? ""}`}
      value={typed}
      data-empty={typed === ""}
      autoComplete="off"
      onChange={(e) => type(e.target.value)}
      onFocus={(e) => readings && e.target.select()}
      onBlur={() => {
        commit();
        readings?.onLeave();
      }}
      onKeyDown={onKeyDown}
    />
  );
}

type OfEntry = { value: string; onCommit: (text: string) => void; readings?: Readings } & Omit<
  ComponentProps<"input">,
  "value" | "onChange"
>;

/** What is being typed stays, though what is kept comes to be shown otherwise meanwhile. */
function useTyped(value: string, onCommit: (text: string) => void) {
  const [typed, setTyped] = useState(value);
  const isTyping = useRef(false);
  useEffect(() => {
    if (!isTyping.current) setTyped(value);
  }, [value]);
  return {
    typed,
    type: (text: string) => {
      isTyping.current = true;
      setTyped(text);
    },
    commit: () => {
      isTyping.current = false;
      if (typed !== value) onCommit(typed);
    },
    takeBack: () => {
      isTyping.current = false;
      setTyped(value);
    },
  };
}

/** The field an instrument reads into, whichever takes its readings at the moment. */
function useReadingsInto(readings: Readings | undefined) {
  const input = useRef<HTMLInputElement>(null);
  const latest = useRef(readings);
  latest.current = readings;
  useEffect(() => {
    const field = input.current;
    const take = (e: Event) => latest.current?.onReading((e as CustomEvent<string>).detail);
    field?.addEventListener("reading", take);
    return () => field?.removeEventListener("reading", take);
  }, []);
  return input;
}
