import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { api } from "../../api/client";
import type { Bearing } from "../../api/types";
import { useKeys } from "../../keys";
import { BackOrPrint } from "../../ui/back-or-print";
import { Failed } from "../../ui/failed";
import { usePageTitle } from "../../ui/page-title";
import { span } from "./row";
import { Struck } from "./struck";

/** For a year of birth or a hundredth year: what a knife of it bears, and which in the tray may be of it. */
export function OfYearPage() {
  const year = useParams().year as string;
  const navigate = useNavigate();
  const told = useQuery({
    queryKey: ["of-year", year],
    queryFn: () => api.ofYear(Number(year)),
    placeholderData: keepPreviousData,
    retry: false,
  });
  useKeys({ escape: () => navigate("/makers"), p: () => window.print() });
  usePageTitle(`Of ${year}`);
  const makers = told.data?.makers ?? [];
  return (
    <main className="px-4 pt-3 pb-8 lg:px-6">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-ink pb-1">
        <h1 className="text-[1.5625rem]/[1.75rem] tracking-tight">Of the year {year}</h1>
        <BackOrPrint bench="/makers" to="To the makers" />
      </div>
      <div className="no-print mt-2 flex flex-wrap items-end gap-x-5 gap-y-2">
        <YearEntry key={year} year={year} onYear={(y) => navigate(`/years/${y}`, { replace: true })} />
        <Link to={`/tray?q=${year}`} className="inline-block min-h-6 underline">
          Knives in the tray that may be of it
        </Link>
      </div>
      {told.isError ? (
        <Failed what="That year cannot be looked up." error={told.error} onAgain={() => told.refetch()} />
      ) : (
        told.data &&
        makers.length === 0 && <p className="voice mt-4 text-ink3">No mark on file was in use then.</p>
      )}
      {!told.isError && makers.map((m) => <Of key={m.maker} maker={m} />)}
    </main>
  );
}

function YearEntry({ year, onYear }: { year: string; onYear: (year: string) => void }) {
  const [said, setSaid] = useState(year);
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        if (said.trim() !== "") onYear(said.trim());
      }}
    >
      <label>
        <span className="block text-[0.78125rem] text-ink2">Year of birth, or any other</span>
        <input
          className="entry num w-24"
          inputMode="numeric"
          value={said}
          onChange={(e) => setSaid(e.target.value)}
        />
      </label>
      <button type="submit" className="press ml-2">
        Look
      </button>
    </form>
  );
}

/** A maker then: its marks, the one that tells the year best first, its codes and models. */
function Of({ maker }: { maker: Bearing }) {
  return (
    <section aria-label={maker.name} className="mt-4 break-inside-avoid">
      <h2 className="font-semibold">
        <Link to={`/makers/${maker.maker}`} className="inline-block min-h-6 hover:underline">
          {maker.name}
        </Link>
      </h2>
      <ul className="mt-1 grid grid-cols-[repeat(auto-fill,minmax(10rem,1fr))] pt-px pl-px">
        {maker.marks.map((m) => (
          <li key={m.mark} className="-mt-px -ml-px flex flex-col border border-rule px-2 pt-1.5 pb-1">
            <Struck lines={m.lines} />
            <p className="mt-1 flex flex-wrap justify-between gap-x-2 text-[0.78125rem]/4 text-ink2">
              <span className="num">{span(m)}</span>
              {!m.within && <span className="voice">if its years are out</span>}
            </p>
          </li>
        ))}
      </ul>
      {maker.codes.map((c) => (
        <p key={c.scheme} className="mt-1">
          {c.scheme}: <span className="font-steel font-semibold">{c.codes.join(" ")}</span>
        </p>
      ))}
      {maker.models.length > 0 && (
        <p className="mt-1 text-ink2">
          Made then: {maker.models.map((m) => `${m.number} ${m.label}`).join("; ")}.
        </p>
      )}
    </section>
  );
}
