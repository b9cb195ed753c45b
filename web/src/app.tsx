import { lazy, Suspense, useRef, useState } from "react";
import { Navigate, NavLink, Route, Routes, useNavigate } from "react-router";
import { useBook } from "./api/book";
import { api } from "./api/client";
import type { Book } from "./api/types";
import { unseen } from "./api/unseen";
import { Tray } from "./features/tray";
import { Help } from "./help";
import { useKeys } from "./keys";
import { PreferencesProvider, type Units, usePreferences } from "./preferences";
import { Failed } from "./ui/failed";
import { Key } from "./ui/key";
import { ToastProvider, useToast } from "./ui/toasts";
import { WordsProvider } from "./ui/worded";

// The tray is there at once; the other rooms come when one goes to them.
const Makers = lazy(() => import("./features/makers").then((m) => ({ default: m.Makers })));
const VerdictSheet = lazy(() => import("./features/sheet").then((m) => ({ default: m.VerdictSheet })));
const CalibrationPage = lazy(() =>
  import("./features/makers/calibration").then((m) => ({ default: m.CalibrationPage })),
);
const JournalPage = lazy(() => import("./features/journal").then((m) => ({ default: m.JournalPage })));
const Resembles = lazy(() => import("./features/resembles").then((m) => ({ default: m.Resembles })));
const CarriedPage = lazy(() => import("./features/carried").then((m) => ({ default: m.CarriedPage })));
const SetPage = lazy(() => import("./features/sets").then((m) => ({ default: m.SetPage })));
const TimeLinePage = lazy(() => import("./features/time-line").then((m) => ({ default: m.TimeLinePage })));
const OfYearPage = lazy(() => import("./features/sets/of-year").then((m) => ({ default: m.OfYearPage })));
const CollectionPage = lazy(() =>
  import("./features/collection").then((m) => ({ default: m.CollectionPage })),
);
const WantedPage = lazy(() => import("./features/wanted").then((m) => ({ default: m.WantedPage })));
const TogetherPage = lazy(() => import("./features/together").then((m) => ({ default: m.TogetherPage })));
const OneMarkPage = lazy(() => import("./features/one-mark").then((m) => ({ default: m.OneMarkPage })));
const PrintedPage = lazy(() => import("./features/printed").then((m) => ({ default: m.PrintedPage })));
const QuickPage = lazy(() => import("./features/quick").then((m) => ({ default: m.QuickPage })));
const PracticePage = lazy(() => import("./features/practice").then((m) => ({ default: m.PracticePage })));
const HandbookPage = lazy(() => import("./features/handbook").then((m) => ({ default: m.HandbookPage })));
const KeepingPage = lazy(() => import("./features/keeping").then((m) => ({ default: m.KeepingPage })));
const JudgementPage = lazy(() =>
  import("./features/makers/judgement").then((m) => ({ default: m.JudgementPage })),
);
const WordsPage = lazy(() => import("./features/words").then((m) => ({ default: m.WordsPage })));
const ProvenanceSheet = lazy(() => import("./features/story").then((m) => ({ default: m.ProvenanceSheet })));
const SchedulesPage = lazy(() => import("./features/schedules").then((m) => ({ default: m.SchedulesPage })));
const ConditionReport = lazy(() => import("./features/report").then((m) => ({ default: m.ConditionReport })));
const SchoolsPage = lazy(() => import("./features/schools").then((m) => ({ default: m.SchoolsPage })));
const LedgerPage = lazy(() => import("./features/ledger").then((m) => ({ default: m.LedgerPage })));
const SalesPage = lazy(() => import("./features/sales").then((m) => ({ default: m.SalesPage })));
const CarePage = lazy(() => import("./features/care").then((m) => ({ default: m.CarePage })));
const Bench = lazy(() => import("./features/bench").then((m) => ({ default: m.Bench })));

export function App() {
  return (
    <PreferencesProvider>
      <ToastProvider>
        <Sheet />
      </ToastProvider>
    </PreferencesProvider>
  );
}

