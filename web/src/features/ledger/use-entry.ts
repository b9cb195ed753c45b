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
  const [refused, setRefused] = useState<Error>();
  const { shares, soFar } = useLook(id.current, form.holds);
  const send = (whole: LedgerEntry) =>
    corrected ? api.correctLedger(corrected.id, corrected.revision, whole) : api.addLedger(id.current, whole);
  const keep = async (e: FormEvent) => {
    e.preventDefault();
    const whole = await form.settled();
    if (!whole) return;
    try {
      onKept(await send(whole));
      onClose();
    } catch (failed) {
      setRefused(failed as Error);
    }
  };
  const problems = problemsOf(refused);
  return {
    entry: form.holds,
    entries: form.entries,
    change: form.change,
    set: (what: Partial<LedgerEntry>) => form.change((now) => ({ ...now, ...what })),
    shares,
    problem: (field: string) => problems.find((p) => p.field === field),
    told: refused ? problems : soFar,
    refused,
    keep,
  };
}

/** What each knife would have of it as it stands, and what is amiss with it so far. */
function useLook(id: string, entry: LedgerEntry) {
  const look = useQuery({
    queryKey: ["ledger-look", id, entry],
    queryFn: ({ signal }) => api.lookLedger(id, entry, signal),
    placeholderData: keepPreviousData,
    retry: false,
  });
  // That no knife was named yet needs no telling while one is still at it.
  const soFar = [...problemsOf(look.error), ...(look.data?.problems ?? [])].filter(
    (p) => look.data || (p.field !== "in" && p.field !== "out"),
  );
  return { shares: look.data?.shares ?? {}, soFar };
}

export type Entry = ReturnType<typeof useEntry>;
