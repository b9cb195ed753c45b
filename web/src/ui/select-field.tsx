import type { ComponentProps } from "react";
import { Field } from "./field";
import { Select } from "./select";

type OfField = Pick<ComponentProps<typeof Field>, "label" | "problem" | "hint" | "className">;

/** A labelled choice from a list. */
export function SelectField({
  label,
  problem,
  hint,
  className,
  ...choice
}: OfField & Omit<ComponentProps<typeof Select>, "className">) {
  return (
    <Field label={label} problem={problem} hint={hint} className={className}>
      {(ids) => <Select {...ids} {...choice} />}
    </Field>
  );
}
