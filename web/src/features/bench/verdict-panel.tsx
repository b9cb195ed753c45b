import { useQuery } from "@tanstack/react-query";
import { Fragment } from "react";
import { Link } from "react-router";
import { useStationName } from "../../api/book";
import { api } from "../../api/client";
import type { Dating, Verdict } from "../../api/types";
import { money, percent, sentence, years, yearsWhole } from "../../format";
import { rivalsOf } from "../../opinion";
import { Key } from "../../ui/key";
import { headWords, useSchools } from "./grading/use-schools";
import { NextLooks } from "./next-looks";
import type { Phase } from "./saving/machine";
import type { Knife } from "./use-knife";
import { VERDICT } from "./verdict-strip";

/** What it is, who made it, when and how it came to be so; and where to look next. */
export function VerdictPanel({ id, knife, next, onGo }: OfPanel) {
  const v = knife.verdict;
  return (
    <aside
      id={VERDICT}
      tabIndex={-1}
      aria-label="Verdict"
      className="flex min-w-0 flex-col border-rule pt-2.5 outline-none max-[80rem]:border-t max-[80rem]:border-ink min-[80rem]:border-l min-[80rem]:pl-[1.375rem]"
    >
      <SaveLine knife={knife} />
      {v ? <Opinion verdict={v} onGo={onGo} /> : <p className="voice text-ink3">Working it out.</p>}
      {v && <Sheets id={id} />}
      {v && next && <NextInOrder verdict={v} next={next} onGo={onGo} />}
    </aside>
  );
}

interface OfPanel {
  id: string;
  knife: Knife;
  next: string | undefined;
  onGo: (station: string) => void;
}

const SHEETS = [
  ["verdict", "Verdict sheet", "P"],
  ["journal", "Journal", "J"],
  ["resembles", "Lookalikes", "L"],
] as const;

/** The other sheets of this knife. */
function Sheets({ id }: { id: string }) {
  return (
    <p className="mb-3">
      {SHEETS.map(([page, words, key], i) => (
        <Fragment key={page}>
          <Link to={`/bench/${id}/${page}`} className={`min-h-6 underline ${i > 0 ? "ml-4" : ""}`}>
            {words}
          </Link>{" "}
          <Key>{key}</Key>
        </Fragment>
      ))}
      <Written knife={id} />
    </p>
  );
}

function NextInOrder({ verdict, next, onGo }: { verdict: Verdict; next: string; onGo: OfPanel["onGo"] }) {
  const stationName = useStationName();
  return (
    <button
      type="button"
      onClick={() => onGo(next)}
      className="on-blue mt-auto block bg-blue px-[1.375rem] py-2.5 text-left text-on-blue min-[80rem]:-ml-[1.375rem]"
    >
      <span className="voice flex justify-between text-[0.8125rem] text-on-blue2">
        Next in working order
        <span className="font-sans not-italic text-on-blue">
          Go there <kbd className="key !border-on-blue-edge !text-on-blue">G</kbd>
        </span>
      </span>
      <span className="font-serif text-[1.25rem]/[1.625rem]">{stationName(next)}</span>
      <span className="block">{stillToDo(verdict, next)}</span>
    </button>
  );
}

/** What the collector holds of it, beside what Snikra does. */
function Written({ knife }: { knife: string }) {
  const journal = useQuery({ queryKey: ["journal", knife], queryFn: () => api.journal(knife) });
  const own = (journal.data ?? []).flatMap((e) => e.own ?? []);
  const held = own.find((o) => o.held)?.held;
  const questions = own.filter((o) => o.question).length;
  if (!held && questions === 0) return null;
  return (
    <span className="block text-ink2">
      {held && `You hold ${held}. `}
      {questions > 0 && (questions === 1 ? "One open question." : `${questions} open questions.`)}
    </span>
  );
}

