import { useState } from "react";
import { api } from "../../api/client";
import type { CodeExamples, OwnCode } from "../../api/types";
import { inWords } from "../../format";
import { codeOf, SIGNS, type Sign } from "./code-ways";
import type { Taught } from "./known-from";
import { useWeighing } from "./use-weighing";

/** A code as struck, and the years of the knife it is on. */
export interface CodeLine {
  id: string;
  written?: string;
  years?: string;
  knife?: number;
}

const ROWS = 4;

const blank = (): CodeLine => ({ id: crypto.randomUUID() });

const startingWith = (own: OwnCode[], sign: Sign): CodeLine[] => {
  const mine = own
    .filter((o) => o.sign === sign)
    .map((o) => ({ id: crypto.randomUUID(), written: o.written, years: o.years, knife: o.knife }));
  return [...mine, ...Array.from({ length: Math.max(1, ROWS - mine.length) }, blank)];
};

/** Examples of codes as they are written, and what is found from them. */
export function useCodes(maker: Taught, own: OwnCode[], onClose: () => void) {
  const [sign, setSign] = useState<Sign>(own[0]?.sign ?? "letter");
  const [lines, setLines] = useState(() => startingWith(own, sign));
  const [use, setUse] = useState<{ from?: number | string; to?: number | string }>({});
  const [label, setLabel] = useState<string>();
  const called = label ?? SIGNS[sign] ?? inWords(sign);
  const filled = lines.filter((l) => l.written && l.years);
  // A year that is none goes along as it was typed, and comes back refused at its field.
  const asked = {
    sign,
    examples: filled.map((l) => ({ written: l.written ?? "", years: l.years ?? "" })),
    ...use,
  } as CodeExamples;
  const weighing = useWeighing(
    {
      queryKey: ["own-codes", asked],
      examples: filled.length,
      weigh: () => api.lookCodes(asked),
      ways: (told) => told.guesses,
      file: (way, known) =>
        api.fileCode({ maker: maker.id, code: codeOf(way, sign, called) as never, ...known }),
      done: `How ${maker.name} dated its knives is on file.`,
    },
    onClose,
  );
  return {
    sign,
    strike: (next: Sign) => {
      setSign(next);
      setLines(startingWith(own, next));
      weighing.choose(0);
    },
    lines,
    filled,
    add: () => setLines((all) => [...all, blank()]),
    drop: (id: string) => setLines((all) => all.filter((o) => o.id !== id)),
    change: (id: string, what: Partial<CodeLine>) =>
      setLines((all) => all.map((l) => (l.id === id ? { ...l, ...what } : l))),
    called,
    call: setLabel,
    use,
    setUse,
    weighing,
  };
}

export type Codes = ReturnType<typeof useCodes>;
