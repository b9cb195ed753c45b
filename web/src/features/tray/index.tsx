import { useQuery } from "@tanstack/react-query";
import { useEffect, useMemo, useRef, useState } from "react";
import { Link, useNavigate } from "react-router";
import { api } from "../../api/client";
import type { Book, ReadableEntry, TrayEntry } from "../../api/types";
import { today } from "../../format";
import { useKeys } from "../../keys";
import { useKept } from "../../preferences";
import { Failed } from "../../ui/failed";
import { Key } from "../../ui/key";
import { usePageTitle } from "../../ui/page-title";
import { PopUp } from "../../ui/pop-up";
import { Opens } from "../../ui/select";
import { BringPhotos } from "../folder/bring-photos";
import { BringList } from "../list/bring-list";
import { askAgain, leftOf } from "./ask-again";
import { EmptyTray } from "./empty-tray";
import { Facets } from "./facets";
import { KeptSearches } from "./kept-searches";
import { Knives } from "./knives";
import { Labels } from "./labels";
import { inOrder, ORDERS, type Order } from "./order";
import { SearchLine } from "./search-line";
import { SpansBelow } from "./spans-below";
import { KnivesTable } from "./table";
import { TimeLine } from "./time-line";
import { Unreadable } from "./unreadable";
import { type Search, useSearch } from "./use-search";
import { useTakingOut } from "./use-taking-out";

/** The collection, each knife in a compartment cut to its length. */
export function Tray({ book, onNew }: { book: Book; onNew: () => void }) {
  const tray = useQuery({
    queryKey: ["tray"],
    queryFn: api.tray,
    refetchInterval: ({ state }) => askAgain(state.data),
  });
  const [bringing, setBringing] = useState(false);
  const [withPhotos, setWithPhotos] = useState(false);
  usePageTitle("The tray");
  const takeOut = useTakingOut();
  const all = tray.data ?? [];
  const unreadable = all.filter((k) => k.unreadable !== undefined);
  const isLaidOut = all.some(isReadable);
  useKeptPlace(isLaidOut);
  return (
    <main className="mx-4 lg:mx-6">
      <h1 className="sr-only">The tray</h1>
      {bringing && <BringList onClose={() => setBringing(false)} />}
      {withPhotos && <BringPhotos tray={all} book={book} onClose={() => setWithPhotos(false)} />}
      {tray.isError && (
        <Failed what="The tray could not be opened." error={tray.error} onAgain={() => tray.refetch()} />
      )}
      {tray.isPending && <p className="voice mt-4 text-ink3">Opening the tray.</p>}
      {unreadable.length > 0 && <Unreadable knives={unreadable} onRemove={(k) => takeOut([k])} />}
      {tray.isSuccess && all.length === 0 && <EmptyTray onNew={onNew} onList={() => setBringing(true)} />}
      {all.length > unreadable.length && (
        <Laid
          tray={all}
          book={book}
          onRemove={takeOut}
          onList={() => setBringing(true)}
          onPhotos={() => setWithPhotos(true)}
        />
      )}
    </main>
  );
}

/** A tray with knives in it: the search over them, and they beside what they have in common. */
function Laid({ tray, book, onRemove, onList, onPhotos }: OfTray) {
  const [view, setView] = useKept<View>("tray-view", "drawings");
  const left = leftOf(tray);
  const [order, setOrder] = useKept<Order>("order", "shortest");
  const knives = useMemo(() => inOrder(tray.filter(isReadable), order), [tray, order]);
  const search = useSearch(true, left);
  const { found, chances } = useFound(knives, search);
  const navigate = useNavigate();
  const box = useRef<HTMLInputElement>(null);
  useKeys({ "/": () => box.current?.focus() });
  const first = knives.find((k) => found.has(k.id));
  return (
    <>
      <SearchLine
        search={search}
        box={box}
        onEnter={() => search.isAsking && first && navigate(`/bench/${first.id}`)}
      >
        <HowMany search={search} found={found.size} of={knives.length} />
        {view !== "table" && <OrderChoice order={order} onChange={setOrder} />}
        <ViewChoice view={view} onChange={setView} />
        <InAndOut search={search} onList={onList} onPhotos={onPhotos} />
      </SearchLine>
      <BesideTheTray asked={search.asked} />
      <NotYet search={search} left={left} of={tray.length} />
      <Beside search={search} left={left}>
        <Shown {...{ view, knives, found, chances, book, onRemove }} isAsking={search.isAsking} />
        {found.size === 0 && <p className="voice mt-2 text-ink2">Nothing in the tray answers to that.</p>}
        <ToLookAtAgain knives={knives} />
        <InThePocket knives={knives} />
        {view !== "time line" && <SpansBelow knives={knives} found={found} />}
      </Beside>
    </>
  );
}

