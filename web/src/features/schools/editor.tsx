import { useRef, useState } from "react";
import { api, Refused } from "../../api/client";
import type { Book, OwnSchools, Problem, School } from "../../api/types";
import { Dialog } from "../../ui/dialog";
import { TextField } from "../../ui/text-field";
import { useToast } from "../../ui/toasts";
import { Trial } from "../makers/trial";
import { Caps } from "./caps";
import { type SchoolDraft, withBand, withPoints, withSchool } from "./draft";

/** A school of one's own: what each fault lets pass or takes, how faults add up, and what that would change. */
export function SchoolEditor({ draft, book, choice, onKeep, onClose }: OfEditor) {
  const [school, setSchool] = useState(draft.school);
  const [tried, setTried] = useState<School>();
  const { problems, top, keep } = useKeeping({ draft, book, choice, onKeep, onClose }, school);
  return (
    <Dialog open onClose={onClose} title={school.label}>
      <div ref={top} role="alert">
        {problems.map((p) => (
          <p key={p.field + p.given} className="mt-2 text-lead">
            {problemWords(p, book)}
          </p>
        ))}
      </div>
      <NameAndAbout school={school} onChange={setSchool} />
      <HowFaultsAddUp school={school} onChange={setSchool} />
      {school.kind === "points" ? (
        <Points school={school} levels={draft.levels} onChange={setSchool} />
      ) : (
        <Caps school={school} levels={draft.levels} book={book} onChange={setSchool} />
      )}
      <div className="mt-4 flex flex-wrap gap-3 border-t border-ink pt-3">
        <button type="button" className="press" onClick={keep}>
          Keep it
        </button>
        <button type="button" className="press" onClick={() => setTried(school)}>
          What would it grade otherwise?
        </button>
        <button type="button" className="press" onClick={onClose}>
          Let it be
        </button>
      </div>
      {tried && (
        <Trial
          key={JSON.stringify(tried)}
          begin={() => api.tryGrading({ ...withSchool(choice, tried), heads: tried.id }, draft.against)}
        />
      )}
    </Dialog>
  );
}

interface OfEditor {
  draft: SchoolDraft;
  book: Book;
  choice: OwnSchools;
  onKeep: (choice: OwnSchools) => Promise<void>;
  onClose: () => void;
}

/** Keeps it, or tells at the top what stands against it. */
function useKeeping({ choice, onKeep, onClose }: OfEditor, school: School) {
  const [problems, setProblems] = useState<Problem[]>([]);
  const toast = useToast();
  const top = useRef<HTMLDivElement>(null);
  const keep = async () => {
    try {
      await onKeep(withSchool(choice, school));
      toast(`${school.label} is kept.`, () => onKeep(choice));
      onClose();
    } catch (e) {
      const found = e instanceof Refused ? e.problems : [];
      setProblems(found.length > 0 ? found : [{ field: "", given: "", accepted: (e as Error).message }]);
      top.current?.scrollIntoView({ block: "nearest" });
    }
  };
  return { problems, top, keep };
}

function NameAndAbout({ school, onChange }: { school: School; onChange: (school: School) => void }) {
  return (
    <>
      <TextField
        label="Name"
        className="mt-3"
        maxLength={80}
        value={school.label}
        onCommit={(label) => onChange({ ...school, label: label ?? "" })}
      />
      <TextField
        label="What sets it apart"
        className="mt-2"
        maxLength={400}
        value={school.about}
        onCommit={(about) => onChange({ ...school, about: about ?? "" })}
      />
    </>
  );
}

/** What is wrong, with the point and the finding as one reads them. */
function problemWords({ field, given, accepted }: Problem, book: Book): string {
  const [, of, finding] = /caps\.([^.]+)\.?(.*)$/.exec(field) ?? [];
  const point = book.condition.points.find((p) => p.id === of);
  const found = point?.findings.find((f) => f.id === finding);
  const where = point
    ? [point.label, found?.label].filter(Boolean).join(", ")
    : field.replace(/^own\[\d+\]\./, "");
  return `${where}${given && `, ${given}`}${where || given ? ": " : ""}${accepted}.`;
}

function HowFaultsAddUp({ school, onChange }: { school: School; onChange: (school: School) => void }) {
  const isPoints = school.kind === "points";
  return (
    <div className="mt-3 grid gap-x-5 gap-y-2 sm:grid-cols-2">
      {!isPoints && (
        <NumberField
          label="So many faults as bad as the worst lower it by one"
          hint="0: they never do"
          value={school.together}
          step={1}
          max={20}
          onChange={(together) => onChange({ ...school, together })}
        />
      )}
      <NumberField
        label={
          isPoints
            ? "Part of its points a fault of another blade takes"
            : "Levels a fault of another blade counts less"
        }
        value={school.otherBlades}
        step={isPoints ? 0.1 : 1}
        max={isPoints ? 1 : 8}
        onChange={(otherBlades) => onChange({ ...school, otherBlades })}
      />
    </div>
  );
}

function Points({
  school,
  levels,
  onChange,
}: {
  school: School;
  levels: SchoolDraft["levels"];
  onChange: (school: School) => void;
}) {
  const sum = school.parts.reduce((all, p) => all + p.points, 0);
  return (
    <div className="mt-3 grid gap-x-8 gap-y-3 sm:grid-cols-2">
      <fieldset>
        <legend className="font-semibold">Points each part has to lose</legend>
        {school.parts.map((p) => (
          <NumberField
            key={p.id}
            label={p.label}
            value={p.points}
            step={1}
            max={100}
            isInLine
            onChange={(points) => onChange(withPoints(school, p.id, points))}
          />
        ))}
        <p role="status" className={`mt-1 text-right ${sum === 100 ? "text-ink2" : "text-lead"}`}>
          {sum} together{sum === 100 ? "" : ", and must be 100"}
        </p>
      </fieldset>
      <fieldset>
        <legend className="font-semibold">Least points of each grade</legend>
        {levels.map((l) => (
          <NumberField
            key={l.id}
            label={l.label}
            value={school.bands[l.id] ?? 0}
            step={1}
            max={100}
            isInLine
            onChange={(least) => onChange(withBand(school, l.id, least))}
          />
        ))}
      </fieldset>
    </div>
  );
}

function NumberField({
  label,
  hint,
  value,
  step,
  max,
  isInLine,
  onChange,
}: {
  label: string;
  hint?: string;
  value: number;
  step: number;
  max: number;
  isInLine?: boolean;
  onChange: (value: number) => void;
}) {
  return (
    <label className={isInLine ? "flex items-baseline justify-between border-b border-rule" : "block"}>
      <span className={isInLine ? "" : "block text-ink2"}>{label}</span>
      {hint && <span className="voice block text-ink3">{hint}</span>}
      <input
        type="number"
        className={`entry num ${isInLine ? "!w-20 text-right" : ""}`}
        min={0}
        max={max}
        step={step}
        value={value}
        onChange={(e) => Number.isFinite(e.target.valueAsNumber) && onChange(e.target.valueAsNumber)}
      />
    </label>
  );
}
