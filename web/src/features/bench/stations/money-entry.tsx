import type { Problem } from "../../../api/types";
import { TextField } from "../../../ui/text-field";

/** An amount with its currency: as typed, "45 GBP" or "45". */
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
  return (
    <TextField
      label={label}
      problem={problem}
      placeholder="45 GBP"
      value={shown}
      onCommit={(text) => {
        const { amount: a, currency: c } = readMoney(text ?? "");
        onChange(a, c ?? (a === undefined ? undefined : (currency ?? "GBP")));
      }}
    />
  );
}

const SIGNS: Record<string, string> = { "£": "GBP", $: "USD", "€": "EUR" };

/** An amount and a currency out of what people write: `£45`, `45 EUR`, `1,200.50 usd`. */
export function readMoney(text: string): { amount?: number; currency?: string } {
  const figures = text.replace(/[^\d.,]/g, "");
  if (!/\d/.test(figures)) return {};
  const plain = figures.replace(/[.,](?=\d{3}(\D|$))/g, "").replace(",", ".");
  const sign = Object.keys(SIGNS).find((s) => text.includes(s));
  const letters = text.toUpperCase().match(/[A-Z]{3}/)?.[0];
  return { amount: Number(plain), currency: letters ?? (sign ? SIGNS[sign] : undefined) };
}