function stillToDo(v: Verdict, station: string): string {
  const p = v.progress.find((o) => o.station === station);
  if (!p) return "";
  return p.looked === 0 ? "Not yet looked at." : `${p.of - p.looked} of ${p.of} still to look at.`;
}

function SaveLine({ knife }: { knife: Knife }) {
  const { save, isUnkept, retry, undo } = knife;
  const isBad = save.kind !== "saved" && save.kind !== "sending" && save.kind !== "waiting";
  return (
    <p className="flex justify-between gap-2 text-[0.78125rem]/4" aria-live="polite">
      <span className={isBad || isUnkept ? "text-lead" : "text-ink3"} data-testid="save-state">
        {SAVE_WORDS[save.kind]}
        {save.kind === "failed" && (
          <>
            {" "}
            {save.message}{" "}
            <button type="button" className="underline" onClick={retry}>
              Try again
            </button>
          </>
        )}
        {isUnkept && save.kind !== "saved" && " This browser has no room to keep it: leave this page open."}
      </span>
      <button
        type="button"
        className="min-h-6 shrink-0 text-ink2 enabled:hover:underline disabled:text-ink3"
        disabled={!undo}
        onClick={undo}
      >
        Undo <Key>Ctrl Z</Key>
      </button>
    </p>
  );
}

const SAVE_WORDS: Record<Phase["kind"], string> = {
  saved: "Saved",
  waiting: "Saving",
  sending: "Saving",
  refused: "Not saved: an entry cannot be used. It is kept here until it can.",
  failed: "Not saved. What you entered is kept here.",
  "changed-elsewhere": "Not saved: changed elsewhere.",
};

function Opinion({ verdict, onGo }: { verdict: Verdict; onGo: (station: string) => void }) {
  const { dating } = verdict;
  const lead = dating.explanations[0];
  const shown = rivalsOf(dating, 4);
  const isOneMaker = shown.every((e) => e.label === lead?.label);
  return (
    <>
      <Headline opinion={dating.opinion} />
      <ul className="mt-1 text-ink2">
        {dating.opinion.sentences.map((s) => (
          <li key={s}>{s}</li>
        ))}
      </ul>
      <Rivals shown={shown} lead={lead} held={dating.opinion.held} />
      {lead && !isOneMaker && <AllOfAPiece dating={dating} />}
      <Findings verdict={verdict} />
      <NextLooks looks={dating.lookNext} onGo={onGo} most={3} />
      <dl className="mt-2 mb-3 grid grid-cols-[4.5rem_minmax(0,1fr)] gap-x-2 border-t border-rule pt-1.5">
        <dt className="voice text-ink2">Condition</dt>
        <dd data-testid="grade">
          <GradeLine verdict={verdict} />
        </dd>
        <dt className="voice text-ink2">Value</dt>
        <dd data-testid="value">{valueWords(verdict)}</dd>
      </dl>
    </>
  );
}

function Headline({ opinion }: { opinion: Dating["opinion"] }) {
  return (
    <div className="mt-1 flex gap-x-3.5" data-testid="opinion">
      {opinion.held !== undefined && (
        <p className="num text-[3.875rem]/[3.5rem] font-light tracking-[-0.035em] text-blue">
          {percent(opinion.held)}
          <small className="align-[1.3rem] text-[1.5rem] tracking-normal">%</small>
        </p>
      )}
      <div className="min-w-0 flex-1 pt-0.5">
        <p className="voice text-[0.8125rem] text-ink2">{sentence(opinion.strength.replaceAll("-", " "))}</p>
        <h2 className="text-[1.25rem]/6">{opinion.headline}</h2>
        <p className="num text-[1.0625rem]/6 text-blue">{years(opinion.years)}</p>
      </div>
    </div>
  );
}

type Explanation = Dating["explanations"][number];

