import { useQuery } from "@tanstack/react-query";
import { useMemo, useState } from "react";
import { useNavigate, useSearchParams } from "react-router";
import { api } from "../../api/client";
import type { Book } from "../../api/types";
import { dayText, today } from "../../format";
import { useKeys } from "../../keys";
import { BackOrPrint } from "../../ui/back-or-print";
import { Opened } from "../../ui/opened";
import { usePageTitle } from "../../ui/page-title";
import { LeafShown, type Told } from "./leaf";
import { chapters, ORDERS, type Order } from "./order";

const AGAIN = 1500;

/** What was found in the tray as a catalogue on paper, seen here as it will be printed. */
export function PrintedPage({ book }: { book: Book }) {
  const navigate = useNavigate();
  const [query] = useSearchParams();
  const q = query.get("q") ?? "";
  const ticks = query.getAll("in");
  const isAsking = q !== "" || ticks.length > 0;
  const tray = `/tray${isAsking ? `?${query}` : ""}`;
  const [shape, setShape] = useState(AT_FIRST);
  const leaves = useQuery({
    queryKey: ["tray", "leaves", q, ticks],
    queryFn: () => api.leaves(q, ticks),
    staleTime: 0,
    refetchInterval: ({ state }) => (state.data?.leaves.some((l) => l.knife.pending) ? AGAIN : false),
  });
  useKeys({ escape: () => navigate(tray), p: () => window.print() });
  // The name of the page is what a browser offers as the name of the file.
  usePageTitle(shape.title);
  return (
    <Opened of={leaves} failed="The catalogue could not be laid out." meanwhile="Laying out the catalogue.">
      {(told) => (
        <main className="sheet catalogue px-4 pt-3 pb-8 lg:px-6 print:p-0">
          <Shaping shape={shape} set={(now) => setShape({ ...shape, ...now })} tray={tray} />
          {told.leaves.length === 0 ? <Nothing isAsking={isAsking} /> : <Shaped {...{ told, shape, book }} />}
        </main>
      )}
    </Opened>
  );
}

/** Its title, its order and what is told in it. */
interface Shape {
  title: string;
  order: Order;
  told: Told;
}

const USUAL = "A catalogue of pocket knives";
const AT_FIRST: Shape = {
  title: USUAL,
  order: "maker",
  told: { values: false, photographs: true, notes: true },
};

function Nothing({ isAsking }: { isAsking: boolean }) {
  return (
    <p className="voice mt-4 text-ink3">
      {isAsking ? "Nothing in the tray answers to that." : "The tray is empty: there is nothing to print."}
    </p>
  );
}

function Shaped({ told, shape, book }: { told: LeavesTold; shape: Shape; book: Book }) {
  const parts = useMemo(() => chapters(told.leaves, shape.order), [told, shape.order]);
  return (
    <Catalogue
      title={shape.title.trim() || USUAL}
      leaves={told}
      parts={parts}
      told={shape.told}
      book={book}
    />
  );
}

type LeavesTold = Awaited<ReturnType<typeof api.leaves>>;

/** Its title, its order and what is told in it; not printed. */
function Shaping({
  shape: { title, order, told },
  set,
  tray,
}: {
  shape: Shape;
  set: (now: Partial<Shape>) => void;
  tray: string;
}) {
  return (
    <div className="no-print flex flex-wrap items-center gap-x-5 gap-y-2 border-b border-rule pb-2">
      <label className="flex min-w-0 basis-72 items-baseline gap-2">
        <span className="text-ink2">Title</span>
        <input
          className="entry min-w-0 flex-1"
          value={title}
          maxLength={120}
          onChange={(e) => set({ title: e.target.value })}
        />
      </label>
      <fieldset className="flex items-center">
        <legend className="sr-only">Order</legend>
        {ORDERS.map((o) => (
          <button
            key={o.id}
            type="button"
            className="press -ml-px"
            aria-pressed={order === o.id}
            onClick={() => set({ order: o.id })}
          >
            {o.label}
          </button>
        ))}
      </fieldset>
      <WhatIsTold told={told} onChange={(now) => set({ told: now })} />
      <BackOrPrint bench={tray} to="To the tray" />
    </div>
  );
}

function WhatIsTold({ told, onChange }: { told: Told; onChange: (told: Told) => void }) {
  return (
    <fieldset className="flex flex-wrap items-center gap-x-4">
      <legend className="sr-only">What is told</legend>
      {(["photographs", "notes", "values"] as const).map((what) => (
        <label key={what} className="flex min-h-6 items-center gap-1.5">
          <input
            type="checkbox"
            className="accent-blue"
            checked={told[what]}
            onChange={() => onChange({ ...told, [what]: !told[what] })}
          />
          {what}
        </label>
      ))}
    </fieldset>
  );
}

type Chapters = ReturnType<typeof chapters>;

function Catalogue({
  title,
  leaves: { leaves, found },
  parts,
  told,
  book,
}: {
  title: string;
  leaves: Awaited<ReturnType<typeof api.leaves>>;
  parts: Chapters;
  told: Told;
  book: Book;
}) {
  return (
    <article>
      <header className="mt-4 border-b border-ink pb-1 print:mt-0">
        <h1 className="text-[1.5625rem]/[1.9rem] tracking-tight">{title}</h1>
        <p className="text-ink2">
          {found.toLocaleString()} {found === 1 ? "knife" : "knives"}, as known on {dayText(today())}.
        </p>
      </header>
      {found > leaves.length && (
        <p className="no-print mt-2 text-lead" role="status">
          The first {leaves.length.toLocaleString()} are laid out. Search the tray for a part of them to print
          the rest.
        </p>
      )}
      {parts.length > 1 && <Contents parts={parts} />}
      {parts.map((c) => (
        <section key={c.name ?? ""} aria-label={c.name ?? "Knives"} className="mt-4">
          {c.name && <h2 className="border-b border-ink text-[1.25rem]/7 break-after-avoid">{c.name}</h2>}
          <ol>
            {c.leaves.map((l) => (
              <LeafShown key={l.knife.id} leaf={l} book={book} told={told} />
            ))}
          </ol>
        </section>
      ))}
      <p className="mt-3 max-w-[44rem] text-[0.78125rem]/4 text-ink2">
        Who made a knife, when, and its grade are opinions from what was seen, with the doubt they carry. All
        are drawn at one scale.
        {told.values && " What it is worth comes from sales of like knives and is no appraisal."}
      </p>
    </article>
  );
}

function Contents({ parts }: { parts: Chapters }) {
  return (
    <ol aria-label="Chapters" className="mt-2 gap-x-8 sm:columns-2 lg:columns-3 print:columns-3">
      {parts.map((c) => (
        <li key={c.name} className="flex justify-between gap-3 border-b border-rule">
          <span className="truncate">{c.name}</span>
          <span className="num">{c.leaves.length}</span>
        </li>
      ))}
    </ol>
  );
}
