import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useNavigate, useSearchParams } from "react-router";
import { api } from "../../api/client";
import type { Book } from "../../api/types";
import { useKeys } from "../../keys";
import { BackOrPrint } from "../../ui/back-or-print";
import { Opened } from "../../ui/opened";
import { Page, PageHead } from "../../ui/page";
import { usePageTitle } from "../../ui/page-title";
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
  usePageTitle("The collection");
  return (
    <Opened of={told} failed="The collection could not be counted." meanwhile="Counting the collection.">
      {(told) => (
        <Page>
          <PageHead title="The collection" about={<HowMany portrait={told.portrait} isAsking={isAsking} />}>
            <BackOrPrint bench={tray} to="To the tray" />
          </PageHead>
          {told.left > 0 && (
            <p className="voice mt-2 text-ink3" role="status">
              {told.left.toLocaleString()} still being worked out and not counted yet.
            </p>
          )}
          {told.portrait.knives === 0 ? (
            <Nothing isAsking={isAsking} />
          ) : (
            <Pictures told={told} book={book} asked={query} isAsking={isAsking} />
          )}
        </Page>
      )}
    </Opened>
  );
}

type Told = Awaited<ReturnType<typeof api.collection>>;

function HowMany({ portrait, isAsking }: { portrait: Told["portrait"]; isAsking: boolean }) {
  return (
    <>
      <span className="num font-semibold text-ink">{portrait.knives.toLocaleString()}</span>{" "}
      {portrait.knives === 1 ? "knife" : "knives"}
      {isAsking ? " found in the tray" : ""}, <span className="num">{portrait.dated.toLocaleString()}</span>{" "}
      with years.
    </>
  );
}

function Nothing({ isAsking }: { isAsking: boolean }) {
  return (
    <p className="voice mt-4 text-ink3">
      {isAsking ? "Nothing in the tray answers to that." : "The tray is empty: there is nothing to count."}
    </p>
  );
}

function Pictures({
  told: { portrait, alike, groups, looks },
  book,
  asked,
  isAsking,
}: {
  told: Told;
  book: Book;
  asked: URLSearchParams;
  isAsking: boolean;
}) {
  return (
    <>
      <Decades portrait={portrait} asked={asked} />
      <Kinds portrait={portrait} asked={asked} />
      <div className="mt-6 grid gap-x-8 gap-y-6 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <div className="grid min-w-0 content-start gap-y-6">
          <MoreThanOne alike={alike} groups={groups} book={book} />
          {!isAsking && <Spent />}
        </div>
        <LookedAtNext looks={looks} />
      </div>
    </>
  );
}
