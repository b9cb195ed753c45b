import { keepPreviousData, useQuery, useQueryClient } from "@tanstack/react-query";
import { type RefObject, useState } from "react";
import { api, Refused } from "../../api/client";
import { useOwnReferences } from "../../api/own";
import type { Book, CodeExamples, CodeGuess, OwnCode, SeenCode } from "../../api/types";
import { inWords } from "../../format";
import { Dialog } from "../../ui/dialog";
import { Field } from "../../ui/field";
import { Select } from "../../ui/select";
import { TextField } from "../../ui/text-field";
import { KeepIt, type Taught, useSource } from "./known-from";
import { Row, Ways } from "./ways";

interface Line {
  id: string;
  written?: string;
  years?: string;
  knife?: number;
}

type Sign = SeenCode["sign"];

const blank = (): Line => ({ id: crypto.randomUUID() });
const whole = (text: string | undefined) => (text && /^\d{4}$/.test(text) ? Number(text) : undefined);

/** A few codes of known years: which way they go with years is found, looked at, and put on file. */
export function CodesByExample({
  maker,
  own,
  book,
  from,
  onClose,
}: {
  maker: Taught;
  /** Codes on the knives of one's own that are held to be theirs. */
  own: OwnCode[];
  book: Book;
  from: RefObject<HTMLElement | null>;
  onClose: () => void;
}) {
  const [sign, setSign] = useState<Sign>(own[0]?.sign ?? "letter");
  const [lines, setLines] = useState<Line[]>(() => of(own, own[0]?.sign ?? "letter"));
  const [use, setUse] = useState<{ from?: number | string; to?: number | string }>({});
  const [chosen, setChosen] = useState(0);
  const [label, setLabel] = useState<string>();
  const [known, setKnown] = useSource();
  const [failed, setFailed] = useState<Error>();
  const { turn, undo } = useOwnReferences();
  const queries = useQueryClient();
  const called = SIGNS[sign] ?? inWords(sign);
  const filled = lines.filter((l) => l.written && l.years);
  // A year that is none goes along as it was typed, and comes back refused at its field.
  const asked = {
    sign,
    examples: filled.map((l) => ({ written: l.written ?? "", years: l.years ?? "" })),
    ...use,
  } as CodeExamples;
  const weighing = {
    queryKey: ["own-codes", asked],
    queryFn: () => api.lookCodes(asked),
    staleTime: Number.POSITIVE_INFINITY,
    retry: false,
  };
  const look = useQuery({ ...weighing, enabled: filled.length > 1, placeholderData: keepPreviousData });
  const told = filled.length > 1 && !look.isError ? look.data : undefined;
  const way = told?.guesses[Math.min(chosen, told.guesses.length - 1)];
  const problems = [look.error, failed].flatMap((e) => (e instanceof Refused ? e.problems : []));
  const change = (id: string, what: Partial<Line>) =>
    setLines((all) => all.map((l) => (l.id === id ? { ...l, ...what } : l)));
  const problem = (line: Line, field: string) =>
    problems.find((p) => p.field === `examples[${filled.indexOf(line)}].${field}`);
  // What was still being typed when one pressed is weighed first.
  const keep = async () => {
    setFailed(undefined);
    try {
      const { guesses } = await queries.fetchQuery(weighing);
      const so = guesses[Math.min(chosen, guesses.length - 1)] as CodeGuess;
      const code = codeOf(so, sign, label ?? called);
      const kept = await api.fileCode({ maker: maker.id, code: code as never, ...known });
      onClose();
      await turn(Promise.resolve(kept), `How ${maker.name} dated its knives is on file.`, undo);
    } catch (e) {
      setFailed(e as Error);
    }
  };
  return (
    <Dialog open onClose={onClose} from={from} title="A date code by example" isWide>
      <div className="gap-x-6 lg:grid lg:grid-cols-2">
        <div>
          <p className="mt-2 text-ink2">
            Codes on knives of {maker.name} whose years you know from elsewhere. Two begin to tell; five or
            six mostly settle it.
          </p>
          <Field label="What is struck" className="mt-2">
            {(ids) => (
              <Select
                {...ids}
                value={sign}
                nothing="choose"
                options={book.signs.map((s) => ({ id: s.id, label: inWords(s.id) }))}
                onChange={(next) => {
                  const to = (next ?? "letter") as Sign;
                  setSign(to);
                  setLines(of(own, to));
                  setChosen(0);
                }}
              />
            )}
          </Field>
          <ul aria-label="Examples" className="mt-2 border-t border-ink">
            {lines.map((l, i) => (
              <Row
                key={l.id}
                n={i + 1}
                from={l.knife}
                isOdd={way?.odd.includes(filled.indexOf(l)) ?? false}
                onDrop={() => setLines((all) => all.filter((o) => o.id !== l.id))}
              >
                <TextField
                  label={`${book.signs.find((s) => s.id === sign)?.counted ? "How many" : "As struck"}, row ${i + 1}`}
                  maxLength={6}
                  entryClassName="font-steel"
                  value={l.written}
                  problem={problem(l, "written")}
                  onCommit={(written) => change(l.id, { written })}
                />
                <TextField
                  label={`Made, row ${i + 1}`}
                  maxLength={40}
                  placeholder="1951, 1948-52, c. 1950"
                  className="sm:col-span-3"
                  value={l.years}
                  problem={problem(l, "years")}
                  onCommit={(years) => change(l.id, { years })}
                />
              </Row>
            ))}
          </ul>
          <button type="button" className="press mt-2" onClick={() => setLines((all) => [...all, blank()])}>
            Add a row
          </button>
        </div>
        <div className="flex flex-col max-lg:mt-4 lg:border-l lg:border-ink lg:pl-6">
          <p role="status" className="voice min-h-6 text-ink2">
            {filled.length < 2
              ? "With two examples it begins to tell."
              : look.isFetching
                ? "Weighing the ways."
                : ""}
          </p>
          {look.isError && (
            <p role="alert" className="text-lead">
              {look.error.message}
            </p>
          )}
          {told && way && (
            <>
              <Ways
                ways={told.guesses.map((g) => ({
                  key: `${g.kind} ${g.letters.join("")} ${g.years[0]?.year} ${g.years[0]?.codes[0]}`,
                  share: g.share,
                  title: titleOf(g),
                  shown: <Years way={g} />,
                }))}
                chosen={told.guesses.indexOf(way)}
                onChoose={setChosen}
              />
              {told.settling && (
                <p className="mt-2">
                  <span className="voice">What would settle it: </span>
                  {told.settling.written} is of <span className="num">{told.settling.first}</span> by the
                  first way, {told.settling.second ? `of ${told.settling.second}` : "not told"} by the second.
                </p>
              )}
            </>
          )}
          {filled.length > 1 && (
            <div className="mt-3 grid grid-cols-2 gap-x-5 sm:grid-cols-3">
              <TextField
                label="Called"
                className="max-sm:col-span-2"
                maxLength={100}
                value={label ?? called}
                problem={problems.find((p) => p.field === "label")}
                onCommit={setLabel}
              />
              {(["from", "to"] as const).map((end) => (
                <TextField
                  key={end}
                  label={end === "from" ? "In use from" : "until"}
                  maxLength={4}
                  entryClassName="num"
                  value={`${use[end] ?? way?.[end] ?? ""}`}
                  problem={problems.find((p) => p.field === end)}
                  onCommit={(text) => setUse((now) => ({ ...now, [end]: text && (whole(text) ?? text) }))}
                />
              ))}
            </div>
          )}
          {told && way && (
            <KeepIt
              known={known}
              onChange={setKnown}
              book={book}
              problems={problems}
              failed={failed}
              onKeep={keep}
              onClose={onClose}
            />
          )}
        </div>
      </div>
    </Dialog>
  );
}

