import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useMemo, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { api } from "../../api/client";
import type { Book, Specimen, TourTold } from "../../api/types";
import { drawOpen } from "../../drawing/open";
import { Shapes } from "../../drawing/shapes";
import { Key } from "../../ui/key";
import { useToast } from "../../ui/toasts";
import { useWidth } from "../../ui/use-width";
import { isEntered, withEntered } from "./entered";
import { endTour, isOnTour, tourQuery } from "./use-tour";

interface Onwards {
  id: string;
  specimen: Specimen;
  change: (with_: (now: Specimen) => Specimen) => void;
  station: string;
  onGo: (station: string) => void;
  book: Book;
}

/** Over the bench while the knife of the tour lies on it: what to look at now, and what the last look did. */
export function TourStrip(bench: Onwards) {
  const [isOn, setOn] = useState(() => isOnTour(bench.id));
  const tour = useQuery({ ...tourQuery, enabled: isOn });
  if (!isOn || !tour.data) return null;
  const end = () => {
    endTour();
    setOn(false);
  };
  return <Steps {...bench} tour={tour.data} onEnd={end} />;
}

/** The first that is not answered; the last asks nothing. An undone answer is asked for again. */
const stepAt = (tour: TourTold, specimen: Specimen) => {
  const at = tour.steps.findIndex((s) => !isEntered(specimen, s.known));
  return at < 0 ? tour.steps.length - 1 : at;
};

function Steps({ tour, onEnd, ...bench }: Onwards & { tour: TourTold; onEnd: () => void }) {
  const at = stepAt(tour, bench.specimen);
  const step = tour.steps[at] as TourTold["steps"][number];
  const told = tour.steps[at - 1]?.told;
  const isLast = at === tour.steps.length - 1;
  return (
    <section
      aria-label="Tour"
      className="mx-4 mt-2 flex flex-wrap items-start gap-x-5 gap-y-1 border-b border-blue pb-2 lg:mx-6"
    >
      <TourKnife tour={tour} book={bench.book} />
      <div className="min-w-0 flex-1 basis-72">
        <div role="status">
          {told && <p className="voice text-blue">{told}</p>}
          <p className="max-w-[60rem] text-[1.0625rem]/6">
            <span className="num mr-2 text-ink2">
              {at + 1} of {tour.steps.length}
            </span>
            {step.asks}
          </p>
        </div>
        <div className="mt-1.5 flex flex-wrap items-center gap-x-3 gap-y-1">
          {!isLast && <WaysOn step={step} {...bench} />}
          <button type="button" className="press" onClick={onEnd}>
            End the tour
          </button>
          {isLast && <TakeOut id={bench.id} onDone={onEnd} />}
        </div>
      </div>
    </section>
  );
}

/** To the station the step is about, or its answer given for one. */
function WaysOn({ step, book, station, onGo, change }: Onwards & { step: TourTold["steps"][number] }) {
  const place = book.stations.find((s) => s.id === step.station);
  return (
    <>
      {place && station !== place.id && (
        <button type="button" className="press" onClick={() => onGo(place.id)}>
          To {place.name} <Key>{place.key}</Key>
        </button>
      )}
      <button type="button" className="press" onClick={() => change((now) => withEntered(now, step.known))}>
        Answer it for me
      </button>
    </>
  );
}

/** The knife of the tour is nobody's: it need not stay among one's own. */
function TakeOut({ id, onDone }: { id: string; onDone: () => void }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const toast = useToast();
  const takeOut = async () => {
    try {
      await api.remove(id);
      onDone();
      sessionStorage.removeItem("snikra.last");
      await queries.invalidateQueries({ queryKey: ["tray"] });
      navigate("/tray");
      toast("The tour is over, and its knife taken out of the tray.", async () => {
        await api.restore(id);
        queries.invalidateQueries({ queryKey: ["tray"] });
      });
    } catch (e) {
      toast(`It is still in the tray. ${(e as Error).message}`);
    }
  };
  return (
    <button type="button" className="press" onClick={takeOut}>
      End it and take the knife out
    </button>
  );
}

const WIDE = 300;
const HIGH = 84;
const LARGEST = 3;

function TourKnife({ tour, book }: { tour: TourTold; book: Book }) {
  const box = useRef<HTMLDivElement>(null);
  const width = Math.min(WIDE, useWidth(box, WIDE));
  const drawn = useMemo(
    () => drawOpen(tour.sketch, book, width - 8, HIGH - 8, LARGEST),
    [tour.sketch, book, width],
  );
  return (
    <div ref={box} className="w-full sm:w-[18.75rem]">
      <svg
        width={width}
        height={HIGH}
        viewBox={`-4 -4 ${width} ${HIGH}`}
        className="text-ink"
        role="img"
        aria-label="The knife of the tour, open"
      >
        {[...drawn.blades].reverse().map((b, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a blade is known by its place
          <Shapes key={i} shapes={b.shapes} />
        ))}
        <Shapes shapes={drawn.handle} />
      </svg>
    </div>
  );
}
