import { api } from "../../../api/client";
import type { Problem } from "../../../api/types";
import { usualCurrency } from "../../../format";
import { TextField } from "../../../ui/text-field";
import { useRead } from "./use-read";

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
  const shown = amount === undefined ? "" : `${amount} ${currency ?? ""}`.trim();
  const { typed, onCommit } = useRead(label, api.money, (read) =>
    onChange(read?.amount, read && (read.currency ?? usualCurrency(currency))),
  );
  return (
    <TextField
      label={label}
      problem={typed?.problem ?? problem}
      placeholder="45 GBP"
      value={typed?.text ?? shown}
      onCommit={onCommit}
    />
  );
}
