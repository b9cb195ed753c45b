import { useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { useNavigate, useParams } from "react-router";
import { api } from "../../api/client";
import type { Book, SavedKnife, Verdict } from "../../api/types";
import { titleBy } from "../../format";
import { useKeys } from "../../keys";
import { usePreferences } from "../../preferences";
import { BackOrPrint } from "../../ui/back-or-print";
import { Failed } from "../../ui/failed";
import { NextLooks } from "../bench/next-looks";
import { SpanChart } from "../bench/span-chart";
import { Clues } from "./clues";
import { KnifeDrawn } from "./knife-drawn";
import { Opinion } from "./opinion";
import { Originality } from "./originality";

/** The verdict on one knife as a sheet to read, to argue with and to print. */
export function VerdictSheet({ book }: { book: Book }) {
  const { id } = useParams();
  const knife = useQuery({
    queryKey: ["knife", id],
    queryFn: () => api.knife(id as string),
    staleTime: 0,
    gcTime: 0,
  });
  if (knife.isError)
    return (
      <Failed what="The knife could not be shown." error={knife.error} onAgain={() => knife.refetch()} />
    );
  if (!knife.data) return <p className="voice p-6 text-ink3">Laying it out.</p>;
  return <Sheet key={id} knife={knife.data} book={book} />;
}

/** Clues that are left out to see what happens; nothing of that is kept. */
function useWithout(knife: SavedKnife) {
  const [off, setOff] = useState<ReadonlySet<string>>(new Set());
  const ask = (without: string[]) => () => api.examine({ specimen: knife.specimen, without });
  const sorted = [...off].sort();
  const whole = useQuery({ queryKey: ["verdict", knife.id, knife.version], queryFn: ask([]) });
  const now = useQuery({
    queryKey: ["verdict", knife.id, knife.version, sorted],
    queryFn: ask(sorted),
    enabled: off.size > 0,
    placeholderData: (before: Verdict | undefined) => before,
  });
  const flip = (features: string[]) =>
    setOff((all) => {
      const next = new Set(all);
      for (const feature of features) if (!next.delete(feature)) next.add(feature);
      return next;
    });
  return { off, flip, allOn: () => setOff(new Set()), whole, now: off.size > 0 ? now : whole };
}

function Sheet({ knife, book }: { knife: SavedKnife; book: Book }) {
  const { school } = usePreferences();
  const navigate = useNavigate();
  const { off, flip, allOn, whole, now } = useWithout(knife);
  const bench = `/bench/${knife.id}`;
  useKeys({ escape: () => navigate(bench), p: () => window.print() });
  const pattern = now.data && titleBy(school, now.data.pattern);
  useEffect(() => {
    document.title = `Verdict on ${knife.specimen.title ?? pattern ?? "a knife"} \u2013 Snikra`;
  }, [knife.specimen.title, pattern]);
  if (whole.isError || now.isError)
    return (
      <Failed
        what="The verdict could not be worked out."
        error={(now.error ?? whole.error) as Error}
        onAgain={() => (now.isError ? now : whole).refetch()}
      />
    );
  if (!whole.data || !now.data) return <p className="voice p-6 text-ink3">Working it out.</p>;
  const verdict = now.data;
  const go = (station: string) => navigate(`${bench}?at=${station}`);
  return (
    <main className="sheet px-4 pt-3 pb-8 lg:px-6 print:p-0">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-ink pb-1">
        <h1 className="text-[1.5625rem]/[1.75rem] tracking-tight">{pattern}</h1>
        <p className="text-ink2">
          <span className="num">{knife.number}</span> {knife.specimen.title}
        </p>
        <BackOrPrint bench={bench} />
      </div>
      {off.size > 0 && (
        <p role="status" className="mt-2 bg-blue-wash px-2 py-1">
          Without {[...off].map((f) => named(whole.data, f)).join("; ")}: {verdict.dating.opinion.headline}.
          Nothing of this is kept.{" "}
          <button type="button" className="underline" onClick={allOn}>
            All clues on
          </button>
        </p>
      )}
      <div className="mt-2 grid gap-x-8 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)] print:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <div className="min-w-0">
          <KnifeDrawn sketch={verdict.sketch} book={book} label={pattern ?? "The knife"} />
          <NextLooks looks={verdict.dating.lookNext} onGo={go} />
        </div>
        <div className="min-w-0 max-lg:order-first">
          <Opinion verdict={verdict} onGo={go} />
          {verdict.dating.explanations.length > 0 && <Originality verdict={verdict} onGo={go} />}
        </div>
      </div>
      <div className="-mx-4 border-t border-ink lg:-mx-6 print:mx-0">
        <SpanChart dating={verdict.dating} onGo={go} isBare />
      </div>
      <Clues whole={whole.data.dating} now={verdict.dating} off={off} onFlip={flip} />
      <p className="mt-2 text-[0.78125rem]/4 text-ink2">
        A verdict is an opinion: for insurance, tax and estates ask a licensed appraiser.
      </p>
    </main>
  );
}

/** A clue as it stands in a sentence. */
function named(verdict: Verdict, feature: string): string {
  const clue = verdict.dating.clues.find((c) => c.feature === feature);
  return clue ? `${clue.label.toLowerCase()} (${clue.value.toLowerCase()})` : "the mark";
}
