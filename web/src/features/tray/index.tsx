import { useQuery, useQueryClient } from "@tanstack/react-query";
import { type KeyboardEvent, useDeferredValue, useEffect, useMemo, useRef, useState } from "react";
import { Link, useNavigate } from "react-router";
import { api } from "../../api/client";
import type { Book, ReadableEntry, TrayEntry } from "../../api/types";
import { titleBy, today } from "../../format";
import { useKeys } from "../../keys";
import { usePreferences } from "../../preferences";
import { Failed } from "../../ui/failed";
import { Key } from "../../ui/key";
import { useToast } from "../../ui/toasts";
import { BringList } from "../list/bring-list";
import { Compartment } from "./compartment";
import { EmptyTray } from "./empty-tray";
import { ManyKnives, type TrayHandle } from "./many";
import { matches } from "./search";
import { SpansBelow } from "./spans-below";

/** The collection, each knife in a compartment cut to its length. */
export function Tray({ book, onNew }: { book: Book; onNew: () => void }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const toast = useToast();
  const { school } = usePreferences();
  const tray = useQuery({
    queryKey: ["tray"],
    queryFn: api.tray,
    refetchInterval: ({ state }) => askAgain(state.data),
  });
  const [words, setWords] = useState("");
  const search = useDeferredValue(words);
  const [bringing, setBringing] = useState(false);
  const box = useRef<HTMLInputElement>(null);
  const grid = useRef<HTMLOListElement>(null);
  useKeys({ "/": () => box.current?.focus() });
  useEffect(() => {
    document.title = "The tray \u2013 Snikra";
  }, []);
  const knives = useMemo(
    () =>
      (tray.data ?? [])
        .filter(isReadable)
        .sort((a, b) => a.sketch.closedLengthMm - b.sketch.closedLengthMm || a.number - b.number),
    [tray.data],
  );
  const found = useMemo(
    () => new Set(knives.filter((k) => matches(k, search)).map((k) => k.id)),
    [knives, search],
  );

  const unreadable = (tray.data ?? []).filter((k) => k.unreadable !== undefined);
  const left = leftOf(tray.data);
  const many = useRef<TrayHandle>(null);
  useKeptPlace(knives.length > 0);

  const remove = async (k: TrayEntry) => {
    try {
      await api.remove(k.id);
      await queries.invalidateQueries({ queryKey: ["tray"] });
      toast(
        `${k.title ?? (k.summary ? titleBy(school, k.summary) : `Knife ${k.number}`)} taken out of the tray.`,
        async () => {
          await api.restore(k.id);
          queries.invalidateQueries({ queryKey: ["tray"] });
        },
      );
    } catch (e) {
      toast(`It is still in the tray. ${(e as Error).message}`);
    }
  };
  const onKey = (event: KeyboardEvent, k: ReadableEntry) => {
    const links = [...(grid.current?.querySelectorAll<HTMLElement>("a[data-knife]") ?? [])];
    const at = links.indexOf(event.target as HTMLElement);
    const steps: Record<string, number> = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: 4, ArrowUp: -4 };
    const step = steps[event.key];
    if (event.key === "Delete") remove(k);
    else if (step && many.current) {
      const place = shown.indexOf(k) + step;
      many.current.focus(Math.max(0, Math.min(shown.length - 1, place)));
    } else if (step && at >= 0) links[Math.max(0, Math.min(links.length - 1, at + step))]?.focus();
    else return;
    event.preventDefault();
  };

  // Few keep their places; of many only those that were looked for are laid out.
  const shown = search ? knives.filter((k) => found.has(k.id)) : knives;
  const compartment = (k: ReadableEntry) => (
    <Compartment
      key={k.id}
      entry={k}
      book={book}
      outside={!found.has(k.id)}
      onKey={(e) => onKey(e, k)}
      onRemove={() => remove(k)}
    />
  );

  return (
    <main className="mx-4 lg:mx-6">
      <h1 className="sr-only">The tray</h1>
      <div className="mt-2 flex flex-wrap items-baseline gap-x-3">
        <Key>/</Key>
        <input
          ref={box}
          type="search"
          aria-label="Search the tray"
          placeholder="any words: jack, bone, before 1930"
          value={words}
          onChange={(e) => setWords(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === "Escape" && words !== "") {
              e.preventDefault();
              setWords("");
            }
            if (e.key === "Enter" && found.size > 0) navigate(`/bench/${[...found][0]}`);
          }}
          className="min-w-0 flex-1 border-b border-ink bg-transparent py-1 font-serif text-[1.5rem]/[1.875rem] placeholder:text-ink3 placeholder:italic"
        />
        <p className="voice text-ink2 max-sm:basis-full" role="status">
          {search
            ? `${found.size} of ${knives.length}`
            : `${knives.length} ${knives.length === 1 ? "knife" : "knives"}`}
          , shortest first, at half life size
        </p>
        {knives.length > 0 && (
          <button type="button" className="press" onClick={() => setBringing(true)}>
            Bring a list
          </button>
        )}
      </div>
      {bringing && <BringList onClose={() => setBringing(false)} />}
      {tray.isError && (
        <Failed what="The tray could not be opened." error={tray.error} onAgain={() => tray.refetch()} />
      )}
      {left > 0 && (
        <p className="voice mt-2 text-ink2" role="status">
          {left.toLocaleString()} of {tray.data?.length.toLocaleString()} still being worked out; the rest is
          here already.
        </p>
      )}
      {tray.isPending && <p className="voice mt-4 text-ink3">Opening the tray.</p>}
      {unreadable.length > 0 && <Unreadable knives={unreadable} onRemove={remove} />}
      {tray.isSuccess && tray.data.length === 0 && (
        <EmptyTray onNew={onNew} onList={() => setBringing(true)} />
      )}
      {knives.length > 0 && (
        <>
          {knives.length > MANY ? (
            <ManyKnives knives={shown} ref={many}>
              {compartment}
            </ManyKnives>
          ) : (
            <ol ref={grid} className="mt-2 flex flex-wrap border-t border-l border-ink">
              {knives.map(compartment)}
            </ol>
          )}
          {found.size === 0 && <p className="voice mt-2 text-ink2">Nothing in the tray answers to that.</p>}
          <ToLookAtAgain knives={knives} />
          <SpansBelow knives={knives} found={found} />
        </>
      )}
    </main>
  );
}

