import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api } from "../../api/client";
import type { MakersPack, OneMaker, OwnFact } from "../../api/types";
import { MarkDrawn, plainLetters } from "../../drawing/mark-drawn";
import { fromTo, percent } from "../../format";
import { RestingOn } from "../../ui/resting-on";
import { ByExample, OwnScheme } from "../by-example";
import { FactsOf } from "../facts";
import { OwnMark } from "./change-mark";
import { HistoryOf } from "./history";
import { marked } from "./search";
import { sourceOf } from "./source";
import { letterform } from "./told";

/** One maker: its marks as struck, its numbers and codes, and what each fact is known from. */
export function MakerPage({
  maker,
  pack,
  search,
  own,
  ownFacts,
  isNumberedByMe,
}: {
  maker: OneMaker;
  pack: MakersPack;
  search: string;
  /** Ids of the marks and codes one put on file oneself. */
  own: string[];
  /** What one put on file of what makers fitted and listed. */
  ownFacts: OwnFact[];
  /** Whether its numbers were put on file by oneself. */
  isNumberedByMe: boolean;
}) {
  const { owners, contracts, shields, fittings, models, tells } = maker.history;
  const used = new Set(
    [maker.marks, maker.codes.map((c) => c.scheme), owners, contracts, shields, fittings, models, tells]
      .flat()
      .map((fact) => fact.source),
  );
  const book = useQuery({ queryKey: ["book"], queryFn: api.book, staleTime: Number.POSITIVE_INFINITY });
  const bearing = useQuery({ queryKey: ["bearing", maker.id], queryFn: () => api.bearing(maker.id) });
  return (
    <article aria-labelledby="maker-name">
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
      <p className="mt-1 flex flex-wrap gap-x-6">
        <SetOf maker={maker.id} />
        <Link to={`/makers/${maker.id}/time-line`} className="inline-block min-h-6 underline">
          Its years, to be moved by hand
        </Link>
      </p>

      <h3 className="mt-4 font-semibold">Marks</h3>
      <ul className="mt-1 grid grid-cols-1 gap-3 sm:grid-cols-2">
        {maker.marks.map((m) => (
          <li
            key={m.id}
            className={`flex flex-col border px-3 pt-2 pb-1.5 ${marked(m, search) ? "border-blue bg-blue-wash" : "border-edge bg-lit"}`}
          >
            <div className="flex grow flex-wrap items-center justify-center gap-x-4 gap-y-1 text-center font-steel text-[1.125rem]/6 tracking-wide">
              <div className="flex min-w-[9.5rem] flex-1 justify-center">
                <MarkDrawn of={maker.name} lines={m.lines.map(plainLetters)} layout={m.layout} />
              </div>
              {m.pile.length > 0 && <Face lines={m.pile} quiet="pile side" />}
              {m.etch.length > 0 && <Face lines={m.etch} quiet="on the flat" />}
            </div>
            <p className="mt-2 flex justify-between gap-3 border-t border-rule pt-1">
              <span className="num shrink-0 font-semibold text-blue">{fromTo(m)}</span>
              <span className="voice text-right text-ink2">
                {m.technique}
                {m.layout === "straight" ? "" : `, ${m.layout}`}
                {m.everyBlade ? ", every blade" : ""}
                {m.give > 1 ? `, within ${m.give} years` : ""}
              </span>
            </p>
            <p className="text-[0.78125rem]/4 text-ink2">
              {letterform(m.letterform, book.data?.questions ?? [])} {m.note} {sourceOf(pack, m.source)}{" "}
              Believed to {percent(m.trust)}.
            </p>
            <RestingOn knives={bearing.data?.[m.id] ?? []} />
            {own.includes(m.id) && <OwnMark mark={m.id} lines={m.lines} book={book.data} />}
          </li>
        ))}
      </ul>

      <HistoryOf maker={maker} pack={pack} />
      <FactsOf maker={maker} own={ownFacts.filter((f) => f.maker === maker.id)} book={book.data} />

      <h3 className="mt-4 font-semibold">Date codes</h3>
      {maker.codes.length === 0 && <p className="voice text-ink3">None is on file.</p>}
      {maker.codes.map((c) => (
        <section key={c.scheme.id} aria-label={c.scheme.label} className="mt-1 mb-2">
          <p>
            {c.scheme.label}
            {c.scheme.form && `, ${c.scheme.form}`}.{" "}
            <span className="text-ink2">
              {c.scheme.parts?.codes.map((p) => `${p.code} ${p.label}`).join(", ")} {c.scheme.note}{" "}
              {sourceOf(pack, c.scheme.source)}
            </span>
          </p>
          <ol className="mt-1 flex flex-wrap border-t border-l border-rule">
            {c.years.map((y) => (
              <li key={y.year} className="min-w-12 border-r border-b border-rule px-1.5 text-center">
                <span className="block font-steel">{y.codes.join(" ")}</span>
                <span className="num text-[0.78125rem] text-ink2">{y.year}</span>
              </li>
            ))}
          </ol>
          {own.includes(c.scheme.id) && (
            <OwnScheme name={c.scheme.label} remove={() => api.removeCode(c.scheme.id)} />
          )}
        </section>
      ))}
      <ByExample what="codes" maker={maker} book={book.data} />

      <h3 className="mt-4 font-semibold">Pattern numbers</h3>
      {!maker.numbers && <p className="voice text-ink3">How they are built is not on file.</p>}
      {maker.numbers && (
        <>
          <p className="text-ink2">{maker.numbers.note}</p>
          <div className="mt-1 flex flex-wrap gap-x-8 gap-y-2">
            {maker.numbers.fields
              .filter((f) => f.meaning)
              .map((f) => (
                <table key={f.id} className="self-start">
                  <caption className="text-left text-[0.78125rem] text-ink2">{f.label}</caption>
                  <tbody>
                    {Object.entries(f.codes).map(([code, says]) => (
                      <tr key={code}>
                        <th scope="row" className="pr-3 text-left font-steel">
                          {code}
                        </th>
                        <td>{says.label}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              ))}
          </div>
          {isNumberedByMe && <OwnScheme name="Pattern numbers" remove={() => api.removeNumbers(maker.id)} />}
        </>
      )}
      <ByExample what="numbers" maker={maker} book={book.data} />

      <h3 className="mt-4 font-semibold">Known from</h3>
      <ul>
        {pack.sources
          .filter((s) => used.has(s.id))
          .map((s) => (
            <li key={s.id}>
              {s.label},{" "}
              <span className="text-ink2">
                {s.kind.replace("-", " ")}, held to be right {percent(s.reliability)} times in a hundred
              </span>
            </li>
          ))}
      </ul>
      <InTheTray maker={maker} />
    </article>
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

function Face({ lines, quiet }: { lines: string[]; quiet?: string }) {
  return (
    <div className="shrink-0 text-[0.875rem]/5">
      {lines.map((l) => (
        <p key={l}>{l}</p>
      ))}
      {quiet && <p className="voice text-[0.78125rem]/4 text-ink2">{quiet}</p>}
    </div>
  );
}
