import { useQuery } from "@tanstack/react-query";
import { useNavigate, useParams } from "react-router";
import { api } from "../../api/client";
import { pictures } from "../../api/papers";
import type { Book, SavedKnife, SchoolVerdict, Verdict } from "../../api/types";
import { percent, titleBy } from "../../format";
import { useKeys } from "../../keys";
import { usePreferences } from "../../preferences";
import { BackOrPrint } from "../../ui/back-or-print";
import { Failed } from "../../ui/failed";
import { usePageTitle } from "../../ui/page-title";
import { Boxed, Built } from "../bench/grading/built";
import { headWords, useSchools } from "../bench/grading/use-schools";
import { askedAt, givenOf } from "../bench/stations/points";
import { KnifeDrawn } from "../sheet/knife-drawn";

const MOST_PHOTOGRAPHS = 4;
const STATIONS = ["condition", "action"];

/** The condition of one knife on a page to print and hand over: what was looked at, found and not. */
export function ConditionReport({ book }: { book: Book }) {
  const { id = "" } = useParams();
  const knife = useQuery({ queryKey: ["knife", id], queryFn: () => api.knife(id), staleTime: 0, gcTime: 0 });
  const specimen = knife.data?.specimen;
  const verdict = useQuery({
    queryKey: ["verdict", id, knife.data?.version],
    queryFn: () => api.examine({ specimen: specimen as SavedKnife["specimen"], without: [] }),
    enabled: specimen !== undefined,
  });
  const failed = [knife, verdict].find((q) => q.isError);
  if (failed)
    return (
      <Failed
        what="The report could not be made."
        error={failed.error as Error}
        onAgain={() => failed.refetch()}
      />
    );
  if (!knife.data || !verdict.data) return <p className="voice p-6 text-ink3">Working it out.</p>;
  return <Report knife={knife.data} verdict={verdict.data} book={book} />;
}

function Report({ knife, verdict, book }: { knife: SavedKnife; verdict: Verdict; book: Book }) {
  const { school } = usePreferences();
  const navigate = useNavigate();
  const bench = `/bench/${knife.id}?at=condition`;
  const name = titleBy(school, verdict.pattern);
  useKeys({ escape: () => navigate(bench), p: () => window.print() });
  usePageTitle(`Condition of ${knife.specimen.title ?? name}`);
  return (
    <main className="sheet px-4 pt-3 pb-8 lg:px-6 print:p-0">
      <header className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-ink pb-1">
        <h1 className="text-[1.5625rem]/[1.75rem] tracking-tight">Condition report</h1>
        <p className="text-ink2">
          <span className="num">{knife.number}</span> {knife.specimen.title ?? name}, {name.toLowerCase()}.{" "}
          {new Date().toLocaleDateString(undefined, { dateStyle: "long" })}
        </p>
        <BackOrPrint bench={bench} />
      </header>
      <div className="mt-2 grid gap-x-8 gap-y-3 md:grid-cols-2 print:grid-cols-2">
        <div className="min-w-0">
          <KnifeDrawn sketch={verdict.sketch} book={book} label={name} />
          <Photographs knife={knife.id} />
        </div>
        <Grades verdict={verdict} />
      </div>
      <Found knife={knife} verdict={verdict} book={book} />
      <Keeping care={verdict.care} />
      <p className="mt-3 border-t border-rule pt-1 text-[0.78125rem]/4 text-ink2">
        A grade is an opinion by the school named beside it, of what was looked at on the day. For insurance,
        tax and estates ask a licensed appraiser.
      </p>
    </main>
  );
}

function Keeping({ care }: { care: Verdict["care"] }) {
  if (care.length === 0) return null;
  return (
    <p className="mt-2">
      <span className="voice text-ink2">To keep it: </span>
      {care.map((c) => [c.does, c.caution].filter(Boolean).join(" ")).join(" ")}
    </p>
  );
}

