import { useMutation, useQuery } from "@tanstack/react-query";
import { useEffect } from "react";
import { Link } from "react-router";
import { useStationName } from "../../api/book";
import { api } from "../../api/client";
import type { Calibrated } from "../../api/types";
import { Failed } from "../../ui/failed";
import { Page } from "../../ui/page";
import { usePageTitle } from "../../ui/page-title";
import { ReliabilityDrawn } from "../../ui/reliability";

type Held = NonNullable<Calibrated["report"]>["half"];

const POLL = 400;

/** How often verdicts on made-up knives are right, by the packs in use. */
export function CalibrationPage() {
  const found = useQuery({
    queryKey: ["calibration"],
    queryFn: api.calibration,
    refetchInterval: (q) => (q.state.data?.report ? false : POLL),
  });
  const begin = useMutation({ mutationFn: api.beginCalibration });
  // Once for each visit: what was worked out for the same packs is there at once.
  useEffect(() => begin.mutate(), [begin.mutate]);
  usePageTitle("How far to trust the verdicts");
  if (found.isError)
    return <Failed what="It could not be worked out." error={found.error} onAgain={() => found.refetch()} />;
  return (
    <Page>
      <h1 className="text-[1.5625rem]/[1.75rem] tracking-tight">How far to trust the verdicts</h1>
      <p className="mt-1 max-w-[46rem] text-ink2">
        Knives are made up from the{" "}
        <Link to="/makers" className="underline">
          packs in use
        </Link>
        , with wear, parts put on later and looks that went wrong, and dated as yours are. A model that knows
        its limits is right as often as it says. It cannot say whether the packs are right.
      </p>
      {found.data?.report ? (
        <Found report={found.data.report} sharpness={found.data.sharpness} />
      ) : (
        <MakingUp done={found.data?.done ?? 0} of={found.data?.of ?? 1} />
      )}
    </Page>
  );
}

function MakingUp({ done, of }: { done: number; of: number }) {
  return (
    <div className="mt-4 max-w-[46rem]">
      <p role="status" className="voice text-ink3">
        Making up knives and dating them; this takes some seconds.
      </p>
      <progress className="mt-1 h-2 w-full" max={of} value={done} aria-label="Knives made up and dated" />
    </div>
  );
}

function Found({ report, sharpness }: { report: Report; sharpness: Calibrated["sharpness"] }) {
  return (
    <>
      <dl className="mt-3 flex flex-wrap gap-x-12 gap-y-2">
        <HeldBySpans name="True year inside the narrow span" asked="half" held={report.half} />
        <HeldBySpans name="True year inside the wide span" asked="nine in ten" held={report.nineTenths} />
        <div>
          <dt className="text-ink2">Knives</dt>
          <dd className="num text-[1.9375rem]/9">{report.knives}</dd>
        </div>
      </dl>
      <div className="mt-4 grid gap-8 border-t border-ink pt-2 md:grid-cols-3">
        <ReliabilityDrawn name="Who made it" found={report.maker} of="knives" />
        <ReliabilityDrawn name="All of a piece" found={report.state} of="knives" />
        <section>
          <h2 className="text-[1.1875rem]/[1.375rem]">What each station is worth</h2>
          <p className="text-ink2">How long the wide spans are, in the middle, without it.</p>
          <ul className="mt-1">
            {sharpness.map((s) => (
              <Sharpness key={s.station ?? "all"} without={s} all={sharpness[0]?.years ?? 0} />
            ))}
          </ul>
        </section>
      </div>
    </>
  );
}

type Report = NonNullable<Calibrated["report"]>;

/** How long spans are without what one station tells; no rule where the difference is not sure. */
function Sharpness({ without: s, all }: { without: Calibrated["sharpness"][number]; all: number }) {
  const stationName = useStationName();
  const long = Math.min(100, (50 * s.years) / Math.max(1, all));
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_8.5rem_3rem] items-center gap-x-2 border-b border-rule">
      <span>{s.station ? `without ${stationName(s.station).toLowerCase()}` : "all looked at"}</span>
      {s.surely ? (
        <svg width="100%" height="5" viewBox="0 0 100 5" preserveAspectRatio="none" aria-hidden="true">
          <path d={`M0 2.5H${long}`} stroke="currentColor" strokeWidth="5" />
        </svg>
      ) : (
        <span className="voice text-ink2">no sure difference</span>
      )}
      <span className="num text-right">{Math.round(s.years)} y</span>
    </li>
  );
}

const inAHundred = (share: number) => (100 * share).toFixed(1);

/** How often spans held the year, beside how often they should and how far chance reaches. */
function HeldBySpans({ name, asked, held }: { name: string; asked: string; held: Held }) {
  return (
    <div>
      <dt className="text-ink2">{name}</dt>
      <dd>
        <span className="num text-[1.9375rem]/9 text-blue">{inAHundred(held.was)}%</span>
        <span className="block max-w-[19rem] text-ink2">
          Asked of them is {asked}; being of whole years they say{" "}
          <span className="num">{inAHundred(held.said)}</span>, and chance alone moves that, nineteen times in
          twenty, by no more than <span className="num">{inAHundred(held.chance)}</span>.
        </span>
      </dd>
    </div>
  );
}
