import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { type FormEvent, useRef, useState } from "react";
import { api, Refused } from "../../api/client";
import type { LedgerEntry, LedgerTold, Problem } from "../../api/types";
import { today } from "../../format";
import { useFormEntries } from "../../ui/form-entries";
import { blank } from "./draft";
import type { EntryTold } from "./entries";

const problemsOf = (failed: Error | null | undefined): Problem[] =>
  failed instanceof Refused ? failed.problems : [];

/** An entry as it is filled in, what each knife has of it meanwhile, and the press that keeps it. */
export function useEntry(
  told: LedgerTold,
  corrected: EntryTold | undefined,
  onClose: () => void,
  onKept: (told: LedgerTold) => void,
) {
  const id = useRef(corrected?.id ?? crypto.randomUUID());
  const form = useFormEntries<LedgerEntry>(corrected?.entry ?? blank(today(), told.currency));
  const entry = form.holds;
  const [refused, setRefused] = useState<Error>();
  const look = useQuery({
    queryKey: ["ledger-look", id.current, entry],
    queryFn: ({ signal }) => api.lookLedger(id.current, entry, signal),
    placeholderData: keepPreviousData,
    retry: false,
  });
  const keep = async (e: FormEvent) => {
    e.preventDefault();
    const whole = await form.settled();
    if (!whole) return;
    try {
      onKept(
        corrected
          ? await api.correctLedger(corrected.id, corrected.revision, whole)
          : await api.addLedger(id.current, whole),
      );
      onClose();
    } catch (failed) {
      setRefused(failed as Error);
    }
  };
  // That no knife was named yet needs no telling while one is still at it.
  const soFar = [...problemsOf(look.error), ...(look.data?.problems ?? [])].filter(
    (p) => look.data || (p.field !== "in" && p.field !== "out"),
  );
  const problems = problemsOf(refused);
  return {
    entry,
    entries: form.entries,
    change: form.change,
    set: (what: Partial<LedgerEntry>) => form.change((now) => ({ ...now, ...what })),
    shares: look.data?.shares ?? {},
    problem: (field: string) => problems.find((p) => p.field === field),
    told: refused ? problems : soFar,
    refused,
    keep,
  };
}

export type Entry = ReturnType<typeof useEntry>;