/** What else it may be, and what is left for all else. */
function Rivals({
  shown,
  lead,
  held = 0,
}: {
  shown: Explanation[];
  lead: Explanation | undefined;
  held: number | undefined;
}) {
  const left = 1 - held - shown.reduce((sum, e) => sum + e.probability, 0);
  return (
    <ul className={lead ? "mt-2 border-t border-rule" : ""}>
      {shown.map((e) => (
        <li
          key={e.label + e.state.label}
          className="grid grid-cols-[2.75rem_minmax(0,1fr)_auto] items-baseline gap-x-1 border-b border-rule py-0.5"
        >
          <Percent p={e.probability} />
          <span>{e.label === lead?.label ? sentence(e.state.label) : `${e.label}, ${e.state.label}`}</span>
          <span className="num text-ink2">{yearsWhole(e.nineTenths)}</span>
        </li>
      ))}
      {lead && percent(left) > 0 && (
        <li className="grid grid-cols-[2.75rem_minmax(0,1fr)] items-baseline gap-x-1 border-b border-rule py-0.5 text-ink2">
          <Percent p={left} />
          <span>all else together</span>
        </li>
      )}
    </ul>
  );
}

function Percent({ p }: { p: number }) {
  return (
    <span className="num text-[1.0625rem]/5">
      {percent(p)}
      <small className="text-[0.71875rem]">%</small>
    </span>
  );
}

/** How it came to be so, as lengths on a rule. */
function AllOfAPiece({ dating }: { dating: Dating }) {
  const states = dating.states.filter((s) => percent(s.probability) >= 3).slice(0, 4);
  return (
    <section className="mt-2">
      <h3 className="voice text-[0.8125rem] text-ink2">All of a piece?</h3>
      <ul>
        {states.map((s) => (
          <li
            key={s.state.kind + (s.state.part ?? "")}
            className="grid grid-cols-[minmax(0,1fr)_6rem_2.25rem] items-center gap-x-2 leading-[1.0625rem]"
          >
            <span className="truncate">
              {sentence(s.state.label)}
              {s.partSpan && <span className="text-ink2"> ({yearsWhole(s.partSpan)})</span>}
            </span>
            <span className="h-[5px] border-b border-rule">
              <Bar share={s.probability} />
            </span>
            <span className="num text-right">{percent(s.probability)}%</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Bar({ share }: { share: number }) {
  return (
    <svg width="100%" height="5" viewBox="0 0 100 5" preserveAspectRatio="none" aria-hidden="true">
      <path d={`M0 2.5H${100 * share}`} stroke="currentColor" strokeWidth="5" />
    </svg>
  );
}

function Findings({ verdict }: { verdict: Verdict }) {
  // What two stations tell is told once here, and what is about its value beside its value.
  const findings = verdict.findings
    .filter((f) => f.station !== "value")
    .filter((f, i, all) => all.findIndex((o) => o.text === f.text) === i);
  if (findings.length === 0) return null;
  return (
    <ul className="mt-2 border-t border-rule pt-1.5" data-testid="findings">
      {findings.slice(0, 2).map((f) => (
        <li key={f.text} className={f.conflict ? "font-semibold text-lead" : "text-ink2"}>
          {f.text}
        </li>
      ))}
      {findings.length > 2 && (
        <li className="text-ink2">and {findings.length - 2} more, at their stations.</li>
      )}
    </ul>
  );
}

/** The grade by the school that heads the page, with its worst fault; the box is told with it. */
function GradeLine({ verdict }: { verdict: Verdict }) {
  const { heads } = useSchools(verdict);
  if (!heads?.best) return "Not yet looked at";
  const [worst] = heads.reasons;
  return [
    headWords(heads),
    verdict.grade.boxed,
    heads.open > 0 && `${heads.open} points not looked at`,
    worst && [worst.label, worst.found].filter(Boolean).join(", ").toLowerCase(),
  ]
    .filter(Boolean)
    .join("; ");
}

function valueWords({ value }: Verdict): string {
  const { asItIs: is, currency } = value;
  return is && currency
    ? `${money(is.low, currency)}\u2013${money(is.high, currency)}. ${value.standsOn}`
    : value.standsOn;
}
