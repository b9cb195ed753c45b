import { useQuery } from "@tanstack/react-query";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import { api } from "../../api/client";
import type { Beside, Book, Lookalike } from "../../api/types";
import { percent } from "../../format";
import { useKeys } from "../../keys";
import { Failed } from "../../ui/failed";
import { Key } from "../../ui/key";
import { Opened, together } from "../../ui/opened";
import { Page, PageHead } from "../../ui/page";
import { usePageTitle } from "../../ui/page-title";
import { Select } from "../../ui/select";
import { KnifeDrawn } from "../sheet/knife-drawn";
import { Tells } from "./tells";

const AT_FIRST = 3;
const MOST = 4;

/** Is it one of these: the knife beside models on file and other knives, tell by tell. */
export function Resembles({ book }: { book: Book }) {
  const id = useParams().id as string;
  const navigate = useNavigate();
  const knife = useQuery({ queryKey: ["knife", id, "named"], queryFn: () => api.knife(id) });
  const all = useQuery({ queryKey: ["lookalikes", id], queryFn: () => api.lookalikes(id), staleTime: 0 });
  const bench = `/bench/${id}`;
  useKeys({ escape: () => navigate(bench), p: () => navigate(`${bench}/verdict`) });
  usePageTitle("Lookalikes");
  return (
    <Opened of={together(knife, all)} failed={FAILED} meanwhile="Laying them out.">
      {([{ number, specimen }, all]) => (
        <Page>
          <PageHead
            title="Lookalikes"
            about={
              <>
                <span className="num">{number}</span> {specimen.title}
              </>
            }
          >
            <p className="no-print ml-auto flex gap-4">
              <Link to={bench} className="min-h-6 hover:underline">
                To the bench <Key>Esc</Key>
              </Link>
            </p>
          </PageHead>
          {all.length === 0 && (
            <p className="voice mt-3 text-ink3">
              Nothing to hold it against: no model is on file and it is the only knife in the tray.
            </p>
          )}
          <BesideThem id={id} all={all} book={book} />
        </Page>
      )}
    </Opened>
  );
}

const FAILED = "The lookalikes could not be laid out.";

/** The knife beside those asked for, or beside the likest until others are. */
function BesideThem({ id, all, book }: { id: string; all: Lookalike[]; book: Book }) {
  const { beside, compared, set, again } = useBeside(id, all);
  const another = all.find((l) => !beside.includes(l.id));
  if (compared.isError) return <Failed what={FAILED} error={compared.error} onAgain={again} />;
  return (
    <>
      {compared.data && (
        // biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls sideways where it is narrow
        <section aria-label="Beside its lookalikes" className="relative overflow-x-auto pt-2" tabIndex={0}>
          <Tells
            compared={compared.data}
            heads={beside.map((one, i) => (
              <Head key={one} place={i} {...{ beside, all, book }} compared={compared.data} onChange={set} />
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
    </>
  );
}

/** Those asked for, else the likest, and how they compare. */
function useBeside(id: string, all: Lookalike[]) {
  const [query, setQuery] = useSearchParams();
  const asked = query.getAll("with");
  const beside = asked.length > 0 ? asked : all.slice(0, AT_FIRST).map((l) => l.id);
  const compared = useQuery({
    queryKey: ["resemblance", id, beside],
    queryFn: () => api.resemblance(id, beside),
    enabled: beside.length > 0,
    staleTime: 0,
    placeholderData: (before: Beside | undefined) => before,
  });
  return {
    beside,
    compared,
    set: (ids: string[]) => setQuery({ with: ids }, { replace: true }),
    again: () => {
      setQuery({}, { replace: true });
      compared.refetch();
    },
  };
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
