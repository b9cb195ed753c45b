import type { Problem } from "../../api/types";

/** The problem with an entry, by its path. */
export const problemAt = (problems: Problem[], field: string): Problem | undefined =>
  problems.find((p) => p.field === field || p.field.startsWith(`${field}.`));
