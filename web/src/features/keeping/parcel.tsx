import { useRef, useState } from "react";
import { api } from "../../api/client";
import type { ParcelTold } from "../../api/types";
import type { Attempt } from ".";
import { sendInPieces } from "./pieces";
import { BOOKS, moment, STANDINGS } from "./words";

type Step =
  | { is: "idle"; problem?: string }
  | { is: "sending"; share: number }
  | { is: "looking" }
  | { is: "told"; key: string; told: ParcelTold }
  | { is: "taking" };

const IDLE: Step = { is: "idle" };

/** The whole collection as one file: out in open formats, and back into this or another Snikra. */
export function Parcel({ attempt }: { attempt: Attempt }) {
  const [step, setStep] = useState<Step>(IDLE);
  const stop = useRef(new AbortController());
  const file = useRef<HTMLInputElement>(null);
  const letGo = (key: string) => api.letGoOfParcel(key).catch(() => {});
  const bring = async (chosen: File) => {
    const key = crypto.randomUUID();
    stop.current = new AbortController();
    try {
      await sendInPieces(chosen, stop.current.signal, (at, piece, signal) => {
        setStep({ is: "sending", share: at / Math.max(1, chosen.size) });
        return api.sendParcel(key, at, piece, signal);
      });
      setStep({ is: "looking" });
      const told = await api.lookAtParcel(key, stop.current.signal);
      setStep({ is: "told", key, told });
    } catch (e) {
      letGo(key);
      const problem = stop.current.signal.aborted ? undefined : `${chosen.name}: ${(e as Error).message}`;
      setStep({ is: "idle", problem });
    }
  };
  const take = async (key: string, theirs: string[]) => {
    setStep({ is: "taking" });
    await attempt(
      () => api.takeParcel(key, theirs),
      "It is taken in. What was here until now is the newest copy in the list.",
    );
    setStep(IDLE);
  };
  return (
    <section aria-labelledby="parcel-name" className="mt-5">
      <h2 id="parcel-name" className="min-h-8 border-b border-ink pb-1 text-[1.1875rem]/[1.375rem]">
        The whole collection as one file
      </h2>
      <p className="mt-1 text-ink2">
        Knives, journal, photographs as they came, sales, ledger and makers, in formats anybody can read. It
        tells what was paid and where things lie: give it only to whom you trust.
      </p>
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <a className="press inline-flex items-center" href="/api/parcel" download>
          Save it
        </a>
        <input
          ref={file}
          type="file"
          accept=".zip,application/zip"
          className="sr-only"
          aria-label="A collection to bring"
          tabIndex={-1}
          onChange={(e) => {
            const chosen = e.target.files?.[0];
            e.target.value = "";
            if (chosen) bring(chosen);
          }}
        />
        <button
          type="button"
          className="press"
          disabled={step.is !== "idle"}
          onClick={() => file.current?.click()}
        >
          Bring one
        </button>
        {(step.is === "sending" || step.is === "looking") && (
          <>
            <progress
              className="accent-blue"
              aria-label="How much is here"
              value={step.is === "sending" ? step.share : undefined}
            />
            <span role="status">{step.is === "sending" ? "On its way" : "Looking into it"}</span>
            <button type="button" className="min-h-6 underline" onClick={() => stop.current.abort()}>
              Stop
            </button>
          </>
        )}
        {step.is === "taking" && <span role="status">Taking it in</span>}
      </div>
      {step.is === "idle" && step.problem && (
        <p role="alert" className="mt-2 bg-lead-wash px-3 py-1.5 text-lead">
          {step.problem}
        </p>
      )}
      {step.is === "told" && (
        <Told
          told={step.told}
          onTake={(theirs) => take(step.key, theirs)}
          onLeave={() => {
            letGo(step.key);
            setStep(IDLE);
          }}
        />
      )}
    </section>
  );
}

/** What it would bring; of knives changed in both places each is chosen, or all at once. */
function Told({
  told,
  onTake,
  onLeave,
}: {
  told: ParcelTold;
  onTake: (theirs: string[]) => void;
  onLeave: () => void;
}) {
  const [theirs, setTheirs] = useState<ReadonlySet<string>>(new Set());
  const knives = told.knives as Record<string, number>;
  const all = told.asked.map((k) => k.id);
  const choose = (id: string, isTheirs: boolean) =>
    setTheirs((now) => new Set(isTheirs ? [...now, id] : [...now].filter((other) => other !== id)));
  return (
    <section className="mt-3" aria-label="What it would bring">
      <p>Written {moment(told.made)}.</p>
      <ul className="mt-1">
        {Object.keys(STANDINGS)
          .filter((s) => knives[s])
          .map((s) => (
            <Line key={s} count={knives[s] ?? 0} says={STANDINGS[s] ?? s} />
          ))}
        {told.photographs > 0 && <Line count={told.photographs} says="photographs that are not here" />}
        {told.books.map((b) => (
          <li key={b.book}>
            {b.fresh > 0 && <Line count={b.fresh} says={`${BOOKS[b.book] ?? b.book} that are not here`} />}
            {b.different > 0 && (
              <Line count={b.different} says={`${BOOKS[b.book] ?? b.book} are otherwise here and stay so`} />
            )}
          </li>
        ))}
      </ul>
      {all.length > 0 && (
        <fieldset className="mt-2">
          <legend className="voice text-ink2">Changed here and there. Which is to stay?</legend>
          <p className="mt-1 flex gap-3">
            <button type="button" className="press" onClick={() => setTheirs(new Set())}>
              All as here
            </button>
            <button type="button" className="press" onClick={() => setTheirs(new Set(all))}>
              All as in the file
            </button>
          </p>
          <ul className="mt-1 max-h-80 overflow-y-auto">
            {told.asked.map((k) => (
              <li key={k.id} className="grid gap-x-4 border-t border-rule py-1 sm:grid-cols-2">
                {(["here", "there"] as const).map((side) => (
                  <label key={side} className="flex min-h-6 items-baseline gap-1.5">
                    <input
                      type="radio"
                      className="accent-blue"
                      name={k.id}
                      checked={theirs.has(k.id) === (side === "there")}
                      onChange={() => choose(k.id, side === "there")}
                    />
                    <span>
                      {k.number} {(side === "here" ? k.ours : k.theirs) || "without a name"}{" "}
                      <span className="text-ink2">
                        {side === "here" ? "as here" : "as in the file"}, {moment(k[side])}
                      </span>
                    </span>
                  </label>
                ))}
              </li>
            ))}
          </ul>
        </fieldset>
      )}
      <p className="mt-3 flex gap-3">
        <button type="button" className="press" onClick={() => onTake([...theirs])}>
          Take it in
        </button>
        <button type="button" className="press" onClick={onLeave}>
          Leave it
        </button>
      </p>
      <p className="mt-1 text-ink2">A copy of what is here is made before.</p>
    </section>
  );
}

function Line({ count, says }: { count: number; says: string }) {
  return (
    <li className="grid grid-cols-[4rem_1fr] gap-x-3">
      <span className="num text-right">{count.toLocaleString()}</span>
      <span>{says}</span>
    </li>
  );
}
