import type { Problem } from "../../../api/types";

/** A knife as the server has it: its version, and the knife itself as canonical text. */
export interface Kept {
  version: number;
  text: string;
}

/**
 * What was entered here and how far it is on its way. `version` is the version the draft was made to: it moves
 * only when the server has taken the draft, or when the person at the bench chose between two.
 */
export interface Saving {
  version: number;
  /** What the server had at that version. */
  kept: string;
  /** What is shown. */
  draft: string;
  /** What was sent last, as long as no answer says what became of it: it may be kept all the same. */
  unanswered: string | undefined;
  phase: Phase;
}

export type Phase =
  | { kind: "saved" }
  | { kind: "waiting" }
  | { kind: "sending" }
  | { kind: "failed"; message: string }
  | { kind: "refused"; problems: Problem[] }
  | { kind: "changed-elsewhere"; current: Kept };

export type SavingEvent =
  | { kind: "changed"; draft: string }
  /** The moment to send has come: its time is up, the page is left, or it is asked for. */
  | { kind: "due" }
  | { kind: "taken"; kept: Kept }
  | { kind: "no-answer"; message: string }
  | { kind: "refused"; problems: Problem[] }
  | { kind: "conflict"; current: Kept }
  | { kind: "chose"; side: "mine" | "theirs" };

export type Effect =
  | { kind: "send"; version: number; text: string }
  | { kind: "wait"; ms: number }
  | { kind: "keep-draft"; draft: Draft }
  | { kind: "forget-draft" };

/** What outlives the page. */
export interface Draft {
  version: number;
  text: string;
  sent: string | undefined;
}

export const SAVE_AFTER_MS = 350;
export const RETRY_AFTER_MS = 4000;

type Step = [Saving, Effect[]];

const draftOf = (s: Saving): Draft => ({ version: s.version, text: s.draft, sent: s.unanswered });
const keepDraft = (s: Saving): Effect => ({ kind: "keep-draft", draft: draftOf(s) });

/** What is shown first: the knife as the server has it, or what was entered and never reached it. */
export function opened(kept: Kept, draft: Draft | undefined): Step {
  const fresh: Saving = {
    version: kept.version,
    kept: kept.text,
    draft: kept.text,
    unanswered: undefined,
    phase: { kind: "saved" },
  };
  if (!draft || draft.text === kept.text) return [fresh, [{ kind: "forget-draft" }]];
  const resumed = { ...fresh, draft: draft.text, version: draft.version, unanswered: draft.sent };
  const own = draft.version === kept.version || draft.sent === kept.text;
  if (own) {
    const waiting: Saving = {
      ...resumed,
      version: kept.version,
      unanswered: draft.sent === kept.text ? undefined : draft.sent,
      phase: { kind: "waiting" },
    };
    return [waiting, [keepDraft(waiting), { kind: "wait", ms: SAVE_AFTER_MS }]];
  }
  const asked: Saving = { ...resumed, phase: { kind: "changed-elsewhere", current: kept } };
  return [asked, [keepDraft(asked)]];
}

/** What comes of an event. Nothing is sent over a version that was not seen, but by choice. */
export function step(s: Saving, event: SavingEvent): Step {
  switch (event.kind) {
    case "changed":
      return changed({ ...s, draft: event.draft });
    case "due":
      return s.phase.kind === "waiting" || s.phase.kind === "failed" ? send(s) : [s, []];
    case "taken":
      return s.phase.kind === "sending" ? taken(s, event.kept) : [s, []];
    case "no-answer":
      return s.phase.kind === "sending"
        ? [
            { ...s, phase: { kind: "failed", message: event.message } },
            [{ kind: "wait", ms: RETRY_AFTER_MS }],
          ]
        : [s, []];
    case "refused":
      return s.phase.kind === "sending" ? refused(s, event.problems) : [s, []];
    case "conflict":
      return s.phase.kind === "sending" ? conflict(s, event.current) : [s, []];
    case "chose":
      return s.phase.kind === "changed-elsewhere" ? chose(s, s.phase.current, event.side) : [s, []];
  }
}

function changed(s: Saving): Step {
  switch (s.phase.kind) {
    // The answer, or the choice, comes first; what was entered meanwhile goes after it.
    case "sending":
    case "changed-elsewhere":
      return [s, [keepDraft(s)]];
    case "failed":
      return [s, [keepDraft(s), { kind: "wait", ms: SAVE_AFTER_MS }]];
    default: {
      const waiting: Saving = { ...s, phase: { kind: "waiting" } };
      return [waiting, [keepDraft(waiting), { kind: "wait", ms: SAVE_AFTER_MS }]];
    }
  }
}

function send(s: Saving): Step {
  if (s.draft === s.kept && s.unanswered === undefined)
    return [{ ...s, phase: { kind: "saved" } }, [{ kind: "forget-draft" }]];
  // What was sent before and may have arrived goes first, or it would come back as somebody else's change.
  const text = s.unanswered ?? s.draft;
  const sending: Saving = { ...s, unanswered: text, phase: { kind: "sending" } };
  return [sending, [keepDraft(sending), { kind: "send", version: s.version, text }]];
}

function taken(s: Saving, kept: Kept): Step {
  const sent = s.unanswered ?? kept.text;
  const now: Saving = {
    ...s,
    version: kept.version,
    kept: sent,
    unanswered: undefined,
    phase: { kind: "saved" },
  };
  if (s.draft === sent) return [now, [{ kind: "forget-draft" }]];
  return changed(now);
}

// Nothing of it was kept; it is sent again once it is changed.
function refused(s: Saving, problems: Problem[]): Step {
  const now: Saving = { ...s, unanswered: undefined, phase: { kind: "refused", problems } };
  return s.draft === s.unanswered ? [now, [keepDraft(now)]] : changed(now);
}

function conflict(s: Saving, current: Kept): Step {
  if (current.text === s.unanswered) return taken(s, current);
  const asked: Saving = { ...s, phase: { kind: "changed-elsewhere", current } };
  return [asked, [keepDraft(asked)]];
}

function chose(s: Saving, current: Kept, side: "mine" | "theirs"): Step {
  const from: Saving = { ...s, version: current.version, kept: current.text, unanswered: undefined };
  return side === "mine"
    ? send(from)
    : [{ ...from, draft: current.text, phase: { kind: "saved" } }, [{ kind: "forget-draft" }]];
}

/** The same knife is the same text, in whatever order its fields came. */
export function canonical(value: unknown): string {
  return JSON.stringify(value, (_, v: unknown) =>
    v !== null && typeof v === "object" && !Array.isArray(v)
      ? Object.fromEntries(
          Object.entries(v)
            .filter(([, inside]) => inside !== undefined && inside !== null)
            .sort(([a], [b]) => (a < b ? -1 : 1)),
        )
      : v,
  );
}
