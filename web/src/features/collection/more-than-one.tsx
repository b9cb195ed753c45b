import { Link } from "react-router";
import { useByNumber } from "../../api/by-number";
import type { Alike, Book, ReadableEntry } from "../../api/types";
import { SmallKnife } from "../../drawing/small-knife";
import { lengthText } from "../../format";
import { usePreferences } from "../../preferences";

const SHOWN = 6;

/** Knives of which there is more than one: the same by what is on file, or much alike. */
export function MoreThanOne({ alike, groups, book }: { alike: Alike[]; groups: number; book: Book }) {
  return (
    <section aria-labelledby="more-name" className="min-w-0">
      <h2 id="more-name" className="text-[1.1875rem]/[1.375rem]">
        More than one of
      </h2>
      {alike.length === 0 && (
        <p className="voice mt-1 text-ink3">Each of these is the only one of its kind.</p>
      )}
      <ul className="mt-1">
        {alike.map((a) => (
          <Group key={a.numbers.join()} alike={a} book={book} />
        ))}
      </ul>
      {groups > alike.length && (
        <p className="voice mt-1 text-ink3">
          {(groups - alike.length).toLocaleString()} more of these are not shown: narrow the tray down first.
        </p>
      )}
    </section>
  );
}

function Group({ alike, book }: { alike: Alike; book: Book }) {
  const knives = useByNumber();
  const here = alike.numbers.map((n) => knives.get(n)).filter((k) => k !== undefined);
  return (
    <li className="border-b border-rule py-1.5">
      <p className="flex flex-wrap items-baseline gap-x-3">
        <span>
          <span className="font-semibold">
            {alike.maker}
            {alike.what && <span className="font-steel"> {alike.what.model}</span>}
          </span>
          , {alike.looks.map((l, i) => (i === 0 ? l : l.charAt(0).toLowerCase() + l.slice(1))).join(", ")}
        </span>
        <span className="voice text-ink2">
          {alike.what ? "the same model in the same mark" : "much alike"}
        </span>
        <Link
          to={`/together?${new URLSearchParams(here.map((k) => ["of", k.id]))}`}
          className="ml-auto inline-block min-h-6 underline"
        >
          Lay {here.length === 2 ? "both" : `all ${here.length}`} side by side
        </Link>
      </p>
      <ul className="flex flex-wrap gap-x-4 gap-y-1">
        {here.slice(0, SHOWN).map((k) => (
          <OneOfThem key={k.id} knife={k} book={book} />
        ))}
        {here.length > SHOWN && <li className="self-center text-ink2">and {here.length - SHOWN} more</li>}
      </ul>
    </li>
  );
}

function OneOfThem({ knife: k, book }: { knife: ReadableEntry; book: Book }) {
  const { units } = usePreferences();
  const told = [
    k.sketch.measured && lengthText(k.sketch.closedLengthMm, units),
    k.summary.grade.best?.label,
  ].filter(Boolean);
  return (
    <li>
      <Link to={`/bench/${k.id}`} className="flex min-h-6 items-center gap-2 hover:underline">
        <SmallKnife sketch={k.sketch} book={book} className="text-ink" />
        <span>
          No. <span className="num">{k.number}</span>
          <span className="text-ink2">{told.map((t) => `, ${t}`)}</span>
        </span>
      </Link>
    </li>
  );
}
