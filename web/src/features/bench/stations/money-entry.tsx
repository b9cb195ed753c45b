import { useState } from "react";
import { api, Refused } from "../../../api/client";
import type { Problem } from "../../../api/types";
import { usualCurrency } from "../../../format";
import { useEntry } from "../../../ui/form-entries";
import { TextField } from "../../../ui/text-field";

/** An amount with its currency: as typed, "45 GBP" or "45". What it means the server says. */
export function MoneyEntry({
  label,
  amount,
  currency,
  problem,
  onChange,
}: {
  label: string;
  amount: number | undefined;
  currency: string | undefined;
  problem: Problem | undefined;
  onChange: (amount: number | undefined, currency: string | undefined) => void;
}) {
  const [typed, show] = useState<{ text: string; problem: Problem }>();
  const entry = useEntry();
  const setTyped = (wrong?: { text: string; problem: Problem }) => {
    entry.isUnderstood(!wrong);
    show(wrong);
  };
  const shown = amount === undefined ? "" : `${amount} ${currency ?? ""}`.trim();
  const commit = async (text: string | undefined) => {
    if (!text) {
      setTyped();
      return onChange(undefined, undefined);
    }
    try {
      const read = await api.money(text);
      setTyped();
      onChange(read.amount, read.currency ?? usualCurrency(currency));
    } catch (e) {
      const told = e instanceof Refused ? e.problems[0] : undefined;
      const accepted = told?.accepted ?? (e as Error).message;
      setTyped({ text, problem: { field: label, given: text, accepted } });
    }
  };
  return (
    <TextField
      label={label}
      problem={typed?.problem ?? problem}
      placeholder="45 GBP"
      value={typed?.text ?? shown}
      onCommit={(text) => entry.reads(commit(text))}
    />
  );
}