/** Where the bench was left, to come back to it. */
const lastKnife = () => sessionStorage.getItem("snikra.last");

/** Lays out a new knife and goes to it. */
function useNewKnife() {
  const navigate = useNavigate();
  const toast = useToast();
  // The same until it was kept: asked for twice because no answer came, it is laid out once.
  const newId = useRef(crypto.randomUUID());
  return async (begins: Begins = {}) => {
    try {
      const knife = await api.add(newId.current, unseen(begins));
      newId.current = crypto.randomUUID();
      navigate(`/bench/${knife.id}`);
    } catch (e) {
      toast(`No knife was laid out. ${(e as Error).message}`);
    }
  };
}

interface Begins {
  title?: string;
  note?: string;
}

type NewKnife = ReturnType<typeof useNewKnife>;

function Sheet() {
  const navigate = useNavigate();
  const [help, setHelp] = useState(false);
  const { units, setUnits } = usePreferences();
  const book = useBook();
  const newKnife = useNewKnife();
  useKeys({
    b: () => navigate(lastKnife() ? `/bench/${lastKnife()}` : "/bench"),
    t: () => navigate("/tray"),
    m: () => navigate("/makers"),
    w: () => navigate(`/words?at=${new URLSearchParams(location.search).get("at") ?? ""}`),
    y: () => navigate("/sales"),
    x: () => navigate("/ledger"),
    k: () => navigate("/keeping"),
    u: () => setUnits(units === "in" ? "mm" : "in"),
    n: () => newKnife(),
    q: () => navigate("/quick"),
    i: () => navigate("/practice"),
    h: () => navigate("/handbook"),
    "?": () => setHelp(true),
  });

  return (
    <>
      <Head onNew={newKnife} onHelp={() => setHelp(true)} />
      {book.isError && (
        <Failed what="The book could not be opened." error={book.error} onAgain={() => book.refetch()} />
      )}
      {book.data && (
        <WordsProvider>
          <Suspense fallback={<p className="voice p-6 text-ink3">Laying it out.</p>}>
            <RoomsOf book={book.data} onNew={newKnife} />
          </Suspense>
        </WordsProvider>
      )}
      <Help open={help} onClose={() => setHelp(false)} cautions={book.data?.cautions ?? []} />
    </>
  );
}

/** The head of every page: the rooms, a new knife, the measures and the keys. */
function Head({ onNew, onHelp }: { onNew: NewKnife; onHelp: () => void }) {
  const { units, setUnits } = usePreferences();
  return (
    <header className="flex min-h-11 flex-wrap items-center gap-x-6 border-b max-sm:gap-x-3.5 border-ink px-4 lg:px-6">
      <NavLink
        to="/tray"
        className="flex min-h-6 min-w-6 items-center gap-2 font-serif text-[1.3125rem]/none font-medium tracking-tight"
      >
        <Mark />
        <span className="max-md:sr-only">Snikra</span>
      </NavLink>
      <nav aria-label="Rooms" className="flex flex-wrap gap-4 max-sm:gap-x-2 max-sm:gap-y-0">
        <Room to={lastKnife() ? `/bench/${lastKnife()}` : "/bench"} name="Bench" shortcut="B" />
        <Room to="/tray" name="Tray" shortcut="T" />
        <Room to="/makers" name="Makers" shortcut="M" />
        <Room to="/sales" name="Sales" shortcut="Y" />
        <Room to="/ledger" name="Ledger" shortcut="X" />
        <Room to="/keeping" name="Keeping" shortcut="K" />
        <Room to="/words" name="Words" shortcut="W" />
      </nav>
      <div className="ml-auto flex items-center gap-4 py-1 text-ink2">
        <button type="button" className="press" onClick={() => onNew()}>
          New knife
        </button>
        <UnitSwitch units={units} onChange={setUnits} />
        <button type="button" className="flex min-h-6 items-center gap-1.5" onClick={onHelp}>
          <span className="max-sm:hidden">All keys</span> <Key>?</Key>
          <span className="sr-only sm:hidden">All keys</span>
        </button>
      </div>
    </header>
  );
}

