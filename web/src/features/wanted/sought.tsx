import { Link } from "react-router";
import { useByNumber } from "../../api/by-number";
import type { Book, KeptWant } from "../../api/types";
import { SmallKnife } from "../../drawing/small-knife";
import { fromTo, lengthText, money, percent } from "../../format";
import { usePreferences } from "../../preferences";
import { Struck } from "../sets/struck";
import { nameOf } from "./name-of";

/** One knife that is looked for, as a card. */
export function Sought({ kept, book, onOpen, onRemove }: OfCard) {
  const { want, told } = kept;
  const name = nameOf(kept);
  const { units } = usePreferences();
  const shown = (said: string, mm: number | undefined) => (mm === undefined ? said : lengthText(mm, units));
  return (
    <li className="-mt-px -ml-px flex break-inside-avoid flex-col border border-rule px-3 pt-2 pb-1.5">
      <div className="flex items-start justify-between gap-3">
        <h2 className="min-w-0 font-semibold">{name}</h2>
        {want.most !== undefined && want.currency && (
          <p className="num shrink-0">
            <span className="text-ink2">up to </span>
            {money(want.most, want.currency)}
          </p>
        )}
      </div>
      <HowToKnowIt kept={kept} book={book} />
      {want.note && want.note !== name && <p className="mt-1">{want.note}</p>}
      {told.neighbours.map((n) => (
        <Apart key={n.label} from={n} shown={shown} />
      ))}
      <div className="mt-auto flex flex-wrap items-baseline justify-between gap-x-3 pt-1">
        <Stand told={told} />
        <Ways name={name} onOpen={(from) => onOpen(kept, from)} onRemove={() => onRemove(kept)} />
      </div>
    </li>
  );
}

interface OfCard {
  kept: KeptWant;
  book: Book;
  onOpen: (want: KeptWant, from: HTMLElement) => void;
  onRemove: (want: KeptWant) => void;
}

/** Its form, its mark, its years and the grade it is to have. */
function HowToKnowIt({ kept: { want, told, drawn }, book }: Pick<OfCard, "kept" | "book">) {
  const grade = book.condition.grades.find((g) => g.id === want.atLeast);
  return (
    <div className="mt-1 flex items-center gap-4">
      {drawn && <SmallKnife sketch={drawn} book={book} className="shrink-0 text-ink" />}
      {told.lines.length > 0 && (
        <div className="min-w-0">
          <Struck lines={told.lines} />
        </div>
      )}
      <p className="ml-auto text-right">
        <span className="num block text-blue">{yearsOf(told)}</span>
        {grade && <span className="block text-[0.8125rem] text-ink2">{grade.label} or better</span>}
      </p>
    </div>
  );
}

function Ways({
  name,
  onOpen,
  onRemove,
}: {
  name: string;
  onOpen: (from: HTMLElement) => void;
  onRemove: () => void;
}) {
  return (
    <p className="no-print ml-auto flex gap-3">
      <button
        type="button"
        className="min-h-6 underline"
        aria-label={`Change ${name}`}
        onClick={(e) => onOpen(e.currentTarget)}
      >
        Change
      </button>
      <button
        type="button"
        className="min-h-6 underline"
        aria-label={`No longer wanted: ${name}`}
        onClick={onRemove}
      >
        No longer
      </button>
    </p>
  );
}

function yearsOf({ from, to }: KeptWant["told"]): string {
  if (from !== undefined && to !== undefined) return fromTo({ from, to });
  if (from !== undefined) return `from ${from}`;
  return to === undefined ? "" : `to ${to}`;
}

/** How it stands in the tray. */
function Stand({ told }: { told: KeptWant["told"] }) {
  const knives = useByNumber();
  if (told.stand === "never") return <p className="text-lead">None was made so by what is on file.</p>;
  if (told.held.length === 0) return <p className="voice text-ink3">Not in the tray.</p>;
  const said =
    told.stand === "owned"
      ? "In the tray: "
      : told.stand === "better-wanted"
        ? "A better one than "
        : told.stand === "against"
          ? "None was made so by what is on file, yet "
          : "Perhaps ";
  return (
    <p>
      <span className={told.stand === "owned" ? "" : "voice"}>{said}</span>
      {told.held.map((h, i) => {
        const knife = knives.get(h.number);
        return (
          <span key={h.number}>
            {i > 0 && ", "}
            {knife ? (
              <Link to={`/bench/${knife.id}`} className="inline-block min-h-6 underline">
                No. {h.number}
              </Link>
            ) : (
              `No. ${h.number}`
            )}
            {told.stand === "perhaps" && `, ${percent(h.chance)} in 100`}
          </span>
        );
      })}
    </p>
  );
}

const lowerFirst = (s: string) => s.charAt(0).toLowerCase() + s.slice(1);

/** What one may take for it, and how to know: what the book says of the two first. */
function Apart({
  from,
  shown,
}: {
  from: KeptWant["told"]["neighbours"][number];
  shown: (said: string, mm: number | undefined) => string;
}) {
  const said = from.otherSaid ?? from.ownSaid;
  return (
    <p className="mt-1 text-[0.8125rem]/[1.125rem] text-ink2">
      <span className="voice">Not to be taken for </span>
      {from.label}
      {from.tells.length > 0 || said ? ": " : ", which nothing on file tells from it"}
      {said && (
        <>
          {!from.otherSaid && "this one: "}
          <span className="text-ink">{lowerFirst(said.replace(/\.$/, ""))}</span>
          {from.tells.length > 0 && "; "}
        </>
      )}
      {from.tells.map((t, i) => (
        <span key={t.label}>
          {i > 0 && "; "}
          {i === 0 ? lowerFirst(t.label) : t.label.toLowerCase()}{" "}
          <span className="text-ink">{shown(t.own, t.ownMm)}</span>, not {shown(t.other, t.otherMm)}
        </span>
      ))}
      .
    </p>
  );
}
