import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Link, useNavigate, useParams } from "react-router";
import { api } from "../../api/client";
import type { Book, JournalEntry } from "../../api/types";
import { useKeys } from "../../keys";
import { Key } from "../../ui/key";
import { Opened, together } from "../../ui/opened";
import { Page, PageHead } from "../../ui/page";
import { usePageTitle } from "../../ui/page-title";
import { useAttempt } from "../../ui/use-attempt";
import { axisOf } from "./axis";
import { Entry } from "./entry";
import { Write } from "./write";

/** What was held of one knife, and when: the sittings at the bench, and what the collector wrote. */
export function JournalPage({ book }: { book: Book }) {
  const id = useParams().id as string;
  const navigate = useNavigate();
  const queries = useQueryClient();
  const knife = useQuery({ queryKey: ["knife", id, "named"], queryFn: () => api.knife(id) });
  const journal = useQuery({ queryKey: ["journal", id], queryFn: () => api.journal(id), staleTime: 0 });
  const bench = `/bench/${id}`;
  useKeys({ escape: () => navigate(bench), p: () => navigate(`${bench}/verdict`) });
  const title = knife.data?.specimen.title ?? journal.data?.[0]?.opinion.title;
  usePageTitle(`Journal of ${title ?? "a knife"}`);
  const anew = () => queries.invalidateQueries({ queryKey: ["journal", id] });
  return (
    <Opened of={together(knife, journal)} failed="The journal could not be opened." meanwhile="Opening it.">
      {([{ number }, entries]) => (
        <Page>
          <PageHead
            title="Journal"
            about={
              <>
                <span className="num">{number}</span> {title}
              </>
            }
          >
            <Ways bench={bench} />
          </PageHead>
          <div className="mt-3 grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
            <Entries entries={entries} anew={anew} />
            <Write knife={id} accepted={book.accepted.date} onWritten={anew} />
          </div>
        </Page>
      )}
    </Opened>
  );
}

function Ways({ bench }: { bench: string }) {
  return (
    <p className="no-print ml-auto flex gap-4">
      <Link to={bench} className="min-h-6 hover:underline">
        To the bench <Key>Esc</Key>
      </Link>
      <Link to={`${bench}/verdict`} className="min-h-6 hover:underline">
        Verdict sheet <Key>P</Key>
      </Link>
    </p>
  );
}

function Entries({ entries, anew }: { entries: JournalEntry[]; anew: () => Promise<void> }) {
  const attempt = useAttempt(anew);
  const takeOut = (entry: string) =>
    attempt(
      () => api.removeEntry(entry),
      "The entry was taken out.",
      () => api.restoreEntry(entry),
    );
  return (
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
              axis={axisOf(entries)}
              onQuestion={(open) => attempt(() => api.question(e.id, open))}
              onTakeOut={() => takeOut(e.id)}
            />
          ))}
        </ol>
      )}
    </section>
  );
}
