import { keepPreviousData, useQuery, useQueryClient } from "@tanstack/react-query";
import { type RefObject, useState } from "react";
import { api, Refused } from "../../api/client";
import { useOwnReferences } from "../../api/own";
import type { Book, NumberWay, OwnNumber } from "../../api/types";
import { sentence } from "../../format";
import { Dialog } from "../../ui/dialog";
import { Field } from "../../ui/field";
import { Select } from "../../ui/select";
import { TextField } from "../../ui/text-field";
import { KeepIt, type Taught, useSource } from "./known-from";
import { Row, Ways } from "./ways";

interface Line {
  id: string;
  number?: string;
  shows: Record<string, string>;
  knife?: number;
}

const COUNTS = ["1", "2", "3", "4", "5", "6"].map((n) => ({ id: n, label: n }));
const HANDLE = "handle_material";

const blank = (): Line => ({ id: crypto.randomUUID(), shows: {} });

/** A few numbers on knives one knows: how they are built is found, looked at, and put on file. */
export function NumbersByExample({
  maker,
  own,
  isNumbered,
  book,
  from,
  onClose,
}: {
  maker: Taught;
  /** Numbers on the knives of one's own that are held to be theirs. */
  own: OwnNumber[];
  /** Whether there is a way of theirs on file, which this one would take the place of. */
  isNumbered: boolean;
  book: Book;
  from: RefObject<HTMLElement | null>;
  onClose: () => void;
}) {
  const [lines, setLines] = useState<Line[]>(() => [
    ...own.map((o) => ({ id: crypto.randomUUID(), number: o.number, shows: o.shows, knife: o.knife })),
    ...Array.from({ length: Math.max(1, 5 - own.length) }, blank),
  ]);
  const [chosen, setChosen] = useState(0);
  const [known, setKnown] = useSource();
  const [failed, setFailed] = useState<Error>();
  const { turn, undo } = useOwnReferences();
  const queries = useQueryClient();
  const filled = lines.filter((l) => l.number && Object.keys(l.shows).length > 0);
  const asked = { examples: filled.map((l) => ({ number: l.number ?? "", shows: l.shows })) };
  const weighing = {
    queryKey: ["own-numbers", asked],
    queryFn: () => api.lookNumbers(asked),
    staleTime: Number.POSITIVE_INFINITY,
    retry: false,
  };
  const look = useQuery({ ...weighing, enabled: filled.length > 1, placeholderData: keepPreviousData });
  const told = filled.length > 1 && !look.isError ? look.data : undefined;
  const way = told?.ways[Math.min(chosen, told.ways.length - 1)];
  const odd = new Set([...(told?.unlike ?? []), ...(way?.fields.flatMap((f) => f.odd) ?? [])]);
  const problems = [look.error, failed].flatMap((e) => (e instanceof Refused ? e.problems : []));
  const change = (id: string, what: (line: Line) => Line) =>
    setLines((all) => all.map((l) => (l.id === id ? what(l) : l)));
  const handles = book.questions.find((q) => q.id === HANDLE)?.answers ?? [];
  const looks = [
    { look: "blades", label: "Blades", options: COUNTS },
    {
      look: "frame",
      label: "Outline",
      options: book.frames.map((f) => ({ id: f.id, label: sentence(f.name) })),
    },
    { look: HANDLE, label: "Handle", options: handles.map((a) => ({ id: a.id, label: a.label })) },
  ];
  // What was still being typed when one pressed is weighed first.
  const keep = async () => {
    setFailed(undefined);
    try {
      const { ways } = await queries.fetchQuery(weighing);
      const fields = fieldsOf(ways[Math.min(chosen, ways.length - 1)] as NumberWay);
      const kept = await api.fileNumbers({ maker: maker.id, fields: fields as never, ...known });
      onClose();
      await turn(Promise.resolve(kept), `How ${maker.name} built its numbers is on file.`, undo);
    } catch (e) {
      setFailed(e as Error);
    }
  };
  return (
    <Dialog open onClose={onClose} from={from} title="Pattern numbers by example" isWide>
      <div className="gap-x-6 lg:grid lg:grid-cols-2">
        <div>
          <p className="mt-2 text-ink2">
            Numbers on knives of {maker.name}, each with what the knife is. Five mostly settle it; knives that
            differ in one thing alone tell most.
          </p>
          <ul aria-label="Examples" className="mt-2 border-t border-ink">
            {lines.map((l, i) => (
              <Row
                key={l.id}
                n={i + 1}
                from={l.knife}
                isOdd={odd.has(filled.indexOf(l)) && filled.includes(l)}
                onDrop={() => setLines((all) => all.filter((o) => o.id !== l.id))}
              >
                <TextField
                  label={`Number, row ${i + 1}`}
                  maxLength={24}
                  entryClassName="font-steel"
                  value={l.number}
                  problem={problems.find((p) => p.field === `examples[${filled.indexOf(l)}].number`)}
                  onCommit={(number) => change(l.id, (so) => ({ ...so, number }))}
                />
                {looks.map((of) => (
                  <Field key={of.look} label={`${of.label}, row ${i + 1}`}>
                    {(ids) => (
                      <Select
                        {...ids}
                        value={l.shows[of.look]}
                        nothing="not said"
                        options={of.options}
                        onChange={(value) =>
                          change(l.id, (so) => {
                            const { [of.look]: _, ...rest } = so.shows;
                            return { ...so, shows: value ? { ...rest, [of.look]: value } : rest };
                          })
                        }
                      />
                    )}
                  </Field>
                ))}
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
                : told && told.ways.length === 0
                  ? "No two of them are built alike."
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
                ways={told.ways.map((w) => ({
                  key: w.fields.map((f) => `${f.meaning ?? f.mark} ${f.width}`).join(),
                  share: w.share,
                  title: titleOf(w),
                  shown: <Fields way={w} />,
                }))}
                chosen={told.ways.indexOf(way)}
                onChoose={setChosen}
              />
              {told.settling && (
                <p className="mt-2">
                  <span className="voice">What would settle it: </span>
                  the number of a knife with {told.settling.knife}:{" "}
                  <span className="font-steel">{told.settling.first}</span> by the first way,{" "}
                  <span className="font-steel">{told.settling.second}</span> by the second.
                </p>
              )}
              {isNumbered && (
                <p className="voice mt-2 text-ink2">It goes in place of the way that is on file now.</p>
              )}
              <KeepIt
                known={known}
                onChange={setKnown}
                book={book}
                problems={problems}
                failed={failed}
                onKeep={keep}
                onClose={onClose}
              />
            </>
          )}
        </div>
      </div>
    </Dialog>
  );
}

type Way = NumberWay["fields"][number];

const nameOf = (f: Way) => (f.mark ? f.codes[0]?.code : f.label || "says nothing one can see") ?? "";

const titleOf = (way: NumberWay) =>
  sentence(
    way.fields
      .filter((f) => !f.mark)
      .map((f) => {
        const places = f.width === 1 ? "one place" : `${f.width} places`;
        return `${nameOf(f).toLowerCase()} in ${places}${f.optional ? " where it is there" : ""}`;
      })
      .join(", then "),
  );

const fieldsOf = (way: NumberWay) =>
  way.fields.map((f, i) => ({
    id: f.meaning ?? `part-${i + 1}`,
    label: f.mark ? "" : f.label || "Running number",
    width: f.width,
    ...(f.meaning && { meaning: f.meaning }),
    ...(f.optional && { optional: true }),
    codes: Object.fromEntries(f.codes.map((c) => [c.code, { label: c.label, values: c.values }])),
  }));

/** The fields side by side, each with its codes; what no example has is told as supposed. */
function Fields({ way }: { way: NumberWay }) {
  return (
    <div className="flex flex-wrap gap-x-6 gap-y-2">
      {way.fields.map((f, i) =>
        f.mark ? (
          // biome-ignore lint/suspicious/noArrayIndexKey: a part of a number is known by its place
          <p key={`mark ${i + 1}`} className="font-steel text-ink2">
            {nameOf(f)}
          </p>
        ) : (
          <table key={f.meaning ?? `part ${i + 1}`} className="self-start">
            <caption className="text-left text-[0.78125rem] text-ink2">{nameOf(f)}</caption>
            <tbody>
              {f.codes.map((c) => (
                <tr key={c.code} className={c.supposed ? "text-ink3" : ""}>
                  <th scope="row" className="pr-3 text-left font-steel font-normal">
                    {c.code}
                  </th>
                  <td>
                    {c.label}
                    {c.supposed && <span className="voice"> supposed</span>}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        ),
      )}
    </div>
  );
}
