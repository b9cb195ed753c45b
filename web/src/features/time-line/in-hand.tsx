import { useRef } from "react";
import { api } from "../../api/client";
import type { Book, Problem } from "../../api/types";
import { fromTo, sentence } from "../../format";
import { TextField } from "../../ui/text-field";
import { whole } from "../../ui/whole";
import { ChangeFact, TakeOutFact } from "../facts";
import { OwnMark } from "../makers/change-mark";
import { TryOut } from "../makers/try-out";
import type { Keyed, Moves, Years } from "./use-moves";

/** The bar in hand: its years typed, what moving it makes of the time line, and the press that keeps it. */
export function InHand({ maker, moves, book }: { maker: string; moves: Moves; book: Book }) {
  const strip = useRef<HTMLDivElement>(null);
  // The presses go once it is done: the keys stay here.
  const done = (what: () => void) => () => {
    strip.current?.focus();
    what();
  };
  return (
    <div
      ref={strip}
      tabIndex={-1}
      className="no-print sticky bottom-0 z-10 -mx-4 mt-3 bg-paper px-4 outline-none lg:-mx-6 lg:px-6"
    >
      <Held maker={maker} moves={moves} book={book} done={done} />
    </div>
  );
}

function Held({ maker, moves, book, done }: OfHeld) {
  const { inHand, years } = moves;
  if (!inHand || !years) return <NoneInHand />;
  const problems = moves.does?.problems ?? [];
  return (
    <section aria-label="In hand" className="border-y border-ink bg-lit px-3 py-2">
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
        <h2 className="min-w-48 grow font-serif max-sm:basis-full text-[1.0625rem]/6">{inHand.bar.what}</h2>
        <TypedYears bar={inHand} years={years} moves={moves} problems={problems} />
        {moves.isMoved ? (
          <p className="flex gap-3">
            <button type="button" className="press" disabled={problems.length > 0} onClick={done(moves.keep)}>
              Keep {fromTo(years)}
            </button>
            <button type="button" className="press" onClick={done(moves.putBack)}>
              Put back
            </button>
          </p>
        ) : (
          <Anew maker={maker} bar={inHand} book={book} />
        )}
      </div>
      <div role="status">
        {moves.does?.remarks.map((r) => (
          <p key={r.text} className="mt-1 text-[0.8125rem]/5 text-lead">
            {sentence(r.text)}.
          </p>
        ))}
      </div>
      {moves.isMoved && problems.length === 0 && (
        <TryOut of={[inHand, years]} begin={() => tryMoved(maker, inHand, years)} />
      )}
    </section>
  );
}

interface OfHeld {
  maker: string;
  moves: Moves;
  book: Book;
  done: (what: () => void) => () => void;
}

function NoneInHand() {
  return (
    <p className="voice border-y border-rule py-2 text-ink2">
      Blue bars are what you put on file: drag their ends, move them with the arrow keys, or take one and type
      its years. Grey ones came with a pack and stay. Nothing is kept before you say so.
    </p>
  );
}

const FIELDS = [
  { field: "from", label: "from" },
  { field: "to", label: "until" },
  { field: "give", label: "give or take" },
] as const;

function TypedYears({
  bar,
  years,
  moves,
  problems,
}: {
  bar: Keyed;
  years: Years;
  moves: Moves;
  problems: Problem[];
}) {
  const hasGive = bar.bar.kind === "mark" || bar.bar.kind === "fitting";
  return FIELDS.filter(({ field }) => field !== "give" || hasGive).map(({ field, label }) => (
    <TextField
      key={field}
      label={label}
      maxLength={4}
      className="w-24 max-sm:w-[5.5rem]"
      entryClassName="num"
      value={`${years[field]}`}
      problem={problems.find((p) => p.field === field)}
      onCommit={(text) => text !== undefined && moves.move(bar, { [field]: whole(text) })}
    />
  ));
}

/** What else can be done to it. */
function Anew({ maker, bar, book }: { maker: string; bar: Keyed; book: Book }) {
  const { what } = bar.bar;
  if (bar.mark) return <OwnMark mark={bar.mark} lines={[what]} book={book} />;
  const fact = { maker, key: bar.fact as string, what };
  return (
    <p className="flex gap-x-4">
      <ChangeFact fact={fact} book={book} />
      <TakeOutFact fact={fact} />
    </p>
  );
}

async function tryMoved(maker: string, { mark, fact }: Keyed, years: Years) {
  if (mark) return api.tryMark({ ...(await api.ownMark(mark)), ...years }, mark);
  return api.tryFact({ ...(await api.ownFact(maker, fact as string)), ...years }, fact);
}
