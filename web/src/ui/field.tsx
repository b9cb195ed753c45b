import { type ReactNode, useId } from "react";
import type { Problem } from "../api/types";
import { Worded } from "./worded";

/** A label over its control, with its error tied to it. The control is given its ids. */
export function Field({
  label,
  problem,
  hint,
  className,
  children,
}: {
  label: string;
  problem?: Problem;
  hint?: string;
  className?: string;
  children: (ids: { id: string; "aria-describedby"?: string; "aria-invalid"?: boolean }) => ReactNode;
}) {
  const id = useId();
  const told = problem ?? hint;
  return (
    <div className={className}>
      <label htmlFor={id} className="block text-[0.78125rem]/4 text-ink2">
        <Worded>{label}</Worded>
      </label>
      {children({
        id,
        "aria-describedby": told ? `${id}-told` : undefined,
        "aria-invalid": problem ? true : undefined,
      })}
      {told && (
        <p
          id={`${id}-told`}
          className={problem ? "mt-0.5 text-[0.78125rem]/4 text-lead" : "voice mt-0.5 text-xs text-ink3"}
        >
          {problem ? `${problem.given}: ${problem.accepted}.` : hint}
        </p>
      )}
    </div>
  );
}