const of = (own: OwnCode[], sign: Sign): Line[] => {
  const mine = own
    .filter((o) => o.sign === sign)
    .map((o) => ({ id: crypto.randomUUID(), written: o.written, years: o.years, knife: o.knife }));
  return [...mine, ...Array.from({ length: Math.max(1, 4 - mine.length) }, blank)];
};

/** As a pack has it, without what else is known of it. */
const codeOf = (
  { kind, from, to, start, figures, letters, table }: CodeGuess,
  sign: Sign,
  label: string,
) => ({
  label,
  sign,
  kind,
  from,
  to,
  ...(start !== undefined && { start }),
  ...(figures !== undefined && { figures }),
  ...(letters.length > 0 && { letters }),
  ...(kind === "table" && { table }),
});

const SIGNS: Record<string, string> = {
  letter: "A letter for the year",
  figure: "Figures of the year",
  bar: "Bars",
  dot: "Dots",
  star: "Stars",
  ring: "Rings",
  cross: "Crosses",
};

function titleOf(way: CodeGuess): string {
  const begins = way.years[0];
  if (!begins) return way.why;
  switch (way.kind) {
    case "count-down":
      return `One fewer each year, ${begins.codes[0]} in ${begins.year}. ${way.why}`;
    case "count-up":
      return `One more each year, ${begins.codes[0]} in ${begins.year}. ${way.why}`;
    case "year-figures":
      return `The last ${way.figures === 1 ? "figure" : `${way.figures} figures`} of the year. ${way.why}`;
    case "cycle":
      return `${way.letters.length} letters in turn, ${begins.codes[0]} in ${begins.year}. ${way.why}`;
    default:
      return `No rule: only what is known. ${way.why}`;
  }
}

function Years({ way }: { way: CodeGuess }) {
  return (
    <ol aria-label="Its years" className="flex flex-wrap border-t border-l border-rule">
      {way.years.map((y) => (
        <li key={y.year} className="min-w-12 border-r border-b border-rule px-1.5 text-center">
          <span className="block font-steel">{y.codes.join(" ")}</span>
          <span className="num text-[0.78125rem] text-ink2">{y.year}</span>
        </li>
      ))}
    </ol>
  );
}
