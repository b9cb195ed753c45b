import { useQuery } from "@tanstack/react-query";
import { type FormEvent, type RefObject, useRef, useState } from "react";
import { api, Refused } from "../../api/client";
import { useOwnReferences } from "../../api/own";
import type { Book, MarkSlip } from "../../api/types";
import { Dialog } from "../../ui/dialog";
import { Failed } from "../../ui/failed";
import { SlipFields } from "../bench/filing/slip-fields";
import type { Draft } from "../bench/filing/use-slip";
import { TryOut } from "./try-out";

/** A mark one put on file oneself: to be written anew, or taken out. */
export function OwnMark({ mark, lines, book }: { mark: string; lines: string[]; book: Book | undefined }) {
  const change = useRef<HTMLButtonElement>(null);
  const [isOpen, setOpen] = useState(false);
  const { turn, undo } = useOwnReferences();
  const name = lines.join(" ");
  return (
    <p className="no-print flex gap-x-4">
      <span className="voice grow text-ink2">put on file by me</span>
      <button
        ref={change}
        type="button"
        className="min-h-6 underline"
        aria-label={`Change ${name}`}
        onClick={() => setOpen(true)}
      >
        Change
      </button>
      <button
        type="button"
        className="min-h-6 underline"
        aria-label={`Take out ${name}`}
        onClick={() => turn(api.removeMark(mark), `${name} is taken off the file.`, undo)}
      >
        Take out
      </button>
      {isOpen && book && <ChangeMark mark={mark} book={book} from={change} onClose={() => setOpen(false)} />}
    </p>
  );
}

function ChangeMark({
  mark,
  book,
  from,
  onClose,
}: {
  mark: string;
  book: Book;
  from: RefObject<HTMLElement | null>;
  onClose: () => void;
}) {
  const kept = useQuery({ queryKey: ["own-mark", mark], queryFn: () => api.ownMark(mark), staleTime: 0 });
  return (
    <Dialog open onClose={onClose} from={from} title="Change this mark">
      {kept.isError && (
        <Failed what="The mark could not be opened." error={kept.error} onAgain={() => kept.refetch()} />
      )}
      {kept.isPending && <p className="voice mt-3 text-ink3">Opening the slip.</p>}
      {kept.data && !kept.isFetching && <Form mark={mark} first={kept.data} book={book} onClose={onClose} />}
    </Dialog>
  );
}

function Form({
  mark,
  first,
  book,
  onClose,
}: {
  mark: string;
  first: MarkSlip;
  book: Book;
  onClose: () => void;
}) {
  const [slip, setSlip] = useState<Draft>(first);
  const [failed, setFailed] = useState<Error>();
  const { turn, undo } = useOwnReferences();
  const keep = async (e: FormEvent) => {
    e.preventDefault();
    const changed = api.changeMark(mark, slip);
    try {
      await changed;
    } catch (error) {
      return setFailed(error as Error);
    }
    onClose();
    await turn(changed, "The mark is changed.", undo);
  };
  return (
    <form onSubmit={keep}>
      <SlipFields
        slip={slip}
        set={(what) => setSlip((now) => ({ ...now, ...what }))}
        book={book}
        problems={failed instanceof Refused ? failed.problems : []}
      />
      <TryOut of={slip} begin={() => api.tryMark(slip, mark)} />
      {failed && (
        <p role="alert" className="mt-2 text-lead">
          It is not changed. {failed.message}
        </p>
      )}
      <button type="submit" className="press mt-4">
        Keep it so
      </button>
    </form>
  );
}
