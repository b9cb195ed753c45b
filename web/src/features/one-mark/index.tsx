import { useQuery } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import { api } from "../../api/client";
import type { Book, OneMarkTold } from "../../api/types";
import { percent } from "../../format";
import { useKeys } from "../../keys";
import { asRead } from "../../letters";
import { BackOrPrint } from "../../ui/back-or-print";
import { Opened } from "../../ui/opened";
import { Page, PageHead } from "../../ui/page";
import { usePageTitle } from "../../ui/page-title";
import { Slip } from "../bench/filing/slip";

type Line = OneMarkTold["mark"]["lines"][number];
type Era = NonNullable<OneMarkTold["mark"]["era"]>;

/** A mark that several knives bear, each worn in its own way: its letters and its years out of all of them. */
export function OneMarkPage({ book }: { book: Book }) {
  const navigate = useNavigate();
  const [query] = useSearchParams();
  const of = [...new Set(query.getAll("of"))];
  const told = useQuery({
    queryKey: ["tray", "one-mark", of],
    queryFn: () => api.oneMark(of),
    staleTime: 0,
    retry: false,
  });
  useKeys({ escape: () => navigate("/tray"), p: () => window.print() });
  usePageTitle("One mark of several");
  return (
    <Opened
      of={told}
      failed="The strikes could not be put together."
      meanwhile="Laying the strikes over one another."
    >
      {(told) => (
        <Page>
          <PageHead
            title={`One mark, on ${told.numbers.length} knives`}
            about={<Knives numbers={told.numbers} ids={of} />}
          >
            <BackOrPrint bench="/tray" to="To the tray" />
          </PageHead>
          {told.mark.lines.length === 0 ? (
            <p className="voice mt-4 text-ink3">No letter is left on any of them.</p>
          ) : (
            <Told told={told} ids={of} book={book} />
          )}
        </Page>
      )}
    </Opened>
  );
}

function Knives({ numbers, ids }: { numbers: number[]; ids: string[] }) {
  return numbers.map((n, i) => (
    <span key={n}>
      {i > 0 && ", "}
      <Link to={`/bench/${ids[i]}?at=marks`} className="inline-block min-h-6 underline">
        No. {n}
      </Link>
    </span>
  ));
}

function Told({ told, ids, book }: { told: OneMarkTold; ids: string[]; book: Book }) {
  const { numbers, strangers, mark } = told;
  // The slip is filled in from a knife that bears this mark, not from one that bears another.
  const bearer = numbers.findIndex((n) => !strangers.includes(n));
  return (
    <div className="mt-4 grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <Letters told={told} />
      <div className="grid content-start gap-y-4">
        <Years era={mark.era} many={numbers.length - strangers.length} />
        <PutOnFile told={told} first={ids[Math.max(0, bearer)] as string} book={book} />
      </div>
    </div>
  );
}

function Letters({ told: { numbers, strangers, mark } }: { told: OneMarkTold }) {
  const isOpen = mark.lines.some((l) => l.letters.some((letter) => !letter.isRead));
  return (
    <section aria-label="Its letters" className="min-w-0">
      {strangers.length > 0 && (
        <p role="alert" className="mb-3 max-w-[40rem] text-lead">
          No line of this mark is on {strangers.map((n) => `No. ${n}`).join(", ")}: it seems to be another
          mark. It counts nothing here.
        </p>
      )}
      {mark.lines.map((l, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a line is known by its place
        <Lines key={i} line={l} numbers={numbers} />
      ))}
      <p className="mt-2 max-w-[40rem] text-[0.8125rem]/[1.125rem] text-ink2">
        The stroke below a letter is how likely it is the one that was struck, out of all strikes together.
        {isOpen && " What is open still is left as a point: fill it in where you know it."}
      </p>
    </section>
  );
}

function Lines({ line, numbers }: { line: Line; numbers: number[] }) {
  return (
    <table className="mb-4 w-full border-b border-rule">
      <caption className="sr-only">{line.text}</caption>
      <tbody>
        {numbers.map((n, i) => (
          <tr key={n} className="text-ink2">
            <th scope="row" className="num w-16 pr-3 text-left text-[0.8125rem] font-normal">
              No. {n}
            </th>
            <td className="font-steel tracking-[0.2em]">
              {line.strikes[i] ? (
                asRead(line.strikes[i] as string)
              ) : (
                <span className="voice tracking-normal text-ink3">not on it</span>
              )}
            </td>
          </tr>
        ))}
        <tr>
          <td />
          <td className="pt-1 pb-2">
            <AllTogether line={line} />
          </td>
        </tr>
      </tbody>
    </table>
  );
}

function AllTogether({ line }: { line: Line }) {
  return (
    <ol aria-label={line.text} className="flex flex-wrap font-steel text-[1.75rem]/8">
      {line.letters.map((l, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a letter is known by its place
        <li key={i} className={`text-center ${l.spaced ? "ml-4" : ""}`}>
          <span className={`block w-7 ${l.isRead ? "" : "text-ink3"}`}>{l.isRead ? l.letter : "\u00b7"}</span>
          <span
            className="mx-auto block h-1 bg-blue"
            style={{ width: `${(1.5 * l.chance).toFixed(2)}rem` }}
            title={`${l.letter} ${percent(l.chance)} in 100`}
          />
        </li>
      ))}
    </ol>
  );
}

const SHOWN: Partial<Record<number, string>> = { 1: "it shows", 2: "both show" };

function Years({ era, many }: { era: Era | undefined; many: number }) {
  if (!era)
    return (
      <section aria-label="Its years">
        <h2 className="text-[1.1875rem]/[1.375rem]">Its years</h2>
        <p className="voice mt-1 text-ink3">
          Nothing but the mark was looked at on these knives, so its years stay open.
        </p>
      </section>
    );
  const { within, first, last } = era;
  return (
    <section aria-label="Its years">
      <h2 className="text-[1.1875rem]/[1.375rem]">Its years</h2>
      <p className="mt-1 text-[1.0625rem]/6">
        In use between about <span className="num font-semibold text-blue">{within.from}</span> and{" "}
        <span className="num font-semibold text-blue">{within.to}</span>, nine chances in ten.
      </p>
      <dl className="mt-1 text-ink2">
        {(
          [
            ["Begun", first],
            ["Ended", last],
          ] as const
        ).map(([what, q]) => (
          <div key={what}>
            <dt className="inline">{what}</dt>{" "}
            <dd className="num inline">
              about {q.middle}, from {q.low} to {q.high}
            </dd>
          </div>
        ))}
      </dl>
      <p className="mt-1 text-[0.8125rem]/[1.125rem] text-ink2">
        By all else that {SHOWN[many] ?? `these ${many} show`}; no knife counts its own mark.
      </p>
    </section>
  );
}

function PutOnFile({ told, first, book }: { told: OneMarkTold; first: string; book: Book }) {
  const button = useRef<HTMLButtonElement>(null);
  const [isOpen, setOpen] = useState(false);
  const knife = useQuery({ queryKey: ["knife", first], queryFn: () => api.knife(first), staleTime: 0 });
  return (
    <div className="no-print">
      <button
        ref={button}
        type="button"
        className="press"
        disabled={!knife.data}
        onClick={() => setOpen(true)}
      >
        Put this mark on file
      </button>
      {isOpen && knife.data && (
        <Slip
          specimen={knife.data.specimen}
          first={told.mark.slip}
          book={book}
          from={button}
          onClose={() => setOpen(false)}
        />
      )}
    </div>
  );
}