function RoomsOf({ book, onNew }: { book: Book; onNew: NewKnife }) {
  return (
    <Routes>
      <Route path="/bench" element={<Bench book={book} />} />
      <Route path="/bench/:id" element={<Bench book={book} />} />
      <Route path="/bench/:id/verdict" element={<VerdictSheet book={book} />} />
      <Route path="/bench/:id/condition" element={<ConditionReport book={book} />} />
      <Route path="/bench/:id/story" element={<ProvenanceSheet book={book} />} />
      <Route path="/bench/:id/journal" element={<JournalPage book={book} />} />
      <Route path="/bench/:id/resembles" element={<Resembles book={book} />} />
      <Route path="/tray" element={<Tray book={book} onNew={() => onNew()} />} />
      <Route path="/makers" element={<Makers />} />
      <Route path="/makers/:id" element={<Makers />} />
      <Route path="/makers/:id/time-line" element={<TimeLinePage book={book} />} />
      <Route path="/makers/:id/set" element={<SetPage book={book} />} />
      <Route path="/years/:year" element={<OfYearPage />} />
      <Route path="/collection" element={<CollectionPage book={book} />} />
      <Route path="/wanted" element={<WantedPage book={book} />} />
      <Route path="/one-mark" element={<OneMarkPage book={book} />} />
      <Route path="/catalogue" element={<PrintedPage book={book} />} />
      <Route path="/together" element={<TogetherPage book={book} />} />
      <Route path="/quick" element={<QuickPage onBench={(title, note) => onNew({ title, note })} />} />
      <Route path="/practice" element={<PracticePage book={book} />} />
      <Route path="/handbook" element={<HandbookPage book={book} />} />
      <Route path="/keeping" element={<KeepingPage />} />
      <Route path="/care" element={<CarePage />} />
      <Route path="/carried" element={<CarriedPage />} />
      <Route path="/sales" element={<SalesPage book={book} />} />
      <Route path="/ledger" element={<LedgerPage />} />
      <Route path="/schedules" element={<SchedulesPage />} />
      <Route path="/grading" element={<SchoolsPage book={book} />} />
      <Route path="/words" element={<WordsPage book={book} />} />
      <Route path="/judgement" element={<JudgementPage />} />
      <Route path="/calibration" element={<CalibrationPage />} />
      <Route path="*" element={<Navigate to="/tray" replace />} />
    </Routes>
  );
}

function Room({ to, name, shortcut }: { to: string; name: string; shortcut: string }) {
  return (
    <NavLink
      to={to}
      className="-mb-px flex h-11 items-center gap-1.5 border-b-[3px] border-transparent pt-[3px] text-ink2 aria-[current=page]:border-blue aria-[current=page]:font-semibold aria-[current=page]:text-ink"
    >
      {name}{" "}
      <span className="max-lg:hidden">
        <Key>{shortcut}</Key>
      </span>
    </NavLink>
  );
}

function UnitSwitch({ units, onChange }: { units: Units; onChange: (units: Units) => void }) {
  return (
    <fieldset className="flex items-center gap-1.5">
      <legend className="sr-only">Measures in</legend>
      {(["in", "mm"] as const).map((u) => (
        <button
          key={u}
          type="button"
          aria-pressed={units === u}
          className="press -ml-px"
          onClick={() => onChange(u)}
        >
          {u === "in" ? "inches" : "mm"}
        </button>
      ))}
      <span className="max-sm:hidden">
        <Key>U</Key>
      </span>
    </fieldset>
  );
}

function Mark() {
  return (
    <svg width="30" height="18" viewBox="0 0 30 18" aria-hidden="true">
      <path d="M9 13.5 1.2 5.2" stroke="currentColor" strokeWidth="1.5" fill="none" />
      <path d="M9 13.5h20" stroke="currentColor" strokeWidth="3" fill="none" />
      <circle
        cx="9"
        cy="13.5"
        r="2.6"
        fill="var(--color-paper)"
        stroke="var(--color-blue)"
        strokeWidth="1.8"
      />
    </svg>
  );
}