function Photographs({ knife }: { knife: string }) {
  const photos = useQuery({ queryKey: ["photos", knife], queryFn: () => api.photos(knife) });
  const shown = pictures(photos.data).slice(0, MOST_PHOTOGRAPHS);
  return (
    <ul className="mt-2 grid grid-cols-2 gap-2">
      {shown.map((p) => (
        <li key={p.id}>
          <img
            src={`/api/photos/${p.id}/view`}
            alt={`Photograph, ${p.role.replace("-", " ")}`}
            className="h-32 w-full border border-edge object-cover"
          />
        </li>
      ))}
    </ul>
  );
}

function Grades({ verdict }: { verdict: Verdict }) {
  const { heads, others } = useSchools(verdict);
  if (!heads?.best)
    return <p className="voice text-ink3">Nothing was looked at yet, so there is no grade.</p>;
  return (
    <section aria-label="Grades">
      <p className="font-serif text-[1.4375rem]/7">{headWords(heads)}</p>
      <p className="text-ink2">
        {heads.label}. {heads.about}
      </p>
      <dl className="mt-2 border-t border-ink">
        {others.map((s) => (
          <div
            key={s.id}
            className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)] gap-x-3 border-b border-rule py-0.5"
          >
            <dt>{s.label}</dt>
            <dd className="text-right">{headWords(s)}</dd>
          </div>
        ))}
      </dl>
      <Built built={verdict.built} />
      <Boxed box={verdict.box} />
    </section>
  );
}

type Fault = SchoolVerdict["reasons"][number];

/** Every point: the faults in a table, what is sound and what nobody looked at in a line each. */
function Found({ knife, verdict, book }: { knife: SavedKnife; verdict: Verdict; book: Book }) {
  const { heads, all } = useSchools(verdict);
  const counted = all.find((s) => s.kind !== heads?.kind);
  const blades = knife.specimen.blades.length;
  const asked = STATIONS.flatMap((s) => askedAt(book, s, blades));
  const given = givenOf(knife.specimen);
  const faults = heads?.reasons ?? [];
  const isFault = (q: (typeof asked)[number]) =>
    faults.some((f) => f.of === q.point && Math.max(0, f.blade - 1) === q.blade);
  const looked = asked.filter((q) => given[q.id]?.value);
  const open = asked.filter((q) => !given[q.id]?.value);
  const words = (points: typeof asked) => points.map((q) => q.label.toLowerCase()).join(", ");
  const sound = looked.filter((q) => !isFault(q));
  return (
    <section aria-label="What was found" className="mt-3">
      {faults.length > 0 && <FaultTable faults={faults} counted={counted?.reasons ?? []} />}
      {sound.length > 0 && (
        <p className="mt-2">
          <span className="voice text-ink2">Without fault: </span>
          {words(sound)}.
        </p>
      )}
      {open.length > 0 && (
        <p className="mt-1">
          <span className="voice text-ink2">Not looked at: </span>
          {words(open)}.
        </p>
      )}
    </section>
  );
}

function FaultTable({ faults, counted }: { faults: Fault[]; counted: Fault[] }) {
  const beside = (f: Fault) => counted.find((o) => o.of === f.of && o.blade === f.blade);
  return (
    <table className="w-full border-collapse text-left">
      <thead>
        <tr className="border-b border-ink text-ink2">
          <th className="font-normal">Found</th>
          <th className="pl-4 font-normal">At best</th>
          <th className="whitespace-nowrap pl-4 text-right font-normal">Points</th>
        </tr>
      </thead>
      <tbody>
        {faults.map((f) => (
          <tr key={`${f.of}${f.blade}`} className="border-b border-rule align-baseline">
            <td className="py-0.5">
              {f.label}
              {f.found && `: ${f.found.toLowerCase()}`}
              {f.probability < 1
                ? ` (${percent(f.probability)}%)`
                : f.sureness !== "sure" && ` (${f.sureness})`}
              . <span className="text-ink2">{f.why}</span>
            </td>
            <td className="whitespace-nowrap pl-4">{(f.allows ?? beside(f)?.allows)?.label}</td>
            <td className="num pl-4 text-right">{(f.counts && (f.loses ?? beside(f)?.loses)) || ""}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
