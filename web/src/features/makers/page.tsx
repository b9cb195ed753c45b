import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api } from "../../api/client";
import type { Book, MakersPack, OneMaker, OwnFact } from "../../api/types";
import { fromTo } from "../../format";
import { ByExample, OwnScheme } from "../by-example";
import { FactsOf } from "../facts";
import { HistoryOf } from "./history";
import { CodeTable, KnownFrom, MarkCard, NumberTables } from "./maker-facts";
import { marked } from "./search";

/** One maker: its marks as struck, its numbers and codes, and what each fact is known from. */
export function MakerPage({ search, own, ownFacts, isNumberedByMe, ...of }: OfPage) {
  const { maker, pack } = of;
  const book = useQuery({ queryKey: ["book"], queryFn: api.book, staleTime: Number.POSITIVE_INFINITY }).data;
  return (
    <article aria-labelledby="maker-name">
      <Heading maker={maker} />
      <Marks {...of} search={search} own={own} book={book} />
      <HistoryOf maker={maker} pack={pack} />
      <FactsOf maker={maker} own={ownFacts.filter((f) => f.maker === maker.id)} book={book} />
      <h3 className="mt-4 font-semibold">Date codes</h3>
      {maker.codes.length === 0 && <p className="voice text-ink3">None is on file.</p>}
      {maker.codes.map((c) => (
        <CodeTable key={c.scheme.id} code={c} pack={pack} isOwn={own.includes(c.scheme.id)} />
      ))}
      <ByExample what="codes" maker={maker} book={book} />
      <Numbers maker={maker} isByMe={isNumberedByMe} />
      <ByExample what="numbers" maker={maker} book={book} />
      <KnownFrom maker={maker} pack={pack} />
      <InTheTray maker={maker} />
    </article>
  );
}

interface OfMaker {
  maker: OneMaker;
  pack: MakersPack;
}

interface OfPage extends OfMaker {
  search: string;
  /** Ids of the marks and codes one put on file oneself. */
  own: string[];
  /** What one put on file of what makers fitted and listed. */
  ownFacts: OwnFact[];
  /** Whether its numbers were put on file by oneself. */
  isNumberedByMe: boolean;
}

function Marks({
  maker,
  pack,
  search,
  own,
  book,
}: OfMaker & Pick<OfPage, "search" | "own"> & { book: Book | undefined }) {
  const bearing = useQuery({ queryKey: ["bearing", maker.id], queryFn: () => api.bearing(maker.id) });
  return (
    <>
      <h3 className="mt-4 font-semibold">Marks</h3>
      <ul className="mt-1 grid grid-cols-1 gap-3 sm:grid-cols-2">
        {maker.marks.map((m) => (
          <MarkCard
            key={m.id}
            mark={m}
            maker={maker.name}
            pack={pack}
            isLit={marked(m, search)}
            isOwn={own.includes(m.id)}
            knives={bearing.data?.[m.id] ?? []}
            book={book}
          />
        ))}
      </ul>
    </>
  );
}

function Numbers({ maker, isByMe }: { maker: OneMaker; isByMe: boolean }) {
  return (
    <>
      <h3 className="mt-4 font-semibold">Pattern numbers</h3>
      {!maker.numbers && <p className="voice text-ink3">How they are built is not on file.</p>}
      {maker.numbers && (
        <>
          <p className="text-ink2">{maker.numbers.note}</p>
          <NumberTables numbers={maker.numbers} />
          {isByMe && <OwnScheme name="Pattern numbers" remove={() => api.removeNumbers(maker.id)} />}
        </>
      )}
    </>
  );
}

/** Who it was, where and when, and the ways on from there. */
function Heading({ maker }: { maker: OneMaker }) {
  return (
    <>
      <h2 id="maker-name" className="text-[1.5625rem]/[1.75rem] tracking-tight">
        {maker.name}
      </h2>
      <p className="text-ink2">
        {maker.history.kind === "maker"
          ? ""
          : `${maker.history.kind === "brand" ? "A brand" : "A retailer"}, `}
        {[maker.place, maker.region].filter(Boolean).join(", ")}. <span className="num">{fromTo(maker)}</span>
      </p>
      <p className="mt-1 max-w-[40rem]">{maker.note}</p>
      <p className="mt-1 flex flex-wrap items-baseline gap-x-6">
        <SetOf maker={maker.id} />
        <Link to={`/makers/${maker.id}/time-line`} className="inline-block min-h-6 underline">
          Its years, to be moved by hand
        </Link>
      </p>
    </>
  );
}

/** How far its set is filled, and the way there; none while it is not among those in use. */
function SetOf({ maker }: { maker: string }) {
  const sets = useQuery({ queryKey: ["sets"], queryFn: () => api.sets(), staleTime: 0 });
  const set = sets.data?.find((s) => s.maker === maker);
  if (!set) return null;
  return (
    <Link to={`/makers/${maker}/set`} className="inline-block min-h-6 underline">
      The set: <span className="num">{set.owned}</span> of <span className="num">{set.possible}</span>
      {" places filled"}
    </Link>
  );
}

function InTheTray({ maker }: { maker: OneMaker }) {
  const tray = useQuery({ queryKey: ["tray"], queryFn: api.tray });
  const mine = (tray.data ?? []).filter((k) => k.summary?.maker === maker.name);
  return (
    <>
      <h3 className="mt-4 font-semibold">In your tray</h3>
      {tray.isSuccess && mine.length === 0 && (
        <p className="voice text-ink3">No knife of yours is held to be theirs.</p>
      )}
      <ul>
        {mine.map((k) => (
          <li key={k.id}>
            <Link to={`/bench/${k.id}`} className="inline-block min-h-6 hover:underline">
              <span className="num">{k.number}</span> {k.title ?? k.summary?.title}
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
}
