import { useParams } from "react-router";
import type { Book, Candidate, SeenFace, Verdict } from "../../../api/types";
import { FIT, MarkDrawn } from "../../../drawing/mark-drawn";
import { percent, sentence } from "../../../format";
import { Key } from "../../../ui/key";
import { SelectField } from "../../../ui/select-field";
import { foundAs, withFace, withSeen } from "../edits";
import { PutOnFile } from "../filing/put-on-file";
import type { StationProps } from "../panel";
import { PhoneAsCamera } from "../phone";
import type { FaceOf } from "../plate";
import { problemAt } from "../problems";
import { SeenChoice } from "../seen-choice";
import { Lines } from "./lines";
import { TangPhoto } from "./tang-photo";

/** Every tang, both sides: what stands there letter by letter, and what it could read. */
export function MarksStation({ knife, book, face, onFace }: OfFaces) {
  const seen = knife.specimen.marks.find((f) => f.blade === face.blade && f.face === face.side);
  return (
    <div className="mt-1 grid gap-x-5 gap-y-3 md:grid-cols-[11.5rem_minmax(0,1fr)_minmax(0,15.5rem)]">
      <div>
        <Faces knife={knife} book={book} face={face} onFace={onFace} />
      </div>
      <FaceInHand
        book={book}
        key={`${face.blade}${face.side}`}
        face={face}
        seen={seen}
        problem={problemAt(knife.problems, "marks")?.accepted}
        onChange={(next) => knife.change((s) => withFace(s, face, next))}
      />
      <div>
        <Readings knife={knife} book={book} />
        {knife.verdict?.mark.read && <PutOnFile specimen={knife.specimen} book={book} />}
        <div className="mt-2 grid grid-cols-2 gap-x-4">
          {book.questions
            .filter((q) => q.station === "marks")
            .map((q) => (
              <SeenChoice
                key={q.id}
                label={q.label}
                seen={knife.specimen.seen[q.id]}
                options={q.answers}
                onChange={(s) => knife.change((k) => withSeen(k, q.id, s))}
              />
            ))}
        </div>
      </div>
    </div>
  );
}

type OfFaces = StationProps & { face: FaceOf; onFace: (face: FaceOf) => void };

