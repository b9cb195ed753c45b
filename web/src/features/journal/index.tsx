import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { api } from "../../api/client";
import type { Book } from "../../api/types";
import { useKeys } from "../../keys";
import { Failed } from "../../ui/failed";
import { Key } from "../../ui/key";
import { useToast } from "../../ui/toasts";
import { Entry } from "./entry";
import { Write } from "./write";

/** What was held of one knife, and when: the sittings at the bench, and what the collector wrote. */
export function JournalPage({ book }: { book: Book }) {
  const id = useParams().id as string;
  const navigate = useNavigate();
  const queries = useQueryClient();
  const toast = useToast();
  const knife = useQuery({ queryKey: ["knife", id, "named"], queryFn: () => api.knife(id) });
  const journal = useQuery({ queryKey: ["journal", id], queryFn: () => api.journal(id), staleTime: 0 });
  const bench = `/bench/${id}`;
  useKeys({ escape: () => navigate(bench), p: () => navigate(`${bench}/verdict`) });
  const title = knife.data?.specimen.title ?? journal.data?.[0]?.opinion.title;
  useEffect(() => {
    document.title = `Journal of ${title ?? "a knife"} \u2013 Snikra`;
  }, [title]);
  const anew = () => queries.invalidateQueries({ queryKey: ["journal", id] });
  const attempt = async (done: Promise<unknown>, text?: string, undo?: () => void) => {
    try {
      await done;
      if (text) toast(text, undo);
    } catch (e) {
      toast(`That could not be done. ${(e as Error).message}`);
    }
    anew();
  };
  const takeOut = (entry: string) =>
    attempt(api.removeEntry(entry), "The entry was taken out.", () => attempt(api.restoreEntry(entry)));
  if (knife.isError || journal.isError)
    return (
      <Failed
        what="The journal could not be opened."
        error={(knife.error ?? journal.error) as Error}
        onAgain={() => (knife.isError ? knife : journal).refetch()}
      />
    );
  if (!knife.data || !journal.data) return <p className="voice p-6 text-ink3">Opening it.</p>;
  const entries = journal.data;
  const marked = entries.flatMap((e) => [
    ...(e.opinion.span?.pieces.flatMap((p) => [p.from, p.to]) ?? []),
    ...(e.own?.from === undefined ? [] : [e.own.from, e.own.to as number]),
  ]);
  const axis = { from: Math.min(...marked) - 5, to: Math.max(...marked) + 5 };
  return (
    <main className="px-4 pt-3 pb-8 lg:px-6">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-ink pb-1">
        <h1 className="text-[1.5625rem]/[1.75rem] tracking-tight">Journal</h1>
        <p className="text-ink2">
          <span className="num">{knife.data.number}</span> {title}
        </p>
        <p className="no-print ml-auto flex gap-4">
          <Link to={bench} className="min-h-6 hover:underline">
            To the bench <Key>Esc</Key>
          </Link>
          <Link to={`${bench}/verdict`} className="min-h-6 hover:underline">
            Verdict sheet <Key>P</Key>
          </Link>
        </p>
      </div>
      <div className="mt-3 grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
        <section aria-label="Entries" className="min-w-0 max-lg:order-2">
          {entries.length === 0 ? (
            <p className="voice text-ink3">
              Nothing in it yet. The first thing looked at at the bench makes the first entry.
            </p>
          ) : (
            <ol>
              {entries.map((e) => (
                <Entry
                  key={e.id}
                  entry={e}
                  axis={axis}
                  onQuestion={(open) => attempt(api.question(e.id, open))}
                  onTakeOut={() => takeOut(e.id)}
                />
              ))}
            </ol>
          )}
        </section>
        <Write knife={id} accepted={book.accepted.date} onWritten={anew} />
      </div>
    </main>
  );
}
