import { useQuery } from "@tanstack/react-query";
import { useNavigate, useParams } from "react-router";
import { api } from "../../api/client";
import type { Book, OneMaker, OwnFact } from "../../api/types";
import { useKeys } from "../../keys";
import { BackOrPrint } from "../../ui/back-or-print";
import { Failed } from "../../ui/failed";
import { usePageTitle } from "../../ui/page-title";
import { FactsOf } from "../facts";
import { OwnSteps } from "../makers/own-steps";
import { axisOf } from "./axis";
import { InHand } from "./in-hand";
import { Lanes } from "./lanes";
import { keyed, useMoves } from "./use-moves";

/** All of a maker that goes with years on one axis; what one put on file oneself is moved by hand. */
export function TimeLinePage({ book }: { book: Book }) {
  const id = useParams().id as string;
  const shelf = useQuery({ queryKey: ["makers"], queryFn: api.makers, staleTime: Number.POSITIVE_INFINITY });
  const maker = shelf.data?.packs
    .filter((p) => p.on)
    .flatMap((p) => p.makers)
    .find((m) => m.id === id);
  const navigate = useNavigate();
  useKeys({ escape: () => navigate(`/makers/${id}`), p: () => window.print() });
  usePageTitle(maker ? `The years of ${maker.name}` : "Time line");
  if (shelf.isError)
    return (
      <Failed
        what="The time line could not be laid out."
        error={shelf.error}
        onAgain={() => shelf.refetch()}
      />
    );
  if (shelf.isPending) return <p className="voice p-6 text-ink3">Laying out the time line.</p>;
  if (!maker)
    return (
      <p className="voice p-6 text-ink2">No maker of that name is on file, or its pack is switched off.</p>
    );
  const facts = shelf.data.ownFacts.filter((f) => f.maker === id);
  return <Laid maker={maker} facts={facts} book={book} />;
}

function Laid({ maker, facts, book }: { maker: OneMaker; facts: OwnFact[]; book: Book }) {
  const bars = keyed(maker.bars);
  const moves = useMoves(maker.id, bars);
  const unmarked = moves.does?.unmarked ?? maker.unmarked;
  return (
    <main className="px-4 pt-3 pb-8 lg:px-6">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-ink pb-1">
        <h1 className="text-[1.5625rem]/[1.75rem] tracking-tight">The years of {maker.name}</h1>
        <BackOrPrint bench={`/makers/${maker.id}`} to="To the maker" />
      </div>
      <Lanes bars={bars} axis={axisOf(maker.bars)} unmarked={unmarked} moves={moves} />
      {/* Below the bars: what is told of one moves none of them from under the hand that drags it. */}
      <InHand maker={maker.id} moves={moves} book={book} />
      <h2 className="no-print mt-6 text-[1.25rem]/7">More to put on file</h2>
      <FactsOf maker={maker} own={facts} book={book} />
      <OwnSteps />
    </main>
  );
}
