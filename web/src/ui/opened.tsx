import type { ReactNode } from "react";
import { Failed } from "./failed";

/** What was asked for once it is here; until then that it is on its way, or why it is not. */
export function Opened<T>({
  of,
  failed,
  meanwhile,
  children,
}: {
  of: { data: T | undefined; error: Error | null; refetch: () => unknown };
  /** What could not be done, as a sentence. */
  failed: string;
  meanwhile: string;
  children: (data: T) => ReactNode;
}) {
  if (of.error) return <Failed what={failed} error={of.error} onAgain={() => of.refetch()} />;
  if (of.data === undefined) return <p className="voice p-6 text-ink3">{meanwhile}</p>;
  return children(of.data);
}

/** Two things that are asked for and shown together. */
export function together<A, B>(
  a: { data: A | undefined; error: Error | null; refetch: () => unknown },
  b: { data: B | undefined; error: Error | null; refetch: () => unknown },
) {
  return {
    data: a.data === undefined || b.data === undefined ? undefined : ([a.data, b.data] as const),
    error: a.error ?? b.error,
    refetch: () => (a.error ? a : b).refetch(),
  };
}
