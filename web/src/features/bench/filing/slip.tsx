import { type FormEvent, type RefObject, useEffect, useRef } from "react";
import { api } from "../../../api/client";
import { useOwnReferences } from "../../../api/own";
import type { Book, MarkFiled, MarkSlip, Specimen } from "../../../api/types";
import { sentence } from "../../../format";
import { Dialog } from "../../../ui/dialog";
import { Said } from "../../../ui/said";
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
        {does && <WhatItDoes told={does} />}
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

/** What is said of the knife in hand without the slip and with it. */
function WhatItDoes({ told }: { told: MarkFiled }) {
  return (
    <section aria-label="What it does to this knife" className="mt-4 border-t border-ink pt-2">
      <dl className="grid grid-cols-[auto_minmax(0,1fr)] gap-x-4 gap-y-1" data-testid="what-it-does">
        <dt className="voice text-ink2">Now</dt>
        <dd>
          <Said of={told.before} />
        </dd>
        <dt className="voice text-ink2">On file</dt>
        <dd>
          <Said of={told.after} />
        </dd>
      </dl>
      {told.remarks.map((r) => (
        <p key={r.text} className="mt-1 text-[0.78125rem]/4 text-lead">
          {sentence(r.text)}.
        </p>
      ))}
    </section>
  );
}
