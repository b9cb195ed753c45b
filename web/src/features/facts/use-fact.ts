import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, Refused } from "../../api/client";
import { useOwnReferences } from "../../api/own";
import type { FactSlip, Specimen } from "../../api/types";
import { useSource } from "../by-example/known-from";

/** What stands on a slip, whether or not it is all there yet. */
export type FactDraft = Partial<FactSlip> & Pick<FactSlip, "kind" | "maker">;

/** A slip as it is filled in, what filing it would do to a knife, and the press that files it. */
export function useFact(
  first: FactDraft,
  specimen: Specimen | undefined,
  onFiled: () => void,
  /** Key of a fact of one's own that is written anew. */
  instead?: string,
) {
  const [draft, setDraft] = useState(first);
  const { source, sourceKind, note } = first;
  const [known, setKnown] = useSource(instead === undefined ? undefined : { source, sourceKind, note });
  const slip = { ...draft, ...known } as FactSlip;
  const { failed, file } = useFiling(slip, onFiled, instead);
  const look = useQuery({
    queryKey: ["fact-look", specimen, slip],
    queryFn: ({ signal }) => api.lookFact({ specimen, fact: slip }, signal),
    placeholderData: keepPreviousData,
    retry: false,
  });
  const isRefused = failed instanceof Refused && failed.problems.length > 0;
  return {
    draft,
    slip,
    set: (what: Partial<FactDraft>) => setDraft((now) => ({ ...now, ...what })),
    startWith: setDraft,
    known,
    setKnown,
    does: look.data,
    // What is still missing is no mistake before one tries to keep it; from then on it goes as it is mended.
    problems: (isRefused && look.data?.problems) || [],
    failed: isRefused && look.data?.problems.length === 0 ? undefined : failed,
    file,
  };
}

/** Puts a slip on file, anew or instead of one that stands there. */
function useFiling(slip: FactSlip, onFiled: () => void, instead: string | undefined) {
  const [failed, setFailed] = useState<Error>();
  const { turn, undo } = useOwnReferences();
  const file = async () => {
    const filing =
      instead === undefined ? api.fileFacts({ facts: [slip] }) : api.changeFact(slip.maker, instead, slip);
    try {
      await filing;
    } catch (error) {
      return setFailed(error as Error);
    }
    onFiled();
    const done = slip.kind === "model" ? `No. ${slip.number} is on file.` : "That is on file now.";
    await turn(filing, done, undo);
  };
  return { failed, file };
}