function InAndOut({ search, onList, onPhotos }: Pick<OfTray, "onList" | "onPhotos"> & { search: Search }) {
  return (
    <>
      <button type="button" className="press" onClick={onList}>
        Add a list
      </button>
      <button type="button" className="press" onClick={onPhotos}>
        Photographs
      </button>
      <SaveAs search={search} />
    </>
  );
}

interface OfTray {
  tray: TrayEntry[];
  book: Book;
  onRemove: (knives: TrayEntry[]) => void;
  onList: () => void;
  onPhotos: () => void;
}

/** That the search failed, or how many knives are still to be worked out. */
function NotYet({ search, left, of }: { search: Search; left: number; of: number }) {
  return (
    <>
      {search.error && (
        <Failed what="The tray could not be searched." error={search.error} onAgain={search.again} />
      )}
      {left > 0 && (
        <p className="voice mt-2 text-ink2" role="status">
          {left.toLocaleString()} of {of.toLocaleString()} still being worked out; the rest is here already.
        </p>
      )}
    </>
  );
}

function HowMany({ search, found, of }: { search: Search; found: number; of: number }) {
  return (
    <>
      <p className="voice text-ink2" role="status">
        {search.isAsking
          ? `${found.toLocaleString()} of ${of.toLocaleString()}`
          : `${of.toLocaleString()} ${of === 1 ? "knife" : "knives"}`}
      </p>
      {search.isAsking && (
        <button type="button" className="press" onClick={search.clear}>
          Show all
        </button>
      )}
    </>
  );
}

function BesideTheTray({ asked }: { asked: string }) {
  return (
    <nav
      aria-label="Beside the tray"
      className="flex flex-wrap justify-end gap-x-5 text-ink2 max-lg:mt-1 max-sm:justify-start"
    >
      <Link to={`/collection?${asked}`} className="inline-block min-h-6 underline">
        In pictures
      </Link>
      <Link to="/wanted" className="inline-block min-h-6 underline">
        Wanted
      </Link>
      <Link to="/quick" className="inline-block min-h-6 underline">
        Quick look
      </Link>
      <Link to="/practice" className="inline-block min-h-6 underline">
        Practice
      </Link>
    </nav>
  );
}

/** The knives as one would see them. */
function Shown({
  view,
  knives,
  found,
  chances,
  isAsking,
  book,
  onRemove,
}: {
  view: View;
  knives: ReadableEntry[];
  isAsking: boolean;
  book: Book;
  onRemove: (knives: TrayEntry[]) => void;
} & ReturnType<typeof useFound>) {
  const answering = knives.filter((k) => found.has(k.id));
  if (view === "time line") return <TimeLine knives={answering} book={book} />;
  if (view === "table") return <KnivesTable knives={answering} book={book} onRemove={onRemove} />;
  return (
    <Knives
      knives={knives}
      found={found}
      isAsking={isAsking}
      chances={chances}
      book={book}
      onRemove={(k) => onRemove([k])}
    />
  );
}

/** What the knives have in common at the left of them; on a narrow screen above, once it is asked for. */
function Beside({ search, left, children }: { search: Search; left: number; children: React.ReactNode }) {
  const [isOpen, setOpen] = useState(false);
  const column = useRef<HTMLElement>(null);
  const show = () => {
    setOpen(true);
    requestAnimationFrame(() => column.current?.querySelector<HTMLElement>("input")?.focus());
  };
  useKeys({ f: show });
  return (
    <div className="mt-2 grid grid-cols-[minmax(0,1fr)] gap-x-5 lg:grid-cols-[13.5rem_minmax(0,1fr)]">
      <aside ref={column} aria-label="Narrow down" className="min-w-0">
        <button
          type="button"
          className="press lg:hidden"
          aria-expanded={isOpen}
          onClick={() => setOpen(!isOpen)}
        >
          Narrow down{search.ticks.length > 0 ? ` (${search.ticks.length})` : ""}
        </button>
        <p className="mt-1 flex items-center justify-between text-ink2 max-lg:hidden">
          Narrow down <Key>F</Key>
        </p>
        <div className={`mt-2 ${isOpen ? "" : "max-lg:hidden"}`}>
          <KeptSearches search={search} left={left} />
          <Facets search={search} />
        </div>
      </aside>
      <div className="min-w-0">{children}</div>
    </div>
  );
}

