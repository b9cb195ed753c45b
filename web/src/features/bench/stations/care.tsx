import { Link } from "react-router";
import type { Advice, Book, CareDone } from "../../../api/types";
import { dayText, sentence, today } from "../../../format";
import type { Option } from "../../../ui/select";
import { SelectField } from "../../../ui/select-field";
import { TextField } from "../../../ui/text-field";
import type { StationProps } from "../panel";
import { problemAt } from "../problems";
import { OwnPicture } from "./own-picture";
import { Rows } from "./rows";

/** What keeps this knife, and the log of what was done to it. */
export function CareStation({ knife, book }: StationProps) {
  const grade = knife.verdict?.grade.best?.id;
  const log = (done: CareDone) => knife.change((s) => ({ ...s, care: [...s.care, done] }));
  const todays = (work: string): CareDone => ({ date: today(), work, gradeBefore: grade, gradeAfter: grade });
  return (
    <div className="mt-1 grid gap-x-6 gap-y-3 md:grid-cols-2">
      <Advised
        advice={knife.verdict?.care ?? []}
        book={book}
        onDone={(work) => log(todays(work))}
        isEmpty={knife.specimen.care.length === 0}
      />
      <Log knife={knife} book={book} blank={todays(book.works[0]?.id ?? "")} />
    </div>
  );
}

function Log({ knife, book, blank }: StationProps & { blank: CareDone }) {
  return (
    <section aria-label="Log of care" className="border-rule md:border-l md:pl-4">
      <h3 className="font-semibold">What was done to it</h3>
      <Rows<CareDone>
        entries={knife.specimen.care}
        name="Entry"
        add="Add to the log"
        empty="Nothing written down yet."
        blank={blank}
        change={(update) => knife.change((s) => ({ ...s, care: update(s.care) }))}
      >
        {(done, set, i) => (
          <Entry
            done={done}
            set={set}
            book={book}
            problem={(field) => problemAt(knife.problems, `care[${i}].${field}`)}
          />
        )}
      </Rows>
      <Link to="/carried" className="mt-2 inline-block min-h-6 underline">
        Knives that are carried, and whose turn it is
      </Link>
    </section>
  );
}

function Advised({ advice, book, onDone, isEmpty }: OfAdvice & { advice: Advice[]; isEmpty: boolean }) {
  if (advice.length === 0)
    return (
      <p className="voice text-ink3">
        {isEmpty
          ? "Nothing seen so far calls for care. Covers, steel and action tell most."
          : "Nothing more to do for it now."}
      </p>
    );
  return (
    <ul aria-label="What keeps it">
      {advice.map((a) => (
        <OneAdvice key={a.id} advice={a} book={book} onDone={onDone} />
      ))}
    </ul>
  );
}

interface OfAdvice {
  book: Book;
  onDone: (work: string) => void;
}

function OneAdvice({ advice: a, book, onDone }: OfAdvice & { advice: Advice }) {
  return (
    <li className="border-t border-rule py-1.5 first:border-0">
      <p className="font-semibold">{a.does}</p>
      <p className="text-[0.78125rem]/4 text-ink2">{a.why}</p>
      {a.caution && (
        <p className="mt-0.5 border-l-2 border-ink pl-2 text-[0.78125rem]/4">
          <span className="voice">With care. </span>
          {a.caution}
        </p>
      )}
      <p className="mt-0.5 flex flex-wrap items-baseline gap-x-3 text-[0.78125rem]/4 text-ink2">
        <Due advice={a} />
        {book.works
          .filter((w) => a.settledBy.includes(w.id))
          .map((w) => (
            <button key={w.id} type="button" className="min-h-6 underline" onClick={() => onDone(w.id)}>
              {w.label} today
            </button>
          ))}
      </p>
    </li>
  );
}

/** When it was seen to, and when it must be again. */
export function Due({ advice }: { advice: Advice }) {
  if (!advice.again) return null;
  if (!advice.due || !advice.last) return <span className="text-lead">not yet seen to</span>;
  const isLate = advice.due <= today();
  return (
    <span className={isLate ? "text-lead" : undefined}>
      {isLate ? "due since" : "again by"} {dayText(advice.due)}, last on {dayText(advice.last)}
    </span>
  );
}

function Entry(entry: OfEntry) {
  const { done, set, book, problem } = entry;
  return (
    <>
      <Chosen {...entry} label="What" field="work" options={book.works} />
      <TextField
        label="When"
        placeholder={today()}
        problem={problem("date")}
        value={done.date}
        onCommit={(date) => date && set({ date })}
      />
      <TextField label="By whom" maxLength={120} value={done.by} onCommit={(by) => set({ by })} />
      <Chosen {...entry} label="Grade before" field="gradeBefore" options={book.condition.grades} />
      <Chosen {...entry} label="Grade after" field="gradeAfter" options={book.condition.grades} />
      {(["before", "after"] as const).map((when) => (
        <OwnPicture
          key={when}
          label={`Photograph ${when}`}
          alt={sentence(when)}
          value={when === "before" ? done.photoBefore : done.photoAfter}
          onChange={(photo) => set({ [when === "before" ? "photoBefore" : "photoAfter"]: photo })}
        />
      ))}
      <TextField
        label="Note"
        className="col-span-2"
        maxLength={1000}
        value={done.note}
        onCommit={(note) => set({ note })}
      />
    </>
  );
}

interface OfEntry {
  done: CareDone;
  set: (part: Partial<CareDone>) => void;
  book: Book;
  problem: (field: string) => ReturnType<typeof problemAt>;
}

function Chosen({
  label,
  field,
  options,
  done,
  set,
  problem,
}: OfEntry & { label: string; field: "work" | "gradeBefore" | "gradeAfter"; options: Option[] }) {
  return (
    <SelectField
      label={label}
      problem={problem(field)}
      value={done[field]}
      nothing="not said"
      options={options}
      onChange={(id) => (field !== "work" || id) && set({ [field]: id })}
    />
  );
}
