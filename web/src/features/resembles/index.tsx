import { useQuery } from "@tanstack/react-query";
import { useEffect } from "react";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import { api } from "../../api/client";
import type { Beside, Book, Lookalike } from "../../api/types";
import { percent } from "../../format";
import { useKeys } from "../../keys";
import { Failed } from "../../ui/failed";
import { Key } from "../../ui/key";
import { Select } from "../../ui/select";
import { KnifeDrawn } from "../sheet/knife-drawn";
import { Tells } from "./tells";

const AT_FIRST = 3;
const MOST = 4;

/** Is it one of these: the knife beside models on file and other knives, tell by tell. */
export function Resembles({ book }: { book: Book }) {
  const id = useParams().id as string;
  const navigate = useNavigate();
  const [query, setQuery] = useSearchParams();
  const knife = useQuery({ queryKey: ["knife", id, "named"], queryFn: () => api.knife(id) });
  const all = useQuery({ queryKey: ["lookalikes", id], queryFn: () => api.lookalikes(id), staleTime: 0 });
  const asked = query.getAll("with");
  const beside = asked.length > 0 ? asked : (all.data ?? []).slice(0, AT_FIRST).map((l) => l.id);
  const compared = useQuery({
    queryKey: ["resemblance", id, beside],
    queryFn: () => api.resemblance(id, beside),
    enabled: beside.length > 0,
    staleTime: 0,
    placeholderData: (before: Beside | undefined) => before,
  });
  const bench = `/bench/${id}`;
  useKeys({ escape: () => navigate(bench), p: () => navigate(`${bench}/verdict`) });
  useEffect(() => {
    document.title = "Lookalikes \u2013 Snikra";
  }, []);
  const set = (ids: string[]) => setQuery({ with: ids }, { replace: true });
  const failed = [knife, all, compared].find((q) => q.isError);
  if (failed)
    return (
      <Failed
        what="The lookalikes could not be laid out."
        error={failed.error as Error}
        onAgain={() => {
          setQuery({}, { replace: true });
          failed.refetch();
        }}
      />
    );
  if (!knife.data || !all.data) return <p className="voice p-6 text-ink3">Laying them out.</p>;
  const another = all.data.find((l) => !beside.includes(l.id));
  return (
    <main className="px-4 pt-3 pb-8 lg:px-6">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-ink pb-1">
        <h1 className="text-[1.5625rem]/[1.75rem] tracking-tight">Lookalikes</h1>
        <p className="text-ink2">
          <span className="num">{knife.data.number}</span> {knife.data.specimen.title}
        </p>
        <p className="no-print ml-auto flex gap-4">
          <Link to={bench} className="min-h-6 hover:underline">
            To the bench <Key>Esc</Key>
          </Link>
        </p>
      </div>
      {all.data.length === 0 && (
        <p className="voice mt-3 text-ink3">
          Nothing to hold it against: no model is on file and it is the only knife in the tray.
        </p>
      )}
      {compared.data && (
        // biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls sideways where it is narrow
        <section aria-label="Beside its lookalikes" className="relative overflow-x-auto pt-2" tabIndex={0}>
          <Tells
            compared={compared.data}
            heads={beside.map((one, i) => (
              <Head
                key={one}
                place={i}
                beside={beside}
                all={all.data}
                compared={compared.data}
                book={book}
                onChange={set}
              />
            ))}
            drawn={<KnifeDrawn sketch={compared.data.knife} book={book} label="The knife in hand" />}
          />
        </section>
      )}
      {another && beside.length < MOST && (
        <button type="button" className="press no-print mt-3" onClick={() => set([...beside, another.id])}>
          Lay another beside it
        </button>
      )}
    </main>
  );
}

/** A candidate: its drawing, what speaks for it in all, and a choice of another in its place. */
function Head({
  place,
  beside,
  all,
  compared,
  book,
  onChange,
}: {
  place: number;
  beside: string[];
  all: Lookalike[];
  compared: Beside;
  book: Book;
  onChange: (ids: string[]) => void;
}) {
  const total = compared.comparison.totals[place];
  const sketch = compared.sketches[place];
  const chosen = beside[place] as string;
  return (
    <>
      {sketch && <KnifeDrawn sketch={sketch} book={book} label={total?.label ?? "A candidate"} />}
      <Select
        className="no-print"
        aria-label={`Candidate ${place + 1}`}
        value={chosen}
        nothing="take it away"
        options={all
          .filter((l) => l.id === chosen || !beside.includes(l.id))
          .map((l) => ({ id: l.id, label: `${l.label} (${signed(l.decibans)} db)` }))}
        onChange={(next) =>
          onChange(next ? beside.map((b) => (b === chosen ? next : b)) : beside.filter((b) => b !== chosen))
        }
      />
      <span className="hidden print:block">{total?.label}</span>
      {total && (
        <p>
          <span className="num text-[1.75rem]/8 font-light text-blue">
            {percent(total.probability)}
            <small className="text-[0.875rem]">%</small>
          </span>{" "}
          <span className="num text-ink2">{signed(total.decibans)} db in all</span>
        </p>
      )}
    </>
  );
}

export const signed = (decibans: number) =>
  `${decibans < -0.5 ? "\u2212" : decibans > 0.5 ? "+" : ""}${Math.abs(decibans).toFixed(0)}`;
