import { useRef, useState } from "react";
import { api } from "../../api/client";
import type { ParcelTold } from "../../api/types";
import type { Attempt } from "../../ui/use-attempt";
import { sendInPieces } from "./pieces";
import { BOOKS, moment, STANDINGS } from "./words";

type Step =
  | { is: "idle"; problem?: string }
  | { is: "sending"; share: number }
  | { is: "looking" }
  | { is: "told"; key: string; told: ParcelTold }
  | { is: "taking" };

const IDLE: Step = { is: "idle" };

/** A collection on its way here: sent, looked into, and taken in or left. */
function useParcel(attempt: Attempt) {
  const [step, setStep] = useState<Step>(IDLE);
  const way = useRef(new AbortController());
  const letGo = (key: string) => api.letGoOfParcel(key).catch(() => {});
  const bring = async (chosen: File) => {
    const key = crypto.randomUUID();
    way.current = new AbortController();
    const { signal } = way.current;
    try {
      await sendInPieces(chosen, signal, (at, piece) => {
        setStep({ is: "sending", share: at / Math.max(1, chosen.size) });
        return api.sendParcel(key, at, piece, signal);
      });
      setStep({ is: "looking" });
      setStep({ is: "told", key, told: await api.lookAtParcel(key, signal) });
    } catch (e) {
      letGo(key);
      setStep({
        is: "idle",
        problem: signal.aborted ? undefined : `${chosen.name}: ${(e as Error).message}`,
      });
    }
  };
  const take = async (key: string, theirs: string[]) => {
    setStep({ is: "taking" });
    await attempt(
      () => api.takeParcel(key, theirs),
      "It is added. What was here until now is the newest copy in the list.",
    );
    setStep(IDLE);
  };
  const leave = (key: string) => {
    letGo(key);
    setStep(IDLE);
  };
  return { step, bring, take, leave, stop: () => way.current.abort() };
}

/** The whole collection as one file: out in open formats, and back into this or another Snikra. */
export function Parcel({ attempt }: { attempt: Attempt }) {
  const { step, bring, take, leave, stop } = useParcel(attempt);
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
        <Choose isOff={step.is !== "idle"} onFile={bring} />
        <Progress step={step} onStop={stop} />
      </div>
      {step.is === "idle" && step.problem && (
        <p role="alert" className="mt-2 bg-lead-wash px-3 py-1.5 text-lead">
          {step.problem}
        </p>
      )}
      {step.is === "told" && (
        <Told told={step.told} onTake={(theirs) => take(step.key, theirs)} onLeave={() => leave(step.key)} />
      )}
    </section>
  );
}

function Choose({ isOff, onFile }: { isOff: boolean; onFile: (file: File) => void }) {
  const file = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={file}
        type="file"
        accept=".zip,application/zip"
        hidden
        aria-label="A collection to add"
        onChange={(e) => {
          const chosen = e.target.files?.[0];
          e.target.value = "";
          if (chosen) onFile(chosen);
        }}
      />
      <button type="button" className="press" disabled={isOff} onClick={() => file.current?.click()}>
        Add one
      </button>
    </>
  );
}

function Progress({ step, onStop }: { step: Step; onStop: () => void }) {
  if (step.is === "taking") return <span role="status">Adding it</span>;
  if (step.is !== "sending" && step.is !== "looking") return null;
  const share = step.is === "sending" ? step.share : undefined;
  return (
    <>
      <progress className="accent-blue" aria-label="How much is here" value={share} />
      <span role="status">{step.is === "sending" ? "On its way" : "Looking into it"}</span>
      <button type="button" className="min-h-6 underline" onClick={onStop}>
        Stop
      </button>
    </>
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
  return (
    <section className="mt-3" aria-label="What it would bring">
      <p>Written {moment(told.made)}. Of its knives</p>
      <ul className="mt-1">
        {Object.keys(STANDINGS)
          .filter((s) => knives[s])
          .map((s) => (
            <Line key={s} count={knives[s] ?? 0} says={STANDINGS[s] ?? s} />
          ))}
        {told.photographs > 0 && <Line count={told.photographs} says="photographs not here yet" />}
        {told.books.map((b) => (
          <li key={b.book}>
            {b.fresh > 0 && <Line count={b.fresh} says={`${BOOKS[b.book] ?? b.book} not here yet`} />}
            {b.different > 0 && (
              <Line count={b.different} says={`${BOOKS[b.book] ?? b.book} otherwise here: left as here`} />
            )}
          </li>
        ))}
      </ul>
      {told.asked.length > 0 && <Asked asked={told.asked} theirs={theirs} onChange={setTheirs} />}
      <p className="mt-3 flex gap-3">
        <button type="button" className="press" onClick={() => onTake([...theirs])}>
          Add it
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

/** Knives that were changed here and there: each is chosen, or all at once. */
function Asked({ asked, theirs, onChange }: OfAsked) {
  const choose = (id: string, isTheirs: boolean) =>
    onChange(new Set(isTheirs ? [...theirs, id] : [...theirs].filter((other) => other !== id)));
  return (
    <fieldset className="mt-2">
      <legend className="voice text-ink2">Changed here and there. Which is to stay?</legend>
      <p className="mt-1 flex gap-3">
        <button type="button" className="press" onClick={() => onChange(new Set())}>
          All as here
        </button>
        <button type="button" className="press" onClick={() => onChange(new Set(asked.map((k) => k.id)))}>
          All as in the file
        </button>
      </p>
      <ul className="mt-1 max-h-80 overflow-y-auto">
        {asked.map((k) => (
          <li key={k.id} className="grid gap-x-4 border-t border-rule py-1 sm:grid-cols-2">
            {(["here", "there"] as const).map((side) => (
              <OneSide
                key={side}
                knife={k}
                side={side}
                isKept={theirs.has(k.id) === (side === "there")}
                onKeep={() => choose(k.id, side === "there")}
              />
            ))}
          </li>
        ))}
      </ul>
    </fieldset>
  );
}

interface OfAsked {
  asked: ParcelTold["asked"];
  theirs: ReadonlySet<string>;
  onChange: (theirs: ReadonlySet<string>) => void;
}

function OneSide({
  knife: k,
  side,
  isKept,
  onKeep,
}: {
  knife: ParcelTold["asked"][number];
  side: "here" | "there";
  isKept: boolean;
  onKeep: () => void;
}) {
  return (
    <label className="flex min-h-6 items-baseline gap-1.5">
      <input type="radio" className="accent-blue" name={k.id} checked={isKept} onChange={onKeep} />
      <span>
        {k.number} {(side === "here" ? k.ours : k.theirs) || "without a name"}{" "}
        <span className="text-ink2">
          {side === "here" ? "as here" : "as in the file"}, {moment(k[side])}
        </span>
      </span>
    </label>
  );
}
