import { useQuery } from "@tanstack/react-query";
import { type KeyboardEvent, type RefObject, useRef, useState } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import { api } from "../../api/client";
import type { OneMaker } from "../../api/types";
import { useKeys } from "../../keys";
import { Failed } from "../../ui/failed";
import { Key } from "../../ui/key";
import { usePageTitle } from "../../ui/page-title";
import { Letters } from "./letters";
import { Packs } from "./packs";
import { MakerPage } from "./page";
import { holds } from "./search";
import { Timeline } from "./timeline";

/** The makers on the shelf: on one time line, and each on a page of its own. Reading only. */
export function Makers() {
  const shelf = useQuery({ queryKey: ["makers"], queryFn: api.makers, staleTime: Number.POSITIVE_INFINITY });
  const [search, setSearch] = useState("");
  const box = useRef<HTMLInputElement>(null);
  useKeys({ "/": () => box.current?.focus() });
  const packs = shelf.data?.packs ?? [];
  const { all, found, chosen } = useFound(packs, search);
  usePageTitle("The makers");
  if (shelf.isError)
    return (
      <Failed what="The makers could not be shown." error={shelf.error} onAgain={() => shelf.refetch()} />
    );
  return (
    <main className="grid grid-cols-[minmax(0,1fr)] gap-x-8 px-4 pt-3 pb-8 lg:grid-cols-[minmax(0,5fr)_minmax(0,6fr)] lg:px-6">
      <section aria-label="Time line" onKeyDown={fromMakerToMaker}>
        <SearchInMarks box={box} search={search} onSearch={setSearch} />
        <p className="mt-1 mb-2 text-ink2" role="status">
          {shelf.isPending ? "Opening the shelf." : howMany(found, all.length)}
        </p>
        {found.length > 0 && <Timeline makers={found} chosen={chosen} search={search} />}
        {!shelf.isPending && <Nothing search={search} found={found.length} of={all.length} />}
        {!shelf.isPending && <Packs packs={packs} />}
        <WaysOn />
        {shelf.data && <Letters confusions={shelf.data.confusions} spellings={shelf.data.spellings} />}
      </section>
      <section aria-label="Maker" className="max-lg:mt-6 lg:border-l lg:border-rule lg:pl-8">
        {chosen && shelf.data && <Chosen maker={chosen} shelf={shelf.data} search={search} />}
      </section>
    </main>
  );
}

type Shelf = Awaited<ReturnType<typeof api.makers>>;
type OfPack = OneMaker & { pack: Shelf["packs"][number] };

/** The makers of the packs in use, those that answer to a search, and the one that is open. */
function useFound(packs: Shelf["packs"], search: string) {
  const { id } = useParams();
  const [query] = useSearchParams();
  const from = query.get("pack");
  // Packs that tell of the same maker stand side by side.
  const all: OfPack[] = packs.filter((p) => p.on).flatMap((p) => p.makers.map((m) => ({ ...m, pack: p })));
  const found = all.filter((m) => search === "" || holds(m, search)).sort((a, b) => a.from - b.from);
  const isAsked = (m: OfPack) => m.id === id && (!from || m.pack.id === from);
  return { all, found, chosen: found.find(isAsked) ?? found[0] ?? all.find(isAsked) };
}

function Chosen({ maker, shelf, search }: { maker: OfPack; shelf: Shelf; search: string }) {
  return (
    <>
      <MakerPage
        key={`${maker.pack.id} ${maker.id}`}
        maker={maker}
        pack={maker.pack}
        search={search}
        own={shelf.own}
        ownFacts={shelf.ownFacts}
        isNumberedByMe={shelf.ownNumbers.includes(maker.id)}
      />
      <p className="mt-6 border-t border-rule pt-2 text-[0.78125rem]/4 text-ink2">{maker.pack.title}.</p>
    </>
  );
}

/** The arrows go from maker to maker. */
function fromMakerToMaker(e: KeyboardEvent<HTMLElement>) {
  const step = { ArrowDown: 1, ArrowUp: -1 }[e.key];
  const links = [...e.currentTarget.querySelectorAll<HTMLElement>("a[data-maker]")];
  const at = links.indexOf(e.target as HTMLElement);
  if (!step || at < 0) return;
  e.preventDefault();
  links[Math.max(0, Math.min(links.length - 1, at + step))]?.focus();
}

function howMany(found: OneMaker[], all: number): string {
  if (all === 0) return "";
  const marks = found.reduce((n, m) => n + m.marks.length, 0);
  return `${found.length} of ${all} makers, ${marks} marks. Bars are marks, dashed as far as their ends may be out; strokes are changes of owner, works or models. Below them a thin line for each owner, dots for those who made for them.`;
}

function SearchInMarks({
  box,
  search,
  onSearch,
}: {
  box: RefObject<HTMLInputElement | null>;
  search: string;
  onSearch: (search: string) => void;
}) {
  return (
    <div className="flex flex-wrap items-baseline justify-between gap-4">
      <h1 className="text-[1.5625rem]/[1.75rem] tracking-tight">Makers</h1>
      <label className="flex items-baseline gap-2 text-ink2">
        <Key>/</Key>
        <span className="sr-only">Search in all marks</span>
        <input
          ref={box}
          type="search"
          className="entry w-56"
          placeholder="part of a mark, name or town"
          value={search}
          data-empty={search === ""}
          onChange={(e) => onSearch(e.target.value)}
          onKeyDown={(e) => {
            if (e.key !== "Escape" || search === "") return;
            e.preventDefault();
            onSearch("");
          }}
        />
      </label>
    </div>
  );
}

/** Why no maker is shown. */
function Nothing({ search, found, of }: { search: string; found: number; of: number }) {
  return (
    <>
      {of === 0 && (
        <p className="voice text-ink2">
          No maker is on file, so makers stay open and knives are dated by how they are built. Add a pack of
          what you know, or switch on the made-up makers to see how one works.
        </p>
      )}
      {of > 0 && found === 0 && (
        <p className="voice mt-3 text-ink3">
          No mark, name or town holds {"\u201c"}
          {search}
          {"\u201d"}.
        </p>
      )}
    </>
  );
}

function WaysOn() {
  return (
    <p className="no-print mt-4 border-t border-rule pt-2">
      <Link to={`/years/${new Date().getFullYear() - 100}`} className="underline">
        Marks and codes of a year
      </Link>
      {" \u00b7 "}
      <Link to="/calibration" className="underline">
        How far to trust the verdicts
      </Link>
      {" \u00b7 "}
      <Link to="/judgement" className="underline">
        Numbers of judgement
      </Link>
    </p>
  );
}
