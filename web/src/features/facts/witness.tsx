import { useQuery } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { Link } from "react-router";
import { api } from "../../api/client";
import type { Book, OneMaker, OwnWitness } from "../../api/types";
import { fromTo } from "../../format";
import { FactOnFile } from "./slip";

/** What one's own knives of a maker show and nobody wrote down yet, gone over when it is asked for. */
export function ShownByMine({ maker, book }: { maker: Pick<OneMaker, "id" | "name">; book: Book }) {
  const [isAsked, setAsked] = useState(false);
  const witness = useQuery({
    queryKey: ["own-witness", maker.id],
    queryFn: () => api.ownWitness(maker.id),
    enabled: isAsked,
    staleTime: 0,
  });
  return (
    <section aria-label="Shown by my knives" className="no-print mt-2">
      <button
        type="button"
        className="press"
        aria-busy={witness.isFetching}
        onClick={() => (isAsked ? witness.refetch() : setAsked(true))}
      >
        What my knives show besides
      </button>
      <div role="status" className="mt-1">
        {witness.isFetching && <p className="voice text-ink3">Going over your knives of {maker.name}.</p>}
        {witness.isError && (
          <p className="text-lead">That could not be looked through. {witness.error.message}</p>
        )}
        {witness.data && !witness.isFetching && <p className="text-ink2">{told(witness.data, maker.name)}</p>}
      </div>
      {witness.data && (
        <ul>
          {witness.data.found.map((found) => (
            <Found key={found.offered.what} found={found} name={maker.name} book={book} />
          ))}
        </ul>
      )}
    </section>
  );
}

function told({ gone, of, found }: Awaited<ReturnType<typeof api.ownWitness>>, name: string): string {
  if (of === 0) return `No knife of yours is held to be of ${name}.`;
  const which =
    gone < of ? `the first ${gone} of your ${of} knives` : of === 1 ? "your one knife" : `your ${of} knives`;
  return found.length === 0
    ? `All that is surely seen on ${which} of theirs is on file.`
    : `Surely seen on ${which} of theirs and not on file, with the years all else on them gives it:`;
}

function Found({ found, name, book }: { found: OwnWitness; name: string; book: Book }) {
  const button = useRef<HTMLButtonElement>(null);
  const [isOpen, setOpen] = useState(false);
  const { offered, knives, era } = found;
  return (
    <li className="flex flex-wrap items-baseline gap-x-4 border-t border-rule py-0.5">
      <span className="num shrink-0 text-blue">{fromTo(era.within)}</span>
      <span className="min-w-0 grow">
        {offered.what} <OnKnives knives={knives} />
      </span>
      <button
        ref={button}
        type="button"
        className="min-h-6 shrink-0 underline"
        aria-label={`Put on file: ${offered.what}`}
        onClick={() => setOpen(true)}
      >
        Put on file
      </button>
      {isOpen && (
        <FactOnFile
          title={`On file for ${name}`}
          first={offered.slip}
          book={book}
          from={button}
          onClose={() => setOpen(false)}
        />
      )}
    </li>
  );
}

function OnKnives({ knives }: Pick<OwnWitness, "knives">) {
  return (
    <span className="text-ink2">
      on no.{" "}
      {knives.map((k, i) => (
        <span key={k.id}>
          {i > 0 && ", "}
          <Link to={`/bench/${k.id}`} className="num underline">
            {k.number}
          </Link>
        </span>
      ))}
    </span>
  );
}
