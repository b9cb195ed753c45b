import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useEffect } from "react";
import { useNavigate, useSearchParams } from "react-router";
import { api } from "../../api/client";
import type { Book } from "../../api/types";
import { useKeys } from "../../keys";
import { BackOrPrint } from "../../ui/back-or-print";
import { Failed } from "../../ui/failed";
import { Decades } from "./decades";
import { Kinds } from "./kinds";
import { LookedAtNext } from "./looked-at-next";
import { MoreThanOne } from "./more-than-one";
import { Spent } from "./spent";

const AGAIN = 1500;

/** The knives taken together, as pictures: all of them, or those that answer to a search. */
export function CollectionPage({ book }: { book: Book }) {
  const navigate = useNavigate();
  const [query] = useSearchParams();
  const q = query.get("q") ?? "";
  const ticks = query.getAll("in");
  const isAsking = q !== "" || ticks.length > 0;
  const tray = `/tray${isAsking ? `?${query}` : ""}`;
  const told = useQuery({
    queryKey: ["tray", "collection", q, ticks],
    queryFn: () => api.collection(q, ticks),
    placeholderData: keepPreviousData,
    staleTime: 0,
    // What is still being worked out is not in it yet.
    refetchInterval: ({ state }) => (state.data && state.data.left > 0 ? AGAIN : false),
  });
  useKeys({ escape: () => navigate(tray), p: () => window.print() });
  useEffect(() => {
    document.title = "The collection \u2013 Snikra";
  }, []);
  if (told.isError)
    return (
      <Failed what="The collection could not be counted." error={told.error} onAgain={() => told.refetch()} />
    );
  if (!told.data) return <p className="voice p-6 text-ink3">Counting the collection.</p>;
  const { portrait, alike, groups, looks, left } = told.data;
  return (
    <main className="px-4 pt-3 pb-8 lg:px-6">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-ink pb-1">
        <h1 className="text-[1.5625rem]/[1.75rem] tracking-tight">The collection</h1>
        <p className="text-ink2">
          <span className="num font-semibold text-ink">{portrait.knives.toLocaleString()}</span>{" "}
          {portrait.knives === 1 ? "knife" : "knives"}
          {isAsking ? " found in the tray" : ""},{" "}
          <span className="num">{portrait.dated.toLocaleString()}</span> with years.
        </p>
        <BackOrPrint bench={tray} to="To the tray" />
      </div>
      {left > 0 && (
        <p className="voice mt-2 text-ink3" role="status">
          {left.toLocaleString()} still being worked out and not counted yet.
        </p>
      )}
      {portrait.knives === 0 ? (
        <p className="voice mt-4 text-ink3">
          {isAsking
            ? "Nothing in the tray answers to that."
            : "The tray is empty: there is nothing to count."}
        </p>
      ) : (
        <>
          <Decades portrait={portrait} asked={query} />
          <Kinds portrait={portrait} asked={query} />
          <div className="mt-6 grid gap-x-8 gap-y-6 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
            <div className="grid min-w-0 content-start gap-y-6">
              <MoreThanOne alike={alike} groups={groups} book={book} />
              {!isAsking && <Spent />}
            </div>
            <LookedAtNext looks={looks} />
          </div>
        </>
      )}
    </main>
  );
}