/** What was found, to save: as a table to read, or as it is kept. */
function SaveAs({ search }: { search: Search }) {
  const [vague, setVague] = useState(true);
  const asked = `${search.asked}${search.asked && "&"}vague=${vague}`;
  return (
    <PopUp name="Save as" align="end">
      <p className="text-ink2">
        {search.isAsking ? "The knives that were found." : "All knives in the tray."}
      </p>
      <a className="mt-2 block min-h-6 underline" download href={`/api/knives/found.csv?${search.asked}`}>
        A table, for a spreadsheet
      </a>
      <a className="block min-h-6 underline" download href={`/api/knives/found.json?${asked}`}>
        All that was seen, as JSON
      </a>
      <a className="block min-h-6 underline" download href={`/api/knives/found.xml?${asked}`}>
        Records for a museum, as LIDO
      </a>
      <Vaguely isVague={vague} onChange={setVague} />
      <Link className="block min-h-6 underline" to={`/catalogue?${search.asked}`}>
        A catalogue, to print
      </Link>
      <Link className="block min-h-6 underline" to={`/schedules?${search.asked}`}>
        A schedule for an insurer or an estate
      </Link>
      <Labels asked={search.asked} />
    </PopUp>
  );
}

function Vaguely({ isVague, onChange }: { isVague: boolean; onChange: (isVague: boolean) => void }) {
  return (
    <label className="mb-1 flex items-start gap-2">
      <input
        type="checkbox"
        className="mt-1 size-4"
        checked={isVague}
        onChange={(e) => onChange(e.target.checked)}
      />
      <span>
        In these two, keep vague where a knife was found
        <span className="block text-[0.78125rem]/4 text-ink2">
          Only the county or country goes out, what stands after the last comma.
        </span>
      </span>
    </label>
  );
}

function OrderChoice({ order, onChange }: { order: Order; onChange: (order: Order) => void }) {
  return (
    <label className="relative">
      <span className="sr-only">Order</span>
      <select
        className="entry cursor-pointer"
        value={order}
        onChange={(e) => onChange(e.target.value as Order)}
      >
        {ORDERS.map((o) => (
          <option key={o.id} value={o.id}>
            {o.label}
          </option>
        ))}
      </select>
      <Opens className="pointer-events-none absolute top-[0.8125rem] right-1" />
    </label>
  );
}

const VIEWS = ["drawings", "table", "time line"] as const;
type View = (typeof VIEWS)[number];

function ViewChoice({ view, onChange }: { view: View; onChange: (view: View) => void }) {
  return (
    <fieldset className="flex">
      <legend className="sr-only">Shown as</legend>
      {VIEWS.map((v) => (
        <button
          key={v}
          type="button"
          className="press -ml-px"
          aria-pressed={view === v}
          onClick={() => onChange(v)}
        >
          {v}
        </button>
      ))}
    </fieldset>
  );
}

/** Until an answer is there, all are. */
function useFound(knives: ReadableEntry[], { told, isAsking }: Search) {
  return useMemo(() => {
    const chances = new Map((told?.hits ?? []).map((h) => [h.number, h.chance]));
    const isFound = (k: ReadableEntry) => !told || !isAsking || chances.has(k.number);
    return { chances, found: new Set(knives.filter(isFound).map((k) => k.id)) };
  }, [knives, told, isAsking]);
}

/** Where the tray was left, to come back to it. */
function useKeptPlace(isLaidOut: boolean) {
  useEffect(() => {
    if (!isLaidOut) return;
    const place = Number(sessionStorage.getItem("snikra.tray") ?? 0);
    if (place > 0) requestAnimationFrame(() => window.scrollTo(0, place));
    const keep = () => sessionStorage.setItem("snikra.tray", `${window.scrollY}`);
    window.addEventListener("scrollend", keep);
    return () => window.removeEventListener("scrollend", keep);
  }, [isLaidOut]);
}

function ToLookAtAgain({ knives }: { knives: ReadableEntry[] }) {
  const open = knives.flatMap((k) => k.summary.reminders).filter((r) => !r.due || r.due <= today()).length;
  if (open === 0) return null;
  return (
    <p className="mt-2">
      <Link to="/care" className="underline">
        {open} to look at again
      </Link>
      <span className="text-ink2">: celluloid, rust and what else comes back.</span>
    </p>
  );
}

function InThePocket({ knives }: { knives: ReadableEntry[] }) {
  const carried = knives.filter((k) => k.summary.carried);
  if (carried.length === 0) return null;
  const now = carried.filter((k) => k.summary.carried?.pocket.since).length;
  return (
    <p className="mt-2">
      <Link to="/carried" className="underline">
        {now === 0 ? "None in the pocket" : `${now} in the pocket`}
      </Link>
      <span className="text-ink2">: since when, how worn, and whose turn is next.</span>
    </p>
  );
}

const isReadable = (k: TrayEntry): k is ReadableEntry => k.summary !== undefined && k.sketch !== undefined;
