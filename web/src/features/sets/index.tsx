import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate, useParams, useSearchParams } from "react-router";
import { useByNumber } from "../../api/by-number";
import { api } from "../../api/client";
import type { Book, SetRow } from "../../api/types";
import { useKeys } from "../../keys";
import { BackOrPrint } from "../../ui/back-or-print";
import { Opened } from "../../ui/opened";
import { Page } from "../../ui/page";
import { usePageTitle } from "../../ui/page-title";
import { Select } from "../../ui/select";
import { Row, type Shown } from "./row";
import { Series } from "./series";

const AGAIN = 1500;

type SetTold = Awaited<ReturnType<typeof api.set>>;

/** All there may be of one maker, model by model and mark by mark, and what of it is in the tray. */
export function SetPage({ book }: { book: Book }) {
  const maker = useParams().id as string;
  const navigate = useNavigate();
  const [query, setQuery] = useSearchParams();
  const atLeast = query.get("atLeast") ?? undefined;
  const [onlyGaps, setOnlyGaps] = useState(false);
  const set = useQuery({
    queryKey: ["set", maker, atLeast],
    queryFn: () => api.set(maker, atLeast),
    placeholderData: keepPreviousData,
    staleTime: 0,
    // What is still being worked out may fill more of it.
    refetchInterval: (q) => (q.state.data && q.state.data.left > 0 ? AGAIN : false),
  });
  const knives = useByNumber();
  const back = `/makers/${maker}`;
  useKeys({ escape: () => navigate(back), p: () => window.print(), g: () => setOnlyGaps((on) => !on) });
  usePageTitle(set.data?.board.name ?? "A set");
  return (
    <Opened of={set} failed="The set could not be laid out." meanwhile="Laying out the set.">
      {(told) => (
        <Page>
          <Heading board={told.board} back={back} />
          <Narrow
            atLeast={atLeast}
            onAtLeast={(grade) => setQuery(grade ? { atLeast: grade } : {}, { replace: true })}
            onlyGaps={onlyGaps}
            onOnlyGaps={setOnlyGaps}
            left={told.left}
            book={book}
          />
          <Laid set={told} onlyGaps={onlyGaps} knives={knives} book={book} />
        </Page>
      )}
    </Opened>
  );
}

/** Its models in their marks, then what changed over the years; all of it, or its gaps alone. */
function Laid({
  set: { board, series, drawn },
  onlyGaps,
  knives,
  book,
}: {
  knives: ReturnType<typeof useByNumber>;
  set: Awaited<ReturnType<typeof api.set>>;
  onlyGaps: boolean;
  book: Book;
}) {
  const shown: Shown = { board, drawn, knives, book };
  const inSeries = series.some((s) => s.places.some((p) => !onlyGaps || p.gap));
  const rows = board.rows.filter((r) => !onlyGaps || r.cells.some((c) => c.gap));
  return (
    <>
      {rows.length === 0 && !inSeries && <p className="voice mt-4 text-ink3">No gap is left.</p>}
      {rows.map((row) => (
        <Row key={`${row.model} ${row.from}`} row={only(row, onlyGaps)} shown={shown} />
      ))}
      {inSeries && (
        <section aria-labelledby="series-name" className="mt-6">
          <h2 id="series-name" className="border-b border-ink text-[1.25rem]/7">
            What they changed over the years
          </h2>
          {series.map((s) => (
            <Series key={s.id} series={s} onlyGaps={onlyGaps} knives={knives} />
          ))}
        </section>
      )}
    </>
  );
}

function Heading({ board, back }: { board: SetTold["board"]; back: string }) {
  return (
    <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-ink pb-1">
      <h1 className="text-[1.5625rem]/[1.75rem] tracking-tight">The set of {board.name}</h1>
      <p className="text-ink2">
        <span className="num font-semibold text-ink">{board.owned}</span> of{" "}
        <span className="num">{board.possible}</span> places filled
        {board.better > 0 && (
          <>
            , <span className="num">{board.better}</span> of them to be bettered
          </>
        )}
        .
      </p>
      <BackOrPrint bench={back} to="To the maker" />
    </div>
  );
}

/** What is good enough to fill a place, and whether gaps alone are shown. */
function Narrow({
  atLeast,
  onAtLeast,
  onlyGaps,
  onOnlyGaps,
  left,
  book,
}: {
  atLeast: string | undefined;
  onAtLeast: (grade: string | undefined) => void;
  onlyGaps: boolean;
  onOnlyGaps: (only: boolean) => void;
  left: number;
  book: Book;
}) {
  return (
    <div className="no-print mt-2 flex flex-wrap items-end gap-x-5 gap-y-2">
      <div className="w-52">
        <label htmlFor="good-enough" className="block text-[0.78125rem] text-ink2">
          Good enough from
        </label>
        <Select
          id="good-enough"
          value={atLeast}
          options={book.condition.grades}
          nothing="any grade"
          onChange={onAtLeast}
        />
      </div>
      <button type="button" className="press" aria-pressed={onlyGaps} onClick={() => onOnlyGaps(!onlyGaps)}>
        Only gaps
      </button>
      {left > 0 && (
        <p className="voice text-ink3">
          {left} {left === 1 ? "knife is" : "knives are"} still being worked out and may fill more.
        </p>
      )}
    </div>
  );
}

const only = (row: SetRow, gaps: boolean): SetRow =>
  gaps ? { ...row, cells: row.cells.filter((c) => c.gap || c.stand === "never") } : row;
