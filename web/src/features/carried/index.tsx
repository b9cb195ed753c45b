import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { Link, useNavigate } from "react-router";
import { useBook } from "../../api/book";
import { api } from "../../api/client";
import type { Book, TrayEntry } from "../../api/types";
import { SmallKnife } from "../../drawing/small-knife";
import { dayText, lengthText, titleBy, today } from "../../format";
import { useKeys } from "../../keys";
import { usePreferences } from "../../preferences";
import { BackOrPrint } from "../../ui/back-or-print";
import { Opened, together } from "../../ui/opened";
import { Page, PageHead } from "../../ui/page";
import { usePageTitle } from "../../ui/page-title";
import { useToast } from "../../ui/toasts";
import { askAgain } from "../tray/ask-again";
import { type CarriedEntry, daysCarried, daysRested, turns } from "./turns";

/** The knives one carries: which is in the pocket, since when, and whose turn is next. */
export function CarriedPage() {
  const tray = useQuery({
    queryKey: ["tray"],
    queryFn: () => api.tray(),
    refetchInterval: (query) => askAgain(query.state.data),
  });
  const book = useBook();
  const navigate = useNavigate();
  useKeys({ escape: () => navigate("/tray"), p: () => window.print() });
  usePageTitle("In the pocket");
  return (
    <Opened of={together(tray, book)} failed="The tray could not be opened." meanwhile="Opening the tray.">
      {([tray, book]) => <Pocket tray={tray} book={book} />}
    </Opened>
  );
}

function Pocket({ tray, book }: { tray: TrayEntry[]; book: Book }) {
  const { now, next } = turns(tray);
  return (
    <Page isSheet>
      <PageHead
        title="In the pocket"
        about={
          now.length === 0 ? "None just now." : now.length === 1 ? "One knife." : `${now.length} knives.`
        }
      >
        <BackOrPrint bench="/tray" to="To the tray" />
      </PageHead>
      {tray.some((k) => k.pending) && (
        <p className="voice mt-3 text-ink3">Some knives are still being worked out.</p>
      )}
      {now.length + next.length === 0 ? (
        <p className="voice mt-3 max-w-[40rem] text-ink3">
          Write &lsquo;Into the pocket&rsquo; into the log of a knife, at its Care station; from then on it
          stands here with its days, its wear and its turn.
        </p>
      ) : (
        <Turns now={now} next={next} book={book} />
      )}
      <p className="mt-3 max-w-[44rem] text-[0.8125rem] text-ink2">
        Which knives may be carried, and where, differs from country to country and from place to place: ask
        there first. A pocket wears covers and bolsters as well as blades; celluloid does not belong in one.
      </p>
    </Page>
  );
}

function Turns({ now, next, book }: { now: CarriedEntry[]; next: CarriedEntry[]; book: Book }) {
  const [moved, setMoved] = useState<string>();
  const of = { book, moved, onMoved: setMoved };
  return (
    <>
      <Knives label="Carried now" knives={now} way="out" {...of} />
      {next.length > 0 && (
        <h2 className="mt-4 text-[1.1875rem]/[1.375rem]">Whose turn is next, longest at rest first</h2>
      )}
      <Knives label="Next in turn" knives={next} way="in" {...of} />
    </>
  );
}

function Knives({
  label,
  knives,
  book,
  way,
  moved,
  onMoved,
}: {
  label: string;
  knives: CarriedEntry[];
  book: Book;
  way: "in" | "out";
  /** The knife that went to the other list last, and the focus with it. */
  moved: string | undefined;
  onMoved: (knife: string) => void;
}) {
  const work = book.works.find((w) => w.pocket === way);
  return (
    <ul aria-label={label}>
      {knives.map((knife) => (
        <Knife
          key={knife.id}
          knife={knife}
          book={book}
          work={work}
          isMoved={moved === knife.id}
          onMoved={() => onMoved(knife.id)}
        />
      ))}
    </ul>
  );
}

function Knife({ knife, book, work, isMoved, onMoved }: OfKnife) {
  const { school } = usePreferences();
  const { busy, log } = useLog(knife, onMoved);
  const button = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    if (isMoved) button.current?.focus();
  }, [isMoved]);
  const { carried } = knife.summary;
  const called = knife.title ?? titleBy(school, knife.summary);
  return (
    <li className="grid items-center gap-x-4 gap-y-0.5 border-b border-rule py-1.5 sm:grid-cols-[auto_minmax(0,3fr)_minmax(0,2fr)_minmax(0,2fr)_9rem]">
      <SmallKnife sketch={knife.sketch} book={book} className="max-sm:hidden" />
      <Which knife={knife} called={called} />
      <span>
        {carried.wear ? `Blade: ${carried.wear.toLowerCase()}` : "Blade not looked at"}
        <span className="block text-[0.8125rem] text-ink2">{carried.fit ?? "Not graded for the pocket"}</span>
      </span>
      <When knife={knife} />
      {work && (
        <button
          ref={button}
          type="button"
          className="press no-print justify-self-start sm:justify-self-end"
          disabled={busy}
          onClick={() => log(work)}
        >
          {work.label}
          <span className="sr-only">: {called}</span>
        </button>
      )}
    </li>
  );
}

interface OfKnife {
  knife: CarriedEntry;
  book: Book;
  work?: Book["works"][number];
  isMoved: boolean;
  onMoved: () => void;
}

function Which({ knife, called }: { knife: CarriedEntry; called: string }) {
  const { units } = usePreferences();
  const { grams } = knife.summary.carried;
  const size = [
    knife.sketch.measured && `${lengthText(knife.sketch.closedLengthMm, units)} closed`,
    grams !== undefined && `${Math.round(grams)} g`,
  ].filter(Boolean);
  return (
    <span>
      <Link to={`/bench/${knife.id}?at=care`} className="underline">
        <span className="num">{knife.number}</span> {called}
      </Link>
      <span className="block text-[0.8125rem] text-ink2">{size.join(", ") || "not measured"}</span>
    </span>
  );
}

const inDays = (n: number) => (n === 1 ? "1 day" : `${n} days`);
const rested = (n: number) => (n === 0 ? "put away today" : `at rest ${inDays(n)}`);

function When({ knife }: { knife: CarriedEntry }) {
  const { carried } = knife.summary;
  const { since, last } = carried.pocket;
  return (
    <span>
      {since ? `since ${dayText(since)}` : rested(daysRested(carried, today()))}
      <span className="block text-[0.8125rem] text-ink2">
        {inDays(daysCarried(carried, today()))} in all{since ? "" : `, last on ${dayText(last)}`}
      </span>
    </span>
  );
}

/** Writes into the log of a knife, made to the version that is kept, with a way back. */
function useLog(knife: CarriedEntry, onMoved: () => void) {
  const queries = useQueryClient();
  const toast = useToast();
  const [busy, setBusy] = useState(false);
  const log = async (work: Book["works"][number]) => {
    setBusy(true);
    try {
      const { specimen, version } = await api.knife(knife.id);
      const done = { ...specimen, care: [...specimen.care, { date: today(), work: work.id }] };
      const kept = await api.change(knife.id, { version, specimen: done });
      onMoved();
      await queries.invalidateQueries({ queryKey: ["tray"] });
      toast(`${work.label}: No. ${knife.number}.`, async () => {
        await api.change(knife.id, { version: kept.version, specimen });
        await queries.invalidateQueries({ queryKey: ["tray"] });
      });
    } catch (e) {
      toast(`That could not be written down. ${(e as Error).message}`);
    } finally {
      setBusy(false);
    }
  };
  return { busy, log };
}
