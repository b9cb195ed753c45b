import { useRef, useState } from "react";
import { cellsOf } from "../letters";
import type { Asked } from "./line";
import { type Taken, useLine } from "./use-line";

/** A phone as camera: what is wanted on top, the shutter under the thumb. */
export function PhonePage() {
  const { asked, failure, isOver, taken, take, again } = useLine();
  const [chosen, setChosen] = useState<string>();
  const role = chosen ?? asked?.role ?? "other";
  return (
    <main className="mx-auto flex min-h-dvh max-w-xl flex-col px-4 pt-3 text-base/6">
      <header className="flex items-baseline justify-between gap-3 border-b border-ink pb-2">
        <h1 className="text-[1.3125rem]/6">{asked?.knife ?? "Snikra"}</h1>
        {asked && !isOver && <Left seconds={asked.secondsLeft} />}
      </header>
      {failure && (
        <p role="alert" className="mt-3 text-lead">
          {failure.message}
        </p>
      )}
      {!asked && !failure && <p className="voice mt-3 text-ink2">Asking to be let in.</p>}
      {asked && <Letters asked={asked} />}
      <ul className="mt-3 flex-1" aria-label="Photographs taken">
        {taken.map((t) => (
          <Photograph key={t.id} of={t} onAgain={isOver ? undefined : () => again(t.id)} />
        ))}
      </ul>
      {asked && !isOver && (
        <div className="sticky bottom-0 -mx-4 border-t border-ink bg-paper px-4 pt-2 pb-4">
          <Shows asked={asked} role={role} onChange={setChosen} />
          <Shutter onTaken={(pictures) => take(pictures, role)} />
        </div>
      )}
    </main>
  );
}

function Left({ seconds }: { seconds: number }) {
  const minutes = Math.ceil(seconds / 60);
  return (
    <p className="shrink-0 text-ink2">
      <span className="num">{minutes}</span> {minutes === 1 ? "minute" : "minutes"} left
    </p>
  );
}

/** The letters of the tang as far as they are read, and those that would tell the most. */
function Letters({ asked }: { asked: Asked }) {
  if (!asked.tang) return null;
  return (
    <section className="mt-3" aria-label="Letters to read">
      <h2 className="voice text-ink2">{asked.tang}</h2>
      {asked.lines.length > 0 ? (
        <div className="mt-1 border border-ink bg-lit px-3 py-1.5 font-steel text-lg/7">
          {asked.lines.map((line, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a line is known by its place
            <p key={i}>
              <Line written={line} />
            </p>
          ))}
        </div>
      ) : (
        <p>Nothing read yet. Let the light fall flat over the letters, and come close.</p>
      )}
      {asked.wouldTell.length > 0 && (
        <ul className="mt-1">
          {asked.wouldTell.map((w) => (
            <li key={w} className="border-l-2 border-blue pl-2">
              {w}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** What is doubtful or lost stands out: that is what the photograph is for. */
function Line({ written }: { written: string }) {
  return cellsOf(written).map(({ letter, doubtful }, i) => {
    const isLost = letter === "_" || letter === "*";
    return (
      <span
        // biome-ignore lint/suspicious/noArrayIndexKey: a letter is known by its place
        key={i}
        className={
          isLost || doubtful ? "text-lead underline decoration-2 underline-offset-4" : "font-semibold"
        }
      >
        {letter === "_" ? "\u00b7" : letter === "*" ? "\u2026" : letter}
        {doubtful && <span className="sr-only"> doubtful</span>}
      </span>
    );
  });
}

function Shows({ asked, role, onChange }: { asked: Asked; role: string; onChange: (role: string) => void }) {
  return (
    <fieldset className="flex flex-wrap gap-1.5">
      <legend className="voice text-ink2">It shows</legend>
      {asked.roles.map((r) => (
        <button
          key={r.id}
          type="button"
          className="press min-h-9"
          aria-pressed={r.id === role}
          onClick={() => onChange(r.id)}
        >
          {r.label}
        </button>
      ))}
    </fieldset>
  );
}

function Shutter({ onTaken }: { onTaken: (pictures: File[]) => void }) {
  const file = useRef<HTMLInputElement>(null);
  return (
    <>
      <button
        type="button"
        className="mt-2 min-h-16 w-full rounded-key bg-blue text-[1.1875rem] font-semibold text-on-blue"
        onClick={() => file.current?.click()}
      >
        Take a photograph
      </button>
      <input
        ref={file}
        type="file"
        aria-label="Photograph"
        // A phone that keeps pictures in a form of its own turns them into JPEG when asked like this.
        accept="image/jpeg,image/png"
        capture="environment"
        hidden
        onChange={(e) => {
          onTaken([...(e.target.files ?? [])]);
          e.target.value = "";
        }}
      />
    </>
  );
}

function Photograph({ of, onAgain }: { of: Taken; onAgain?: () => void }) {
  const { state, sent, why } = of;
  return (
    <li className="border-b border-rule py-2">
      <img src={of.url} alt="As it was taken" className="max-h-72 w-full object-contain" />
      <div role="status" className="mt-1 flex min-h-9 items-center gap-3">
        {state === "waiting" && <span className="voice text-ink2">Waits for its turn.</span>}
        {state === "sending" && (
          <>
            <progress className="h-2 flex-1" value={sent} aria-label="On its way" />
            <span className="num w-12 text-right">{Math.round(sent * 100)}%</span>
          </>
        )}
        {state === "kept" && <span>On file with the knife.</span>}
        {state === "refused" && <span className="text-lead">Not kept. {why}</span>}
        {state === "refused" && onAgain && (
          <button type="button" className="press min-h-9 shrink-0" onClick={onAgain}>
            Send again
          </button>
        )}
      </div>
    </li>
  );
}