/** Of more knives than this only those in sight are drawn. */
const MANY = 150;

const leftOf = (tray: TrayEntry[] | undefined) => (tray ?? []).filter((k) => k.pending || k.stale).length;

/** While knives are still being worked out the tray is asked for again, the more there are the more seldom. */
export const askAgain = (tray: TrayEntry[] | undefined) =>
  leftOf(tray) > 0 ? 1000 + Math.min(9000, (tray ?? []).length) : false;

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

const isReadable = (k: TrayEntry): k is ReadableEntry => k.summary !== undefined && k.sketch !== undefined;

/** Knives this Snikra cannot read: what is kept of them is not lost, and can be saved as text. */
function Unreadable({ knives, onRemove }: { knives: TrayEntry[]; onRemove: (k: TrayEntry) => void }) {
  return (
    <section aria-label="Knives that cannot be read" className="mt-3 bg-lead-wash px-4 py-2 text-lead">
      <ul>
        {knives.map((k) => (
          <li key={k.id} className="flex flex-wrap items-baseline gap-x-3">
            <span className="num">{k.number}</span>
            <span>{k.unreadable}</span>
            <a href={`/api/knives/${k.id}/text`} download className="min-h-6 underline">
              Save its text
            </a>
            <button type="button" className="min-h-6 underline" onClick={() => onRemove(k)}>
              Take out
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
