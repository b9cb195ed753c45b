import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { useNavigate } from "react-router";
import { api } from "../../api/client";
import type { Book, KeptWant } from "../../api/types";
import { useKeys } from "../../keys";
import { BackOrPrint } from "../../ui/back-or-print";
import { Key } from "../../ui/key";
import { Opened } from "../../ui/opened";
import { Page, PageHead } from "../../ui/page";
import { usePageTitle } from "../../ui/page-title";
import { useAttempt } from "../../ui/use-attempt";
import { WantForm } from "./form";
import { Sought } from "./sought";

const WANTED = { queryKey: ["wanted"], queryFn: () => api.wanted() };
const AGAIN = 1500;

/** What is of no set, then each set of one's own with how many of it are there. */
export function bySet(wants: KeptWant[]) {
  const named = new Map<string, KeptWant[]>();
  for (const w of wants) {
    const set = w.want.set ?? "";
    named.set(set, [...(named.get(set) ?? []), w]);
  }
  return [...named]
    .toSorted(([a], [b]) => a.localeCompare(b))
    .map(([set, of]) => ({
      set: set || undefined,
      of,
      owned: of.filter((w) => w.told.stand === "owned" || w.told.stand === "better-wanted").length,
    }));
}

/** The knives one looks for: what one would pay, and how to know each when it is met. */
export function WantedPage({ book }: { book: Book }) {
  const queries = useQueryClient();
  const [open, setOpen] = useState<KeptWant | "new">();
  const opener = useRef<HTMLElement | null>(null);
  const told = useQuery({
    ...WANTED,
    staleTime: 0,
    refetchInterval: ({ state }) => (state.data && state.data.left > 0 ? AGAIN : false),
  });
  const again = () => queries.invalidateQueries({ queryKey: WANTED.queryKey });
  const onOpen = (want: KeptWant | "new", from: HTMLElement | null) => {
    opener.current = from;
    setOpen(want);
  };
  useWantedKeys(open !== undefined, () => onOpen("new", null));
  usePageTitle("Wanted");
  return (
    <Opened of={told} failed="The wanted list could not be opened." meanwhile="Opening the wanted list.">
      {({ wants }) => (
        <Page>
          <Heading onAdd={(from) => onOpen("new", from)} />
          <BySet wants={wants} book={book} onOpen={onOpen} again={again} />
          {open && (
            <WantForm
              kept={open === "new" ? undefined : open}
              book={book}
              from={opener}
              onClose={() => setOpen(undefined)}
              onKept={again}
            />
          )}
        </Page>
      )}
    </Opened>
  );
}

function useWantedKeys(isOpen: boolean, onAdd: () => void) {
  const navigate = useNavigate();
  useKeys({
    "+": () => !isOpen && onAdd(),
    escape: () => !isOpen && navigate("/tray"),
    p: () => window.print(),
  });
}

function Heading({ onAdd }: { onAdd: (from: HTMLElement) => void }) {
  return (
    <PageHead title="Wanted" about="what I look for, and what I would pay at most">
      <BackOrPrint bench="/tray" to="To the tray" />
      <button type="button" className="press no-print" onClick={(e) => onAdd(e.currentTarget)}>
        Add one <Key>+</Key>
      </button>
    </PageHead>
  );
}

function BySet({
  wants,
  book,
  onOpen,
  again,
}: {
  wants: KeptWant[];
  book: Book;
  onOpen: (want: KeptWant | "new", from: HTMLElement | null) => void;
  again: () => Promise<void>;
}) {
  const attempt = useAttempt(again);
  if (wants.length === 0)
    return (
      <p className="voice mt-3 max-w-[44rem] text-ink3">
        Nothing yet. Add a model, a mark or a form you look for; the gaps of a set can be put here from the
        page of its maker.
      </p>
    );
  const remove = (want: KeptWant) =>
    attempt(
      () => api.unwant(want.id),
      "It is off the wanted list.",
      () => api.want(want.id, want.want),
    );
  return bySet(wants).map(({ set, of, owned }) => (
    <section key={set ?? ""} aria-label={set ?? "Of no set"} className="mt-3">
      {set && (
        <h2 className="flex flex-wrap items-baseline gap-x-3 text-[1.1875rem]/7">
          {set}
          <span className="text-[0.875rem] text-ink2">
            <span className="num">{owned}</span> of <span className="num">{of.length}</span> in the tray
          </span>
        </h2>
      )}
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(min(21rem,100%),1fr))] pt-px pl-px">
        {of.map((w) => (
          <Sought key={w.id} kept={w} book={book} onOpen={onOpen} onRemove={remove} />
        ))}
      </ul>
    </section>
  ));
}
