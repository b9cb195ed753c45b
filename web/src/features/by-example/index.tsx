import { useQuery } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { api } from "../../api/client";
import { useOwnReferences } from "../../api/own";
import type { Book, Verdict } from "../../api/types";
import { CodesByExample } from "./codes";
import type { Taught } from "./known-from";
import { NumbersByExample } from "./numbers";

/** The likeliest maker of a knife, where it is on file: whoever made it otherwise has nothing to be taught. */
export function TeachIts({ what, knife, book }: { what: "codes" | "numbers"; knife: Verdict; book: Book }) {
  const likeliest = knife.dating.makers[0];
  if (!likeliest?.maker) return null;
  return (
    <div className="mt-1">
      <p className="voice text-ink2">Do you know other knives of {likeliest.label}?</p>
      <ByExample what={what} maker={{ id: likeliest.maker, name: likeliest.label }} book={book} />
    </div>
  );
}

/** The ways to teach a maker's codes and numbers out of a few knives one knows. */
export function ByExample({
  what,
  maker,
  book,
}: {
  what: "codes" | "numbers";
  maker: Taught;
  book: Book | undefined;
}) {
  const [isOpen, setOpen] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  const own = useQuery({
    queryKey: ["own-examples", maker.id],
    queryFn: () => api.ownExamples(maker.id),
    enabled: isOpen,
    staleTime: 0,
  });
  const close = () => setOpen(false);
  const isReady = isOpen && book && !own.isFetching;
  const mine = own.data ?? { codes: [], numbers: [], numbered: false };
  return (
    <>
      <button ref={button} type="button" className="press no-print" onClick={() => setOpen(true)}>
        {what === "codes" ? "A code by example" : "Numbers by example"}
      </button>
      {isReady && what === "codes" && (
        <CodesByExample maker={maker} own={mine.codes} book={book} from={button} onClose={close} />
      )}
      {isReady && what === "numbers" && (
        <NumbersByExample
          maker={maker}
          own={mine.numbers}
          isNumbered={mine.numbered}
          book={book}
          from={button}
          onClose={close}
        />
      )}
    </>
  );
}

/** What one put on file oneself can be taken out again. */
export function OwnScheme({ name, remove }: { name: string; remove: () => Promise<unknown> }) {
  const { turn, undo } = useOwnReferences();
  return (
    <p className="no-print flex gap-x-4">
      <span className="voice text-ink2">put on file by me</span>
      <button
        type="button"
        className="min-h-6 underline"
        aria-label={`Take out ${name}`}
        onClick={() => turn(remove(), `${name} is taken off the file.`, undo)}
      >
        Take out
      </button>
    </p>
  );
}
