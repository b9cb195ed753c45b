import { type FormEvent, type RefObject, useRef } from "react";
import { api } from "../../../api/client";
import { useOwnReferences } from "../../../api/own";
import type { Book, MarkSlip, Specimen } from "../../../api/types";
import { sentence } from "../../../format";
import { Dialog } from "../../../ui/dialog";
import { useToWhatIsAmiss } from "../../../ui/to-what-is-amiss";
import { WhatItDoes } from "../../../ui/what-it-does";
import { TryOut } from "../../makers/try-out";
import { SlipFields } from "./slip-fields";
import { useSlip } from "./use-slip";

/** A slip that puts the mark of the knife in hand on file. */
export function Slip({ specimen, first, book, from, onClose }: OfSlip) {
  const of = useSlip(specimen, first);
  const { slip, set, does, problems, message } = of;
  const form = useRef<HTMLFormElement>(null);
  useToWhatIsAmiss(form, problems.length > 0);
  const keep = useFiling(specimen, of, onClose);
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
        <WhatFilingDoes does={does} />
        <TryOut of={slip} begin={() => api.tryMark(slip)} />
        <div role="alert">
          {message && <p className="mt-2 text-lead">{message}</p>}
          {problems.length > 0 && <p className="mt-2 text-lead">Something is still missing above.</p>}
        </div>
        <button type="submit" className="press mt-4">
          Put it on file
        </button>
      </form>
    </Dialog>
  );
}

interface OfSlip {
  specimen: Specimen;
  first: MarkSlip;
  book: Book;
  from: RefObject<HTMLElement | null>;
  onClose: () => void;
}

function useFiling(specimen: Specimen, { slip, setFailed }: ReturnType<typeof useSlip>, onClose: () => void) {
  const { turn, undo } = useOwnReferences();
  return async (e: FormEvent) => {
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
}

function WhatFilingDoes({ does }: Pick<ReturnType<typeof useSlip>, "does">) {
  if (!does) return null;
  return (
    <>
      <WhatItDoes before={does.before} after={does.after} />
      {does.remarks.map((r) => (
        <p key={r.text} className="mt-1 text-[0.78125rem]/4 text-lead">
          {sentence(r.text)}.
        </p>
      ))}
    </>
  );
}
