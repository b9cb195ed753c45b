type Tree = Record<string, unknown>;

const isTree = (value: unknown): value is Tree => typeof value === "object" && value !== null;

/** Whether all that is asked is entered, however surely, in capitals or not. */
export function isEntered(entered: unknown, asked: unknown): boolean {
  if (asked === undefined || asked === null) return true;
  if (typeof asked === "string")
    return typeof entered === "string" && entered.trim().toLowerCase() === asked.toLowerCase();
  if (!isTree(asked)) return entered === asked;
  return Object.entries(asked).every(
    ([name, part]) => name === "sureness" || isEntered(isTree(entered) ? entered[name] : undefined, part),
  );
}

/** What is entered with what is asked put over it; whatever else is there stays. */
export function withEntered<T>(entered: T, asked: unknown): T {
  if (asked === undefined || asked === null) return entered;
  if (Array.isArray(asked)) {
    const all: unknown[] = Array.isArray(entered) ? [...entered] : [];
    asked.forEach((part, i) => {
      all[i] = withEntered(all[i], part);
    });
    return all as T;
  }
  if (!isTree(asked)) return asked as T;
  const all: Tree = { ...(isTree(entered) ? entered : {}) };
  for (const [name, part] of Object.entries(asked)) all[name] = withEntered(all[name], part);
  return all as T;
}
