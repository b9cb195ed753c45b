import { useState } from "react";
import type { Problem } from "../api/types";
import { useEntry } from "./form-entries";
import { TextField } from "./text-field";

/** A share as people write it: 20, 12.5, 12,5 or 20 %. */
export const perCent = (text: string): number | undefined => {
  const figure = /^(\d{1,3}(?:[.,]\d{1,2})?)\s*%?$/.exec(text)?.[1];
  return figure === undefined ? undefined : Number(figure.replace(",", "."));
};

/** A year in four figures. */
export const inFourFigures = (text: string): number | undefined =>
  /^\d{4}$/.test(text) ? Number(text) : undefined;

/** A figure of a form. What is not read as one stays as it was typed, is said, and keeps the form from being sent. */
export function FigureField({
  label,
  hint,
  value,
  read,
  accepted,
  problem,
  onFigure,
}: {
  label: string;
  hint?: string;
  value: number | undefined;
  read: (text: string) => number | undefined;
  /** What would be read, in words. */
  accepted: string;
  problem: Problem | undefined;
  onFigure: (figure: number | undefined) => void;
}) {
  const [wrong, setWrong] = useState<Problem>();
  const entry = useEntry();
  return (
    <TextField
      label={label}
      hint={hint}
      value={wrong?.given ?? (value === undefined ? undefined : `${value}`)}
      problem={wrong ?? problem}
      onCommit={(text) => {
        const figure = text === undefined ? undefined : read(text);
        const isRead = text === undefined || figure !== undefined;
        entry.isUnderstood(isRead);
        setWrong(isRead ? undefined : { field: label, given: text, accepted });
        if (isRead) onFigure(figure);
      }}
    />
  );
}