function Faces({ knife, book, face, onFace }: OfFaces) {
  const blades = Math.max(1, knife.specimen.blades.length);
  return (
    <table className="w-full border-collapse text-[0.8125rem]">
      <thead>
        <tr className="text-left text-ink3">
          <th className="font-normal">
            <span className="sr-only">Blade</span>
          </th>
          {book.choices.face.map((side) => (
            <th key={side.id} className="pl-1 font-normal">
              {sentence(side.label)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {Array.from({ length: blades }, (_, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a blade is known by its place
          <FacesOfBlade key={i} blade={i + 1} {...{ knife, book, face, onFace }} />
        ))}
      </tbody>
    </table>
  );
}

function FacesOfBlade({ blade, knife, book, face, onFace }: OfFaces & { blade: number }) {
  return (
    <tr className="border-t border-rule">
      <th scope="row" className="num pr-1 text-left font-normal">
        {blade}
      </th>
      {book.choices.face.map(({ id, label }) => (
        <td key={id}>
          <OneFace
            label={`Blade ${blade}, ${label}`}
            found={knife.specimen.marks.find((m) => m.blade === blade && m.face === id)}
            inHand={face.blade === blade && face.side === id}
            onPress={() => onFace({ blade, side: id as FaceOf["side"] })}
          />
        </td>
      ))}
    </tr>
  );
}

function OneFace({
  label,
  found,
  inHand,
  onPress,
}: {
  label: string;
  found: SeenFace | undefined;
  inHand: boolean;
  onPress: () => void;
}) {
  return (
    <button
      type="button"
      aria-pressed={inHand}
      aria-label={`${label}: ${faceWords(found)}`}
      onClick={onPress}
      className="min-h-7 w-full px-1 text-left hover:bg-bone aria-pressed:bg-blue aria-pressed:font-semibold aria-pressed:text-on-blue"
    >
      {found ? faceWords(found) : <span className={inHand ? "" : "voice text-xs text-ink3"}>not yet</span>}
    </button>
  );
}

function faceWords(f: SeenFace | undefined): string {
  if (!f) return "not yet looked at";
  if (f.state !== "read") return f.state;
  if (f.struckOut) return "struck out";
  return f.lines.length === 1 ? "1 line" : `${f.lines.length} lines`;
}

/** The face in hand: how it was found, what stands there, and a camera for it. */
function FaceInHand({ problem, ...of }: OfFace & { problem: string | undefined }) {
  const { id = "" } = useParams();
  const { face, seen, onChange } = of;
  return (
    <div className="min-w-0">
      <HowItWasFound {...of} />
      {seen?.state !== "bare" && seen?.state !== "worn" && (
        <Lines
          of="of the mark"
          lines={seen?.lines ?? []}
          onChange={(lines) =>
            onChange({ ...seen, blade: face.blade, face: face.side, state: "read", lines })
          }
        />
      )}
      {problem && <p className="mt-1 text-lead">{problem}</p>}
      {seen?.state === "read" && (
        <label className="mt-1 flex min-h-6 items-center gap-2">
          <input
            type="checkbox"
            checked={seen.struckOut ?? false}
            onChange={(e) => onChange({ ...seen, struckOut: e.target.checked || undefined })}
          />
          Struck out or mashed by its maker: a second
        </label>
      )}
      <LetterKeys />
      <div className="no-print mt-1">
        <PhoneAsCamera
          id={id}
          label="Photograph it with a phone"
          wanted={{ role: "tang", blade: face.blade, face: face.side }}
        />
      </div>
      <TangPhoto />
    </div>
  );
}

interface OfFace {
  book: Book;
  face: FaceOf;
  seen: SeenFace | undefined;
  onChange: (face: SeenFace | undefined) => void;
}

function LetterKeys() {
  return (
    <p className="mt-1 flex flex-wrap gap-x-3 gap-y-0.5 text-[0.78125rem]/[1.125rem] text-ink2">
      {LETTER_KEYS.map(([key, does]) => (
        <span key={key}>
          <Key>{key}</Key> {does}
        </span>
      ))}
    </p>
  );
}

const LETTER_KEYS = [
  [".", "lost letter"],
  ["?", "doubtful"],
  ["*", "lost stretch"],
  ["Enter", "next line"],
] as const;

function HowItWasFound({ book, face, seen, onChange }: OfFace) {
  const isRead = seen?.state === "read";
  const place = book.choices.face.find((f) => f.id === face.side)?.label;
  return (
    <div className="grid grid-cols-2 gap-x-4 sm:grid-cols-3">
      <SelectField
        label={face.side === "blade" ? `Blade ${face.blade}, the flat` : `Tang ${face.blade}, ${place}`}
        value={seen?.state}
        nothing="not yet looked"
        options={book.choices.faceState}
        onChange={(state) => onChange(state ? foundAs(state as SeenFace["state"], face, seen) : undefined)}
      />
      <SelectField
        label="How it was marked"
        value={seen?.technique}
        nothing="not looked at"
        options={book.choices.technique}
        disabled={!isRead}
        onChange={(t) => seen && onChange({ ...seen, technique: t as SeenFace["technique"] })}
      />
      <SelectField
        label="Shape of the lettering"
        value={seen?.layout}
        nothing="not looked at"
        options={book.choices.layout}
        disabled={!isRead}
        onChange={(l) => seen && onChange({ ...seen, layout: l as SeenFace["layout"] })}
      />
    </div>
  );
}

function Readings({ knife }: StationProps) {
  const mark = knife.verdict?.mark;
  if (!mark?.read)
    return <p className="voice text-ink3">Nothing read yet. What it could read will stand here.</p>;
  const shown = mark.candidates.filter((c) => percent(c.probability) >= 1);
  return (
    <div>
      <h3 className="voice text-[0.8125rem] text-ink2">What it could read</h3>
      {shown[0] && (
        <div className="mt-1 border border-ink bg-lit">
          <MarkDrawn of={shown[0].makerName} lines={shown[0].lines} layout={shown[0].layout} />
        </div>
      )}
      <ol className="mt-1" data-testid="readings">
        {shown.map((c) => (
          <Reading key={c.mark} candidate={c} />
        ))}
        {percent(mark.unlisted) >= 1 && (
          <li className="grid grid-cols-[2.75rem_minmax(0,1fr)] gap-x-1 border-t border-rule py-1 text-ink2">
            <span className="num text-[1.1875rem]/5">
              {percent(mark.unlisted)}
              <small className="text-[0.71875rem]">%</small>
            </span>
            no mark on file
          </li>
        )}
      </ol>
      {mark.rival && shown.length > 1 && <Rival rival={mark.rival} />}
    </div>
  );
}

/** What sets the first reading apart from the second, and where to look next. */
function Rival({ rival }: { rival: NonNullable<Verdict["mark"]["rival"]> }) {
  if (rival.decides.length + rival.wouldTell.length === 0) return null;
  return (
    <div className="border-t border-rule py-1 text-[0.78125rem]/4" data-testid="rival">
      {rival.decides.length > 0 && (
        <p>
          <span className="voice text-ink2">It is decided by: </span>
          {rival.decides.join(" ")}
        </p>
      )}
      {rival.wouldTell.length > 0 && (
        <p className="mt-0.5">
          <span className="voice text-ink2">It would be told by: </span>
          {rival.wouldTell.join(" ")}
        </p>
      )}
    </div>
  );
}

function Reading({ candidate }: { candidate: Candidate }) {
  return (
    <li className="grid grid-cols-[2.75rem_minmax(0,1fr)] gap-x-1 border-t border-rule py-1">
      <span className="num text-[1.1875rem]/5">
        {percent(candidate.probability)}
        <small className="text-[0.71875rem]">%</small>
      </span>
      <div>
        <p className="font-steel text-[0.78125rem]/[1.125rem] tracking-[0.015em]">
          {candidate.lines.map((line, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a line is known by its place
            <span key={i} className="mr-[1ch] inline-block">
              {line.map((l, k) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: a letter is known by its place
                <span key={k} className={FIT[l.fit]}>
                  {l.letter}
                </span>
              ))}
            </span>
          ))}
        </p>
        <p className="text-[0.78125rem]/4 text-ink2">
          {candidate.makerName}, {candidate.from}
          {"\u2013"}
          {candidate.to}; {candidate.agreeing} of {candidate.letters} letters agree
        </p>
      </div>
    </li>
  );
}
