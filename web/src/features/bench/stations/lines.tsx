import { useRef } from "react";
import { LineInput } from "./line-input";

const MOST_LINES = 6;

/** The lines as they stand on the steel, with one more to write in. */
export function Lines({
  of,
  lines,
  onChange,
}: {
  /** Which they are, for those who do not see it. */
  of: string;
  lines: string[];
  onChange: (lines: string[]) => void;
}) {
  const box = useRef<HTMLDivElement>(null);
  const setLine = (i: number, text: string) => {
    const next = [...lines];
    next[i] = text;
    while (next.length > 0 && next.at(-1)?.trim() === "") next.pop();
    onChange(next.map((l) => l ?? ""));
  };
  return (
    <div ref={box} className="mt-2 overflow-x-auto border border-ink bg-lit px-3 pt-1.5 pb-0.5">
      {[...lines, ""].slice(0, MOST_LINES).map((line, i) => (
        <LineInput
          // biome-ignore lint/suspicious/noArrayIndexKey: a line is known by its place
          key={i}
          label={`Line ${i + 1} ${of}`}
          line={line}
          onCommit={(text) => setLine(i, text)}
          onEnter={() => box.current?.querySelectorAll<HTMLInputElement>("input")[i + 1]?.focus()}
        />
      ))}
    </div>
  );
}
