import { useState } from "react";
import { api } from "../../api/client";
import type { OwnNumber } from "../../api/types";
import type { Taught } from "./known-from";
import { fieldsOf } from "./number-ways";
import { useWeighing } from "./use-weighing";

/** A number, and what the knife it is on is. */
export interface NumberLine {
  id: string;
  number?: string;
  shows: Record<string, string>;
  knife?: number;
}

const ROWS = 5;

const blank = (): NumberLine => ({ id: crypto.randomUUID(), shows: {} });

const startingWith = (own: OwnNumber[]): NumberLine[] => [
  ...own.map((o) => ({ id: crypto.randomUUID(), number: o.number, shows: o.shows, knife: o.knife })),
  ...Array.from({ length: Math.max(1, ROWS - own.length) }, blank),
];

const showing = (shows: NumberLine["shows"], look: string, value: string | undefined) => {
  const { [look]: _, ...rest } = shows;
  return value ? { ...rest, [look]: value } : rest;
};

/** Examples of numbers as they are written, and what is found from them. */
export function useNumbers(maker: Taught, own: OwnNumber[], onClose: () => void) {
  const [lines, setLines] = useState(() => startingWith(own));
  const filled = lines.filter((l) => l.number && Object.keys(l.shows).length > 0);
  const asked = { examples: filled.map((l) => ({ number: l.number ?? "", shows: l.shows })) };
  const weighing = useWeighing(
    {
      queryKey: ["own-numbers", asked],
      examples: filled.length,
      weigh: () => api.lookNumbers(asked),
      ways: (told) => told.ways,
      file: (way, known) => api.fileNumbers({ maker: maker.id, fields: fieldsOf(way) as never, ...known }),
      done: `How ${maker.name} built its numbers is on file.`,
    },
    onClose,
  );
  const { told, way } = weighing;
  const odd = new Set([...(told?.unlike ?? []), ...(way?.fields.flatMap((f) => f.odd) ?? [])]);
  const change = (id: string, what: (line: NumberLine) => NumberLine) =>
    setLines((all) => all.map((l) => (l.id === id ? what(l) : l)));
  return {
    lines,
    filled,
    isOdd: (line: NumberLine) => odd.has(filled.indexOf(line)) && filled.includes(line),
    add: () => setLines((all) => [...all, blank()]),
    drop: (id: string) => setLines((all) => all.filter((o) => o.id !== id)),
    number: (id: string, number: string | undefined) => change(id, (so) => ({ ...so, number })),
    show: (id: string, look: string, value: string | undefined) =>
      change(id, (so) => ({ ...so, shows: showing(so.shows, look, value) })),
    weighing,
  };
}

export type Numbers = ReturnType<typeof useNumbers>;
