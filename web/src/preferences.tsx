import { createContext, type ReactNode, useContext, useEffect, useMemo, useState } from "react";

export type Units = "in" | "mm";
/** Which way of naming heads the page: the historical definition, or what sellers say today. */
export type School = "strict" | "trade";
/** Into how many parts an inch is read. */
export type Parts = "16" | "32";
export type Reading = "normal" | "large" | "larger";

interface Preferences {
  units: Units;
  setUnits: (units: Units) => void;
  parts: Parts;
  setParts: (parts: Parts) => void;
  reading: Reading;
  setReading: (reading: Reading) => void;
  school: School;
  setSchool: (school: School) => void;
  singleKeys: boolean;
  setSingleKeys: (on: boolean) => void;
}

const Context = createContext<Preferences | null>(null);

/** A setting that stays with this browser. */
export function useKept<T extends string>(name: string, initial: T): [T, (value: T) => void] {
  const key = `snikra.${name}`;
  const [value, setValue] = useState<T>(() => (localStorage.getItem(key) as T | null) ?? initial);
  return [
    value,
    (next: T) => {
      localStorage.setItem(key, next);
      setValue(next);
    },
  ];
}

export function PreferencesProvider({ children }: { children: ReactNode }) {
  const [units, setUnits] = useKept<Units>("units", "in");
  const [parts, setParts] = useKept<Parts>("parts", "16");
  const [reading, setReading] = useKept<Reading>("reading", "normal");
  const [school, setSchool] = useKept<School>("school", "strict");
  const [keys, setKeys] = useKept<"on" | "off">("keys", "on");
  useEffect(() => {
    document.documentElement.dataset.reading = reading;
  }, [reading]);
  const value = useMemo(
    () => ({
      units,
      setUnits,
      parts,
      setParts,
      reading,
      setReading,
      school,
      setSchool,
      singleKeys: keys === "on",
      setSingleKeys: (on: boolean) => setKeys(on ? "on" : "off"),
    }),
    [units, setUnits, parts, setParts, reading, setReading, school, setSchool, keys, setKeys],
  );
  return <Context value={value}>{children}</Context>;
}

export function usePreferences(): Preferences {
  const preferences = useContext(Context);
  if (!preferences) throw new Error("usePreferences stands outside its provider");
  return preferences;
}
