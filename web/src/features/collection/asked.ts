/** The search of the tray that finds a bar of a picture, within what is asked already. */
export function within(asked: URLSearchParams, more: { q?: string; tick?: string }): string {
  const next = new URLSearchParams(asked);
  if (more.q) next.set("q", [asked.get("q"), more.q].filter(Boolean).join(" "));
  if (more.tick && !next.getAll("in").includes(more.tick)) next.append("in", more.tick);
  return `/tray?${next}`;
}
