import { type QueryClient, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { Link, Navigate, useNavigate, useParams, useSearchParams } from "react-router";
import { api, Refused } from "../../api/client";
import { gradingQuery } from "../../api/grading";
import { ON_THE_BENCH } from "../../api/own";
import type { Book, SavedKnife, Station } from "../../api/types";
import { titleBy } from "../../format";
import { useKeys } from "../../keys";
import { usePreferences } from "../../preferences";
import { Dialog } from "../../ui/dialog";
import { TourStrip } from "../tour/strip";
import type { PointedAt } from "./fault-marks";
import { InstrumentsProvider } from "./instruments";
import { Panel } from "./panel";
import { Photos } from "./photos";
import { type FaceOf, Plate } from "./plate";
import { Rail } from "./rail";
import { rememberLast, repeatLast } from "./repeat";
import { livingTabs, nameTab, recallDraft } from "./saving/drafts";
import type { Draft } from "./saving/machine";
import { SpanChart } from "./span-chart";
import { useGoing } from "./use-going";
import { type Knife, useKnife } from "./use-knife";
import { VerdictPanel } from "./verdict-panel";
import { VerdictStrip } from "./verdict-strip";

/** One knife under examination. */
export function Bench({ book }: { book: Book }) {
  const { id } = useParams();
  const queries = useQueryClient();
  const knife = useQuery({
    queryKey: [ON_THE_BENCH, id],
    queryFn: () => layOut(id as string, queries),
    enabled: id !== undefined,
    refetchOnWindowFocus: false,
    staleTime: 0,
    gcTime: 0,
  });
  if (!id) return <NothingOnTheBench />;
  if (knife.isError) return <NotLaidOut why={knife.error} onAgain={() => knife.refetch()} />;
  if (!knife.data || knife.isFetching) return <p className="voice p-6 text-ink3">Laying it out.</p>;
  return (
    <InstrumentsProvider key={id} knife={id}>
      <OnTheBench {...knife.data} book={book} />
    </InstrumentsProvider>
  );
}

function NotLaidOut({ why, onAgain }: { why: Error; onAgain: () => void }) {
  if (why instanceof Refused && why.status === 404) sessionStorage.removeItem("snikra.last");
  return (
    <p role="alert" className="p-6 text-lead">
      {why.message}{" "}
      <button type="button" className="underline" onClick={onAgain}>
        Try again
      </button>{" "}
      <Link to="/tray" className="underline">
        To the tray
      </Link>
    </p>
  );
}

function NothingOnTheBench() {
  const last = sessionStorage.getItem("snikra.last");
  if (last) return <Navigate to={`/bench/${last}`} replace />;
  return (
    <main className="p-6">
      <h1 className="text-[1.5625rem]">Nothing on the bench</h1>
      <p className="voice mt-2 text-ink2">
        Take a knife from the{" "}
        <Link to="/tray" className="underline">
          tray
        </Link>
        , or lay out a new one with N.
      </p>
    </main>
  );
}

// Of the blade in hand, or else of the last.
const likeTheBladeBefore = () => {
  const offers = [...document.querySelectorAll<HTMLButtonElement>("#station [data-as-before]")];
  const row = document.activeElement?.closest("fieldset");
  (offers.find((o) => row?.contains(o)) ?? offers.at(-1))?.click();
};

const toAnswers = () => document.querySelector<HTMLElement>("#station [data-answers] button")?.focus();

/** Large where one works with the drawing, small where it makes room for answers; or as one chose. */
function useDrawingSize(asUsual: boolean) {
  const [chosen, setChosen] = useState<boolean>();
  const isLarge = chosen ?? asUsual;
  return { isLarge, toggle: () => setChosen(isLarge === !asUsual ? undefined : !isLarge) };
}

interface LaidOut {
  saved: SavedKnife;
  /** What was entered before and never reached the server. */
  draft: Draft | undefined;
  tab: string;
}

const thisTab = nameTab();

async function layOut(id: string, queries: QueryClient): Promise<LaidOut> {
  const [saved, tab, living] = await Promise.all([
    api.knife(id),
    thisTab,
    livingTabs(),
    queries.ensureQueryData(gradingQuery),
  ]);
  return { saved, draft: recallDraft(id, tab, living), tab };
}

function OnTheBench({ saved, draft, tab, book }: LaidOut & { book: Book }) {
  const knife = useKnife(saved, draft, tab);
  const [query, setQuery] = useSearchParams();
  const at = book.stations.find((s) => s.id === query.get("at")) ?? (book.stations[0] as Station);
  const station = at.id;
  const drawing = useDrawingSize(at.drawnLarge);
  const go = useGoing(station, (to) => setQuery({ at: to }, { replace: true }));
  const next = nextStation(knife);
  useBenchKeys({ knife, book, station, id: saved.id, go, next, resize: drawing.toggle });
  useLastKnife(saved.id, knife);
  return (
    <main className="max-[80rem]:pb-16">
      <h1 className="sr-only">The bench</h1>
      <Rail progress={knife.verdict?.progress} current={station} onGo={go} stations={book.stations} />
      <TourStrip
        id={saved.id}
        specimen={knife.specimen}
        change={knife.change}
        station={station}
        onGo={go}
        book={book}
      />
      <div className="mx-4 grid border-b border-ink min-[80rem]:grid-cols-[minmax(0,1fr)_23.25rem] min-[80rem]:gap-x-6 lg:mx-6">
        <div className="min-w-0">
          <InHand knife={knife} book={book} station={station} onGo={go} drawing={drawing} />
          <Photos book={book} id={saved.id} knife={knife} />
        </div>
        <VerdictPanel id={saved.id} knife={knife} next={next} onGo={go} />
      </div>
      {knife.verdict && <SpanChart dating={knife.verdict.dating} onGo={go} />}
      <VerdictStrip verdict={knife.verdict} />
      <ChangedElsewhere knife={knife} />
    </main>
  );
}

/** The drawing with the station under it: they share the face and the point in hand. */
function InHand({
  knife,
  book,
  station,
  onGo,
  drawing,
}: {
  knife: Knife;
  book: Book;
  station: string;
  onGo: (station: string) => void;
  drawing: ReturnType<typeof useDrawingSize>;
}) {
  const [face, setFace] = useState<FaceOf>({ blade: 1, side: "mark" });
  const [asked, setAsked] = useState<PointedAt>();
  const shared = { knife, book, station, face, onFace: setFace };
  return (
    <>
      <Plate {...shared} onGo={onGo} asked={asked} isLarge={drawing.isLarge} onResize={drawing.toggle} />
      <Panel {...shared} onPoint={setAsked} />
    </>
  );
}

function useBenchKeys({
  knife,
  book,
  station,
  id,
  go,
  next,
  resize,
}: {
  knife: Knife;
  book: Book;
  station: string;
  id: string;
  go: (station: string) => void;
  next: string | undefined;
  resize: () => void;
}) {
  const navigate = useNavigate();
  useKeys({
    ...Object.fromEntries(book.stations.map((s) => [s.key.toLowerCase(), () => go(s.id)])),
    a: toAnswers,
    d: resize,
    g: () => next && go(next),
    r: () => repeatLast(knife, station, book),
    p: () => navigate(`/bench/${id}/verdict`),
    l: () => navigate(`/bench/${id}/resembles`),
    j: () => navigate(`/bench/${id}/journal`),
    "+": () => document.querySelector<HTMLButtonElement>("#station [data-adds]")?.click(),
    "=": likeTheBladeBefore,
    "mod+z": () => knife.undo?.(),
    "mod+shift+z": () => knife.redo?.(),
    "mod+y": () => knife.redo?.(),
  });
}

/** Remembers which knife was last in hand, and tells it in the title of the page. */
function useLastKnife(id: string, { specimen, verdict }: Knife) {
  const { school } = usePreferences();
  useEffect(() => sessionStorage.setItem("snikra.last", id), [id]);
  useEffect(() => rememberLast(id, specimen), [id, specimen]);
  useEffect(() => {
    const name = specimen.title ?? (verdict && titleBy(school, verdict.pattern)) ?? "Knife";
    document.title = `${name} \u2013 Snikra`;
  }, [specimen.title, verdict, school]);
}

/** First in working order: a station nobody has looked at, else one not finished. */
function nextStation(knife: Knife): string | undefined {
  const progress = knife.verdict?.progress ?? [];
  return (progress.find((p) => p.looked === 0) ?? progress.find((p) => p.looked < p.of))?.station;
}

function ChangedElsewhere({ knife }: { knife: Knife }) {
  const changed = knife.save.kind === "changed-elsewhere";
  const [later, setLater] = useState(false);
  useEffect(() => {
    if (!changed) setLater(false);
  }, [changed]);
  return (
    <>
      {changed && later && (
        <p
          className="fixed inset-x-0 bottom-0 z-20 border-t border-ink bg-lead-wash px-6 py-2 text-lead"
          role="status"
        >
          This knife was changed elsewhere; what you enter here is kept in this browser and not saved.{" "}
          <button type="button" className="underline" onClick={() => setLater(false)}>
            Choose which to keep
          </button>
        </p>
      )}
      <Dialog open={changed && !later} onClose={() => setLater(true)} title="Changed elsewhere">
        <WhichToKeep onChoose={knife.choose} />
      </Dialog>
    </>
  );
}

function WhichToKeep({ onChoose }: { onChoose: Knife["choose"] }) {
  return (
    <>
      <p className="mt-3">
        This knife was changed in another tab since it was opened here. Nothing is lost: choose which state to
        keep. Closed without a choice, both stay as they are, and it is asked again. The other can be brought
        back with undo while this page is open.
      </p>
      <div className="mt-4 flex gap-3">
        <button type="button" className="press" onClick={() => onChoose("mine")}>
          Keep what is here
        </button>
        <button type="button" className="press" onClick={() => onChoose("theirs")}>
          Take the other
        </button>
      </div>
    </>
  );
}
