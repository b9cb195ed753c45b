import type { LedgerLot } from "../../api/types";
import { coins } from "../../format";
import type { Step } from "./lot-steps";

/**
 * A lot as a rule: what was paid reaches to the right, each knife that went takes its part back off,
 * and where that ends is what the rest has cost, left of nothing where more came back than was paid.
 */
export function LotRule({ lot, steps, most, least, currency }: OfRule) {
  const x = (amount: number) => `${(100 * (amount - least)) / (most - least || 1)}%`;
  const [from, to] = [lot.net, 0].sort((a, b) => a - b) as [number, number];
  return (
    <svg
      width="100%"
      height="18"
      role="img"
      aria-label={`Paid ${coins(lot.cost, currency)}, came back ${coins(lot.back, currency)}, left ${coins(lot.net, currency)}`}
    >
      <line x1={x(Math.min(0, lot.net))} x2={x(lot.cost)} y1="9" y2="9" stroke="var(--color-rule)" />
      <line
        x1={x(from)}
        x2={x(to)}
        y1="9"
        y2="9"
        stroke={lot.net < 0 ? "var(--color-ink)" : "var(--color-blue)"}
        strokeWidth="7"
      />
      {steps.map(({ knife, after }) => (
        <line key={knife.piece} x1={x(after)} x2={x(after)} y1="5" y2="13" stroke="currentColor" />
      ))}
      <line x1={x(lot.cost)} x2={x(lot.cost)} y1="2" y2="16" stroke="currentColor" />
      <line x1={x(0)} x2={x(0)} y1="0" y2="18" stroke="currentColor" strokeWidth="1.5" />
    </svg>
  );
}

interface OfRule {
  lot: LedgerLot;
  steps: Step[];
  most: number;
  least: number;
  currency: string;
}
