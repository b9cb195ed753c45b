import { useMutation } from "@tanstack/react-query";
import { useStationName } from "../../api/book";
import { api, Refused } from "../../api/client";
import type { Book, Glance, PracticeTold, RoundTold } from "../../api/types";
import { KnifeDrawn } from "../sheet/knife-drawn";
import { GuessAt } from "./guess-at";
import { Strike } from "./strike";
import { glances } from "./words";

/** A knife in hand: looks that are counted, and what one makes of it. */
export function InHand({
  round,
  told,
  book,
  onRound,
}: {
  round: RoundTold;
  told: PracticeTold;
  book: Book;
  onRound: (after: RoundTold) => void;
}) {
  const look = useMutation({ mutationFn: (id: string) => api.takeLook(round.id, id), onSuccess: onRound });
  return (
    <div className="mt-3 grid gap-x-10 gap-y-5 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <section aria-label="The knife" className="min-w-0">
        {round.drawn && <KnifeDrawn sketch={round.drawn} book={book} label="The knife in hand" />}
        <Strike faces={round.knife?.marks ?? []} />
        <div className="mt-2 flex items-baseline gap-3 border-b border-ink pb-0.5">
          <h2 className="text-[1.1875rem]/[1.375rem]">Look at</h2>
          <p className="text-[0.8125rem] text-ink2 max-sm:hidden">glances it takes stand beside it</p>
          <p className="ml-auto text-ink2" role="status">
            <span className="num text-ink">{glances(round.left)}</span> left
          </p>
        </div>
        {look.isError && (
          <p role="alert" className="mt-1 text-lead">
            {look.error instanceof Refused
              ? (look.error.problems[0]?.accepted ?? look.error.message)
              : look.error.message}
          </p>
        )}
        <Looks
          looks={round.looks}
          left={round.left}
          isLooking={look.isPending}
          onLook={(id) => look.mutate(id)}
        />
      </section>
      <GuessAt round={round} told={told} onRound={onRound} />
    </div>
  );
}

function Looks({
  looks,
  left,
  isLooking,
  onLook,
}: {
  looks: Glance[];
  left: number;
  isLooking: boolean;
  onLook: (id: string) => void;
}) {
  const stationName = useStationName();
  const stations = [...new Set(looks.map((l) => l.station))];
  return (
    <dl className="mt-1 columns-1 gap-x-6 sm:columns-2">
      {stations.map((station) => (
        <div key={station} className="mb-2 break-inside-avoid">
          <dt className="text-[0.78125rem]/4 font-semibold text-ink2">{stationName(station)}</dt>
          {looks
            .filter((l) => l.station === station)
            .map((l) => (
              <dd key={l.id} className="border-b border-rule">
                {l.answer === undefined ? (
                  <button
                    type="button"
                    className="flex min-h-6 w-full items-baseline gap-2 text-left hover:bg-bone disabled:text-ink3"
                    disabled={isLooking || l.glances > left}
                    onClick={() => onLook(l.id)}
                  >
                    <span className="min-w-0 flex-1">{l.label}</span>
                    <span className="num text-[0.78125rem] text-ink2" title={`takes ${glances(l.glances)}`}>
                      {l.glances}
                    </span>
                  </button>
                ) : (
                  <p className="flex min-h-6 items-baseline gap-2">
                    <span className="text-ink2">{l.label}</span>
                    <span className="ml-auto text-right font-semibold">
                      {l.id === "marks" ? "as it stands above" : l.answer}
                    </span>
                  </p>
                )}
              </dd>
            ))}
        </div>
      ))}
    </dl>
  );
}
