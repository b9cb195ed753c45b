import { useQuery } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { api } from "../../api/client";
import type { TakenOut } from "../../api/types";
import { Dialog } from "../../ui/dialog";
import { Failed } from "../../ui/failed";
import type { Attempt } from ".";
import { day } from "./words";

/** Knives that were taken out of the tray: for thirty days they can be put back. */
export function TakenOutKnives({ attempt }: { attempt: Attempt }) {
  const taken = useQuery({ queryKey: ["taken-out"], queryFn: api.takenOut });
  const [asked, setAsked] = useState<TakenOut>();
  const opener = useRef<HTMLButtonElement>(null);
  const name = (k: TakenOut) => k.title ?? `Knife ${k.number}`;
  const letGo = async (k: TakenOut) => {
    setAsked(undefined);
    await attempt(() => api.letGo(k.id), `${name(k)} is gone, with its photographs and its journal.`);
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
          <li key={k.id} className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-0.5">
            <span className="num">{k.number}</span>
            <span className="min-w-0 flex-1 truncate">{name(k)}</span>
            <span className="voice text-ink2">kept until {day(k.until)}</span>
            <button
              type="button"
              className="min-h-6 underline"
              aria-label={`Put ${name(k)} back in the tray`}
              onClick={() => attempt(() => api.restore(k.id), `${name(k)} is back in the tray.`)}
            >
              Put back
            </button>
            <button
              type="button"
              className="min-h-6 underline"
              aria-label={`Remove ${name(k)} for good`}
              onClick={(e) => {
                opener.current = e.currentTarget;
                setAsked(k);
              }}
            >
              Remove for good
            </button>
          </li>
        ))}
      </ul>
      <Dialog
        open={asked !== undefined}
        onClose={() => setAsked(undefined)}
        title="Remove for good"
        from={opener}
      >
        <p className="mt-3">
          {asked && name(asked)} goes at once, with its photographs and its journal. This cannot be undone;
          copies that were made before still hold it.
        </p>
        <button type="button" className="press mt-4" onClick={() => asked && letGo(asked)}>
          Remove it
        </button>
      </Dialog>
    </section>
  );
}
