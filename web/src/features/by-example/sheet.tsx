import type { ReactNode, RefObject } from "react";
import type { Book, Problem } from "../../api/types";
import { Dialog } from "../../ui/dialog";
import { KeepIt, type Source } from "./known-from";

interface Weighing {
  isEnough: boolean;
  isWeighing: boolean;
  refused: string | undefined;
  way: unknown;
  problems: Problem[];
  known: Source;
  setKnown: (known: Source) => void;
  failed: Error | undefined;
  keep: () => void;
}

/** Examples on the left; on the right the ways they may be told by, and the press that keeps one. */
export function ExampleSheet({
  title,
  intro,
  examples,
  onAdd,
  weighing,
  nothing = "",
  found,
  book,
  from,
  onClose,
}: {
  title: string;
  intro: ReactNode;
  examples: ReactNode;
  onAdd: () => void;
  weighing: Weighing;
  /** Said where the examples have nothing in common. */
  nothing?: string;
  found: ReactNode;
  book: Book;
  from: RefObject<HTMLElement | null>;
  onClose: () => void;
}) {
  return (
    <Dialog open onClose={onClose} from={from} title={title} isWide>
      <div className="gap-x-6 lg:grid lg:grid-cols-2">
        <div>
          {intro}
          <ul aria-label="Examples" className="mt-2 border-t border-ink">
            {examples}
          </ul>
          <button type="button" className="press mt-2" onClick={onAdd}>
            Add a row
          </button>
        </div>
        <div className="flex flex-col max-lg:mt-4 lg:border-l lg:border-ink lg:pl-6">
          <HowFar weighing={weighing} nothing={nothing} />
          {found}
          {weighing.way !== undefined && (
            <KeepIt
              known={weighing.known}
              onChange={weighing.setKnown}
              book={book}
              problems={weighing.problems}
              failed={weighing.failed}
              onKeep={weighing.keep}
              onClose={onClose}
            />
          )}
        </div>
      </div>
    </Dialog>
  );
}

function HowFar({ weighing, nothing }: { weighing: Weighing; nothing: string }) {
  const { isEnough, isWeighing, refused } = weighing;
  return (
    <>
      <p role="status" className="voice min-h-6 text-ink2">
        {!isEnough ? "With two examples it begins to tell." : isWeighing ? "Weighing the ways." : nothing}
      </p>
      {refused && (
        <p role="alert" className="text-lead">
          {refused}
        </p>
      )}
    </>
  );
}
