import { useMutation } from "@tanstack/react-query";
import { api, Refused } from "../../api/client";
import type { Problem } from "../../api/types";
import { Field } from "../../ui/field";

function NumberField({
  label,
  value,
  problem,
  onChange,
}: {
  label: string;
  value: number | undefined;
  problem?: Problem;
  onChange: (value: number | undefined) => void;
}) {
  return (
    <Field label={label} problem={problem}>
      {(ids) => (
        <input
          {...ids}
          type="number"
          step="any"
          min="0"
          className="entry num"
          value={value ?? ""}
          onChange={(e) => onChange(e.target.value === "" ? undefined : e.target.valueAsNumber)}
        />
      )}
    </Field>
  );
}

/** What a currency was in the book's that day: typed, or looked up in the tables that ship. */
export function RateOfTheDay({
  from,
  to,
  date,
  value,
  problem,
  onChange,
}: {
  from: string;
  to: string;
  date: string;
  value: number | undefined;
  problem?: Problem;
  onChange: (rate: number | undefined) => void;
}) {
  const found = useMutation({
    mutationFn: () => api.rate({ from, to, date }),
    onSuccess: ({ rate }) => onChange(rate),
  });
  const refused = found.error instanceof Refused ? found.error.problems[0] : undefined;
  return (
    <div>
      <NumberField
        label={`One ${from} in ${to} that day`}
        value={value}
        problem={problem}
        onChange={onChange}
      />
      <button
        type="button"
        className="min-h-6 underline"
        disabled={date === ""}
        aria-busy={found.isPending}
        onClick={() => found.mutate()}
      >
        Look it up
      </button>
      <p role="status" className="text-[0.78125rem]/4 text-ink2">
        {found.data && `${found.data.says}.`}
        {found.isError && (refused ? `Not on file: ${refused.accepted}.` : found.error.message)}
      </p>
    </div>
  );
}
