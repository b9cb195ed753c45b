import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../../api/client";
import type { Specimen } from "../../../api/types";
import { money } from "../../../format";

const PLAN = { margin: 25, fees: 10, postage: 5, restoration: 0, restored: 0, goesWell: 0 };
type Plan = typeof PLAN;

const ASKED: [field: keyof Plan, label: string][] = [
  ["margin", "Margin wanted, %"],
  ["fees", "Fees of the sale, %"],
  ["postage", "Postage and the like"],
  ["restoration", "Restoration costs"],
  ["restored", "Brings so much more, %"],
  ["goesWell", "Goes well so often, %"],
];

/** The most to pay for a knife one means to sell again, and what to ask for it. */
export function TopPrice({ specimen, currency }: { specimen: Specimen; currency: string }) {
  const [plan, setPlan] = useState(PLAN);
  const top = useMutation({ mutationFn: () => api.topPrice({ specimen, plan }) });
  return (
    <details className="mt-3 border-t border-rule">
      <summary className="min-h-6 cursor-pointer py-1 font-semibold">
        The most to pay, and what to ask
      </summary>
      <form
        className="grid grid-cols-2 items-end gap-x-5 gap-y-1 sm:grid-cols-3"
        onSubmit={(e) => {
          e.preventDefault();
          top.mutate();
        }}
      >
        <PlanFields plan={plan} onChange={setPlan} />
        <button type="submit" className="press" aria-busy={top.isPending}>
          Work it out
        </button>
      </form>
      {top.isError && (
        <p role="alert" className="mt-1 text-lead">
          {top.error.message}
        </p>
      )}
      {top.data && <Told found={top.data} currency={currency} />}
    </details>
  );
}

function PlanFields({ plan, onChange }: { plan: Plan; onChange: (plan: Plan) => void }) {
  return ASKED.map(([field, label]) => (
    <label key={field}>
      <span className="block text-ink2">{label}</span>
      <input
        type="number"
        className="entry num"
        min={0}
        step="any"
        value={plan[field]}
        onChange={(e) => onChange({ ...plan, [field]: e.target.valueAsNumber || 0 })}
      />
    </label>
  ));
}

function Told({ found, currency }: { found: Awaited<ReturnType<typeof api.topPrice>>; currency: string }) {
  return (
    <p role="status" className="mt-1" data-testid="top-price">
      Up to {money(found.safe, currency)} it pays for itself in three sales of four, up to{" "}
      {money(found.even, currency)} in one of two. Ask {money(found.ask, currency)} to get the middle of its
      range.
    </p>
  );
}
