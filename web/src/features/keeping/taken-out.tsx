import { useQuery } from "@tanstack/react-query";
import type { RefObject } from "react";
import { useRef, useState } from "react";
import { api } from "../../api/client";
import type { TakenOut } from "../../api/types";
import { Dialog } from "../../ui/dialog";
import { Failed } from "../../ui/failed";
import type { Attempt } from "../../ui/use-attempt";
import { day } from "./words";

/** Knives that were taken out of the tray: for thirty days they can be put back. */
export function TakenOutKnives({ attempt }: { attempt: Attempt }) {
  const taken = useQuery({ queryKey: ["taken-out"], queryFn: api.takenOut });
  const [asked, setAsked] = useState<TakenOut>();
  const opener = useRef<HTMLButtonElement>(null);
  const letGo = async (k: TakenOut) => {
    setAsked(undefined);
    await attempt(() => api.letGo(k.id), `${nameOf(k)} is gone, with its photographs and its journal.`);
  };
  const ask = (k: TakenOut, from: HTMLButtonElement) => {
    opener.current = from;
    setAsked(k);
  };
  return (
    <section aria-labelledby="taken-name" className="mt-3">
      <h2
        id="taken-name"
        className="flex min-h-8 items-end border-b border-ink pb-1 text-[1.1875rem]/[1.375rem]"
      >
        Taken out
      </h2>
      {taken.isError && (
        <Failed what="They cannot be told." error={taken.error} onAgain={() => taken.refetch()} />
      )}
      {taken.data?.length === 0 && (
        <p className="voice mt-1 text-ink2">No knife was taken out in the last thirty days.</p>
      )}
      <ul>
        {taken.data?.map((k) => (
          <OneOut
            key={k.id}
            knife={k}
            onBack={() => attempt(() => api.restore(k.id), `${nameOf(k)} is back in the tray.`)}
            onRemove={(from) => ask(k, from)}
          />
        ))}
      </ul>
      <ForGood asked={asked} from={opener} onClose={() => setAsked(undefined)} onRemove={letGo} />
    </section>
  );
}

const nameOf = (k: TakenOut) => k.title ?? `Knife ${k.number}`;

function OneOut({
  knife: k,
  onBack,
  onRemove,
}: {
  knife: TakenOut;
  onBack: () => void;
  onRemove: (from: HTMLButtonElement) => void;
}) {
  return (
    <li className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-0.5">
      <span className="num">{k.number}</span>
      <span className="min-w-0 flex-1 truncate">{nameOf(k)}</span>
      <span className="voice text-ink2">kept until {day(k.until)}</span>
      <button
        type="button"
        className="min-h-6 underline"
        aria-label={`Put ${nameOf(k)} back in the tray`}
        onClick={onBack}
      >
        Put back
      </button>
      <button
        type="button"
        className="min-h-6 underline"
        aria-label={`Remove ${nameOf(k)} for good`}
        onClick={(e) => onRemove(e.currentTarget)}
      >
        Remove for good
      </button>
    </li>
  );
}

function ForGood({
  asked,
  from,
  onClose,
  onRemove,
}: {
  asked: TakenOut | undefined;
  from: RefObject<HTMLButtonElement | null>;
  onClose: () => void;
  onRemove: (knife: TakenOut) => void;
}) {
  return (
    <Dialog open={asked !== undefined} onClose={onClose} title="Remove for good" from={from}>
      <p className="mt-3">
        {asked && nameOf(asked)} goes at once, with its photographs and its journal. This cannot be undone;
        copies that were made before still hold it.
      </p>
      <button type="button" className="press mt-4" onClick={() => asked && onRemove(asked)}>
        Remove it
      </button>
    </Dialog>
  );
}
