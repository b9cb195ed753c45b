import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate, useParams } from "react-router";
import { api } from "../../api/client";
import type { Book, SavedKnife, Verdict } from "../../api/types";
import { titleBy } from "../../format";
import { useKeys } from "../../keys";
import { usePreferences } from "../../preferences";
import { BackOrPrint } from "../../ui/back-or-print";
import { Failed } from "../../ui/failed";
import { Opened, together } from "../../ui/opened";
import { Page, PageHead } from "../../ui/page";
import { usePageTitle } from "../../ui/page-title";
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
  usePageTitle(`Verdict on ${knife.specimen.title ?? pattern ?? "a knife"}`);
  return (
    <Opened
      of={together(whole, now)}
      failed="The verdict could not be worked out."
      meanwhile="Working it out."
    >
      {([whole, verdict]) => (
        <Page isSheet>
          <PageHead
            title={pattern}
            about={
              <>
                <span className="num">{knife.number}</span> {knife.specimen.title}
              </>
            }
          >
            <BackOrPrint bench={bench} />
          </PageHead>
          <LeftOut off={off} whole={whole} verdict={verdict} onAll={allOn} />
          <Held
            verdict={verdict}
            book={book}
            name={pattern ?? "The knife"}
            onGo={(station) => navigate(`${bench}?at=${station}`)}
          />
          <Clues whole={whole.dating} now={verdict.dating} off={off} onFlip={flip} />
          <p className="mt-2 text-[0.78125rem]/4 text-ink2">
            A verdict is an opinion: for insurance, tax and estates ask a licensed appraiser.
          </p>
        </Page>
      )}
    </Opened>
  );
}

function LeftOut({
  off,
  whole,
  verdict,
  onAll,
}: {
  off: ReadonlySet<string>;
  whole: Verdict;
  verdict: Verdict;
  onAll: () => void;
}) {
  if (off.size === 0) return null;
  return (
    <p role="status" className="mt-2 bg-blue-wash px-2 py-1">
      Without {[...off].map((f) => named(whole, f)).join("; ")}: {verdict.dating.opinion.headline}. Nothing of
      this is kept.{" "}
      <button type="button" className="underline" onClick={onAll}>
        All clues on
      </button>
    </p>
  );
}

/** The knife drawn and what is held of it, over the years it may be of. */
function Held({
  verdict,
  book,
  name,
  onGo,
}: {
  verdict: Verdict;
  book: Book;
  name: string;
  onGo: (station: string) => void;
}) {
  return (
    <>
      <div className="mt-2 grid gap-x-8 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)] print:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <div className="min-w-0">
          <KnifeDrawn sketch={verdict.sketch} book={book} label={name} />
          <NextLooks looks={verdict.dating.lookNext} onGo={onGo} />
        </div>
        <div className="min-w-0 max-lg:order-first">
          <Opinion verdict={verdict} onGo={onGo} />
          {verdict.dating.explanations.length > 0 && <Originality verdict={verdict} onGo={onGo} />}
        </div>
      </div>
      <div className="-mx-4 border-t border-ink lg:-mx-6 print:mx-0">
        <SpanChart dating={verdict.dating} onGo={onGo} isBare />
      </div>
    </>
  );
}

/** A clue as it stands in a sentence. */
function named(verdict: Verdict, feature: string): string {
  const clue = verdict.dating.clues.find((c) => c.feature === feature);
  return clue ? `${clue.label.toLowerCase()} (${clue.value.toLowerCase()})` : "the mark";
}
