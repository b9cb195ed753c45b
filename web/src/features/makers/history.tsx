import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { api } from "../../api/client";
import type { Book, MakersPack, OneMaker } from "../../api/types";
import { path } from "../../drawing/geometry";
import { answerOptions } from "../../drawing/pictures";
import { fromTo, percent } from "../../format";
import { sourceOf } from "./source";
import { told } from "./told";

type History = OneMaker["history"];

/** Owners, who made its knives, its shields by era and its models. */
export function HistoryOf({ maker, pack }: { maker: OneMaker; pack: MakersPack }) {
  const { owners, contracts, shields, fittings, models, tells } = maker.history;
  const book = useQuery({ queryKey: ["book"], queryFn: api.book, staleTime: Number.POSITIVE_INFINITY });
  const markById = (id: string) => maker.marks.find((m) => m.id === id)?.lines.join(" / ") ?? id;
  const words = (f: { feature: string; value: string }) =>
    told(f.feature, f.value, book.data?.questions ?? []);
  return (
    <>
      {owners.length > 0 && <Facts heading="Whose it was" pack={pack} facts={owners} what={(o) => o.name} />}
      {contracts.length > 0 && (
        <Facts
          heading="Who made its knives"
          pack={pack}
          facts={contracts}
          what={(c) =>
            `${c.by}, ${percent(c.share)}%${c.marks.length > 0 ? ` under ${c.marks.map(markById).join(" and ")}` : ""}`
          }
        />
      )}
      {shields.length > 0 && <Shields shields={shields} pack={pack} book={book.data} />}
      {fittings.length > 0 && (
        <Facts heading="Handles and fittings" pack={pack} facts={fittings} what={words} />
      )}
      {tells.length > 0 && (
        <>
          <h3 className="mt-4 font-semibold">Its work is known by</h3>
          <ul>
            {tells.map((t) => (
              <li key={t.text} className="border-t border-rule py-0.5">
                {t.text} <span className="text-ink2">{sourceOf(pack, t.source)}</span>
              </li>
            ))}
          </ul>
        </>
      )}
      {models.length > 0 && <Models models={models} pack={pack} words={words} />}
    </>
  );
}

interface Fact {
  from: number;
  to: number;
  note: string;
  source: string;
}

function Facts<F extends Fact>({
  heading,
  facts,
  what,
  pack,
}: {
  heading: string;
  facts: F[];
  what: (fact: F) => string;
  pack: MakersPack;
}) {
  return (
    <>
      <h3 className="mt-4 font-semibold">{heading}</h3>
      <ul>
        {facts.map((f) => (
          <li
            key={what(f) + f.from}
            className="grid grid-cols-[6rem_minmax(0,1fr)] gap-x-2 border-t border-rule py-0.5"
          >
            <span className="num text-blue">{fromTo(f)}</span>
            <span>
              {what(f)}.{" "}
              <span className="text-ink2">
                {f.note} {sourceOf(pack, f.source)}
              </span>
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}

function Shields({
  shields,
  pack,
  book,
}: {
  shields: History["shields"];
  pack: MakersPack;
  book: Book | undefined;
}) {
  const question = book?.questions.find((q) => q.id === "shield_shape");
  const drawn = (book && question && answerOptions(book, question)) ?? [];
  return (
    <>
      <h3 className="mt-4 font-semibold">Shields</h3>
      <ul className="grid gap-x-6 sm:grid-cols-2">
        {shields.map((s) => {
          const shape = drawn.find((d) => d.id === s.shape);
          return (
            <li key={s.shape + s.from} className="flex items-center gap-3 border-t border-rule py-1">
              {s.picture ? (
                <img
                  src={s.picture}
                  alt={`The shield of ${fromTo(s)}`}
                  className="h-8 w-[4.75rem] object-contain dark:invert"
                />
              ) : s.drawn ? (
                <ShieldDrawn outline={s.drawn} />
              ) : (
                (shape?.picture as ReactNode)
              )}
              <span>
                <span className="num text-blue">{fromTo(s)}</span> {shape?.label ?? s.shape}.{" "}
                <span className="text-[0.78125rem]/4 text-ink2">
                  {s.note} {sourceOf(pack, s.source)}
                </span>
              </span>
            </li>
          );
        })}
      </ul>
    </>
  );
}

/** A shield by its own outline, of the size of the pictures of shapes. */
function ShieldDrawn({ outline }: { outline: number[][] }) {
  const wide = 26;
  const at = outline.map(([x, y]) => [39 + wide * (x ?? 0), 15 + wide * (y ?? 0)] as const);
  return (
    <svg width="78" height="30" viewBox="0 0 78 30" aria-hidden="true" className="shrink-0">
      <path d={path(at)} className="fill-paper stroke-ink" strokeWidth="1.1" strokeLinejoin="round" />
    </svg>
  );
}

function Models({ models, ...of }: OfModels & { models: History["models"] }) {
  return (
    <>
      <h3 className="mt-4 font-semibold">Models</h3>
      <table className="w-full text-left">
        <thead className="text-ink2">
          <tr>
            <th className="pr-3 font-normal whitespace-nowrap">Number</th>
            <th className="font-normal">What</th>
            <th className="font-normal">Years</th>
          </tr>
        </thead>
        <tbody>
          {models.map((m) => (
            <OneModel key={m.number} model={m} {...of} />
          ))}
        </tbody>
      </table>
    </>
  );
}

interface OfModels {
  pack: MakersPack;
  words: (option: { feature: string; value: string }) => string;
}

function OneModel({ model: m, pack, words }: OfModels & { model: History["models"][number] }) {
  return (
    <tr className="border-t border-rule align-baseline">
      <th scope="row" className="pr-3 font-steel font-semibold whitespace-nowrap">
        {m.number}
      </th>
      <td className="pr-3">
        {m.label}.{" "}
        <span className="text-[0.78125rem]/4 text-ink2">
          {m.note}{" "}
          {Object.entries(m.marks)
            .map(([mark, y]) => `Mark ${mark}: ${fromTo(y)}.`)
            .join(" ")}{" "}
          {m.options.map((o) => (
            <span key={o.feature + o.value} className="text-ink">
              Could be had with: {words(o).toLowerCase()}
              {(o.from || o.to) && `, ${o.from ?? m.from}\u2013${o.to ?? m.to}`}. {o.note}{" "}
            </span>
          ))}
          {sourceOf(pack, m.source)}
        </span>
      </td>
      <td className="num whitespace-nowrap text-blue">{fromTo(m)}</td>
    </tr>
  );
}
