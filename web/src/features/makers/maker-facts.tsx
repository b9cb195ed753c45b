import { api } from "../../api/client";
import type { Book, MakersPack, OneMaker } from "../../api/types";
import { MarkDrawn, plainLetters } from "../../drawing/mark-drawn";
import { fromTo, percent } from "../../format";
import { RestingOn } from "../../ui/resting-on";
import { OwnScheme } from "../by-example";
import { OwnMark } from "./change-mark";
import { sourceOf } from "./source";
import { letterform } from "./told";

type Mark = OneMaker["marks"][number];

/** A mark as struck, its years, what it is known from and which knives rest on it. */
export function MarkCard({
  mark: m,
  maker,
  pack,
  isLit,
  isOwn,
  knives,
  book,
}: {
  mark: Mark;
  maker: string;
  pack: MakersPack;
  /** Whether what is searched for is in it. */
  isLit: boolean;
  isOwn: boolean;
  knives: Parameters<typeof RestingOn>[0]["knives"];
  book: Book | undefined;
}) {
  return (
    <li
      className={`flex flex-col border px-3 pt-2 pb-1.5 ${isLit ? "border-blue bg-blue-wash" : "border-edge bg-lit"}`}
    >
      <AsStruck mark={m} maker={maker} />
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
        {letterform(m.letterform, book?.questions ?? [])} {m.note} {sourceOf(pack, m.source)} Believed to{" "}
        {percent(m.trust)}.
      </p>
      <RestingOn knives={knives} />
      {isOwn && <OwnMark mark={m.id} lines={m.lines} book={book} />}
    </li>
  );
}

function AsStruck({ mark, maker }: { mark: Mark; maker: string }) {
  return (
    <div className="flex grow flex-wrap items-center justify-center gap-x-4 gap-y-1 text-center font-steel text-[1.125rem]/6 tracking-wide">
      <div className="flex min-w-[9.5rem] flex-1 justify-center">
        <MarkDrawn of={maker} lines={mark.lines.map(plainLetters)} layout={mark.layout} />
      </div>
      {mark.pile.length > 0 && <Face lines={mark.pile} quiet="pile side" />}
      {mark.etch.length > 0 && <Face lines={mark.etch} quiet="on the flat" />}
    </div>
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

/** A way of dating and what it struck in each year. */
export function CodeTable({
  code: c,
  pack,
  isOwn,
}: {
  code: OneMaker["codes"][number];
  pack: MakersPack;
  isOwn: boolean;
}) {
  return (
    <section aria-label={c.scheme.label} className="mt-1 mb-2">
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
      {isOwn && <OwnScheme name={c.scheme.label} remove={() => api.removeCode(c.scheme.id)} />}
    </section>
  );
}

/** How its numbers are built, place by place. */
export function NumberTables({ numbers }: { numbers: NonNullable<OneMaker["numbers"]> }) {
  return (
    <div className="mt-1 flex flex-wrap gap-x-8 gap-y-2">
      {numbers.fields
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
  );
}

/** The sources that what is told of a maker is known from. */
export function KnownFrom({ maker, pack }: { maker: OneMaker; pack: MakersPack }) {
  const { owners, contracts, shields, fittings, models, tells } = maker.history;
  const used = new Set(
    [maker.marks, maker.codes.map((c) => c.scheme), owners, contracts, shields, fittings, models, tells]
      .flat()
      .map((fact) => fact.source),
  );
  return (
    <>
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
    </>
  );
}
