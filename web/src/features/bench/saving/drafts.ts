import type { Draft } from "./machine";

/**
 * Drafts outlive the page: one for each tab and knife, with the version it was made to. A tab that is gone, closed or
 * crashed, leaves its drafts to whichever opens the knife next.
 */
const PREFIX = "snikra.draft.";
const LOCK = "snikra.tab.";
const key = (knife: string, tab: string) => `${PREFIX}${knife}.${tab}`;

/** Keeps a draft. False where this browser has no room for it. */
export function keepDraft(knife: string, tab: string, draft: Draft): boolean {
  try {
    localStorage.setItem(key(knife, tab), JSON.stringify(draft));
    return true;
  } catch {
    return false;
  }
}

export function forgetDraft(knife: string, tab: string): void {
  localStorage.removeItem(key(knife, tab));
}

function read(at: string): Draft | undefined {
  try {
    const draft = JSON.parse(localStorage.getItem(at) ?? "null") as Partial<Draft> | null;
    return typeof draft?.version === "number" && typeof draft.text === "string"
      ? { version: draft.version, text: draft.text, sent: draft.sent }
      : undefined;
  } catch {
    return undefined;
  }
}

/**
 * The draft of this tab, or one that a tab left behind. What is taken over is this tab's from now on; of several the
 * rest stay for the next time.
 */
export function recallDraft(knife: string, tab: string, living: ReadonlySet<string>): Draft | undefined {
  const own = read(key(knife, tab));
  if (own) return own;
  for (let i = 0; i < localStorage.length; i++) {
    const at = localStorage.key(i);
    if (!at?.startsWith(`${PREFIX}${knife}.`)) continue;
    const left = at.slice(key(knife, "").length);
    const draft = living.has(left) ? undefined : read(at);
    if (draft && keepDraft(knife, tab, draft)) {
      localStorage.removeItem(at);
      return draft;
    }
  }
  return undefined;
}

/** The name of this tab; a reload keeps it, and a copy of the tab takes another. */
export async function nameTab(): Promise<string> {
  const locks = navigator.locks as LockManager | undefined;
  let name = sessionStorage.getItem("snikra.tab") ?? crypto.randomUUID();
  if (locks && !(await hold(locks, name))) {
    name = crypto.randomUUID();
    await hold(locks, name);
  }
  sessionStorage.setItem("snikra.tab", name);
  return name;
}

// Held as long as the tab lives: by it others know that it does.
function hold(locks: LockManager, name: string): Promise<boolean> {
  return new Promise((told) => {
    locks.request(LOCK + name, { ifAvailable: true }, (lock) => {
      told(lock !== null);
      return lock ? new Promise<void>(() => {}) : undefined;
    });
  });
}

/** The tabs that are open just now. */
export async function livingTabs(): Promise<ReadonlySet<string>> {
  const locks = navigator.locks as LockManager | undefined;
  const held = (await locks?.query())?.held ?? [];
  return new Set(held.flatMap((l) => (l.name?.startsWith(LOCK) ? [l.name.slice(LOCK.length)] : [])));
}
