import { type FormEvent, type RefObject, useEffect, useRef } from "react";
import { api } from "../../../api/client";
import { useOwnReferences } from "../../../api/own";
import type { Book, MarkSlip, Specimen } from "../../../api/types";
import { sentence } from "../../../format";
import { Dialog } from "../../../ui/dialog";
import { WhatItDoes } from "../../../ui/what-it-does";
import { TryOut } from "../../makers/try-out";
import { SlipFields } from "./slip-fields";
import { useSlip } from "./use-slip";

/** A slip that puts the mark of the knife in hand on file. */
export function Slip({
  specimen,
  first,
  book,
  from,
  onClose,
}: {
  specimen: Specimen;
  first: MarkSlip;
  book: Book;
  from: RefObject<HTMLElement | null>;
  onClose: () => void;
}) {
  const { slip, set, does, problems, message, setFailed } = useSlip(specimen, first);
  const { turn, undo } = useOwnReferences();
  const form = useRef<HTMLFormElement>(null);
  const isAmiss = problems.length > 0;
  // On a small screen what is missing may be out of sight.
  useEffect(() => {
    if (isAmiss) form.current?.querySelector<HTMLElement>("[aria-invalid=true]")?.focus();
  }, [isAmiss]);
  const keep = async (e: FormEvent) => {
    e.preventDefault();
    const filed = api.fileMark(specimen, slip);
    try {
      await filed;
    } catch (failed) {
      return setFailed(failed as Error);
    }
    onClose();
    await turn(filed, `The mark of ${slip.maker} is on file.`, undo);
  };
  return (
    <Dialog open onClose={onClose} from={from} title="Put this mark on file">
      <form ref={form} onSubmit={keep}>
        <SlipFields
          slip={slip}
          set={set}
          book={book}
          problems={problems}
          isFilledIn={first.from !== undefined && slip.from === first.from && slip.to === first.to}
        />
        {does && (
          <>
            <WhatItDoes before={does.before} after={does.after} />
            {does.remarks.map((r) => (
              <p key={r.text} className="mt-1 text-[0.78125rem]/4 text-lead">
                {sentence(r.text)}.
              </p>
            ))}
          </>
        )}
        <TryOut of={slip} begin={() => api.tryMark(slip)} />
        <div role="alert">
          {message && <p className="mt-2 text-lead">{message}</p>}
          {isAmiss && <p className="mt-2 text-lead">Something is still missing above.</p>}
        </div>
        <button type="submit" className="press mt-4">
          Put it on file
        </button>
      </form>
    </Dialog>
  );
}
