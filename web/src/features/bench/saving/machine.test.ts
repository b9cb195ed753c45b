import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  canonical,
  type Draft,
  type Effect,
  type Kept,
  opened,
  type Saving,
  type SavingEvent,
  step,
} from "./machine";

const at = (phase: Saving["phase"], more: Partial<Saving> = {}): Saving => ({
  version: 3,
  kept: "old",
  draft: "new",
  unanswered: undefined,
  phase,
  ...more,
});
const WAITING = at({ kind: "waiting" });
const SENDING = at({ kind: "sending" }, { unanswered: "new" });
const FAILED = at({ kind: "failed", message: "no" }, { unanswered: "new" });
const REFUSED = at({ kind: "refused", problems: [] });
const THEIRS: Kept = { version: 5, text: "theirs" };
const ASKED = at({ kind: "changed-elsewhere", current: THEIRS });
const SAVED = at({ kind: "saved" }, { draft: "old" });
const ALL = [SAVED, WAITING, SENDING, FAILED, REFUSED, ASKED];
const kinds = (effects: Effect[]) => effects.map((e) => e.kind);
const stepped = (s: Saving, event: SavingEvent) => {
  const [next, effects] = step(s, event);
  return {
    phase: next.phase.kind,
    next,
    effects: kinds(effects),
    sent: effects.find((e) => e.kind === "send"),
  };
};

describe("a knife that is opened", () => {
  it("is saved where nothing was entered that did not arrive", () => {
    const [s, effects] = opened({ version: 2, text: "a" }, undefined);
    expect(s).toEqual({ version: 2, kept: "a", draft: "a", unanswered: undefined, phase: { kind: "saved" } });
    expect(kinds(effects)).toEqual(["forget-draft"]);
  });
  it("goes on with what was entered to this very version", () => {
    const [s] = opened({ version: 2, text: "a" }, { version: 2, text: "b", sent: undefined });
    expect(s.phase.kind).toBe("waiting");
    expect(s.draft).toBe("b");
  });
  it("asks where it was saved elsewhere meanwhile, and keeps what was entered", () => {
    const [s, effects] = opened({ version: 4, text: "c" }, { version: 2, text: "b", sent: "a" });
    expect(s.phase).toEqual({ kind: "changed-elsewhere", current: { version: 4, text: "c" } });
    expect(s.draft).toBe("b");
    expect(s.version).toBe(2);
    expect(effects).toEqual([{ kind: "keep-draft", draft: { version: 2, text: "b", sent: "a" } }]);
  });
  it("knows its own save again of which no answer came", () => {
    const [s] = opened({ version: 3, text: "b" }, { version: 2, text: "c", sent: "b" });
    expect(s.phase.kind).toBe("waiting");
    expect(s.version).toBe(3);
  });
  it("forgets a draft that arrived after all", () => {
    const [s, effects] = opened({ version: 3, text: "b" }, { version: 2, text: "b", sent: "b" });
    expect(s.phase.kind).toBe("saved");
    expect(kinds(effects)).toEqual(["forget-draft"]);
  });
});

describe("an entry", () => {
  it.each([
    [SAVED, "waiting", ["keep-draft", "wait"]],
    [WAITING, "waiting", ["keep-draft", "wait"]],
    [SENDING, "sending", ["keep-draft"]],
    [FAILED, "failed", ["keep-draft", "wait"]],
    [REFUSED, "waiting", ["keep-draft", "wait"]],
    [ASKED, "changed-elsewhere", ["keep-draft"]],
  ] as const)("is kept in this browser at once (%#)", (s, phase, effects) => {
    const then = stepped(s, { kind: "changed", draft: "newer" });
    expect(then.phase).toBe(phase);
    expect(then.effects).toEqual(effects);
    expect(then.next.draft).toBe("newer");
    expect(then.next.version).toBe(3);
  });
});

describe("when its time has come", () => {
  it("what waits or failed is sent to the version it was made to", () => {
    for (const s of [WAITING, FAILED]) {
      const then = stepped(s, { kind: "due" });
      expect(then.phase).toBe("sending");
      expect(then.sent).toEqual({ kind: "send", version: 3, text: "new" });
      expect(then.next.unanswered).toBe("new");
    }
  });
  it("nothing else is sent: not while an answer is awaited, and not while a choice is open", () => {
    for (const s of [SAVED, SENDING, REFUSED, ASKED]) expect(step(s, { kind: "due" })).toEqual([s, []]);
  });
  it("what was undone again needs no sending", () => {
    expect(stepped({ ...WAITING, draft: "old" }, { kind: "due" }).effects).toEqual(["forget-draft"]);
  });
  it("what was undone after a send without an answer is sent all the same", () => {
    expect(stepped({ ...FAILED, draft: "old" }, { kind: "due" }).sent).toBeDefined();
  });
});

describe("the answer", () => {
  it("makes it saved", () => {
    const then = stepped(SENDING, { kind: "taken", kept: { version: 4, text: "new" } });
    expect(then.next).toEqual({
      version: 4,
      kept: "new",
      draft: "new",
      unanswered: undefined,
      phase: { kind: "saved" },
    });
    expect(then.effects).toEqual(["forget-draft"]);
  });
  it("leaves what was entered meanwhile to be sent next, to the new version", () => {
    const s = step(SENDING, { kind: "changed", draft: "newer" })[0];
    const then = stepped(s, { kind: "taken", kept: { version: 4, text: "new" } });
    expect(then.phase).toBe("waiting");
    expect(stepped(then.next, { kind: "due" }).sent).toEqual({ kind: "send", version: 4, text: "newer" });
  });
  it("that does not come is waited for and asked for again", () => {
    const then = stepped(SENDING, { kind: "no-answer", message: "gone" });
    expect(then.next.phase).toEqual({ kind: "failed", message: "gone" });
    expect(then.next.unanswered).toBe("new");
    expect(then.effects).toEqual(["wait"]);
  });
  it("that refuses is told, and what was entered stays", () => {
    const then = stepped(SENDING, { kind: "refused", problems: [] });
    expect(then.phase).toBe("refused");
    expect(then.next.draft).toBe("new");
    expect(then.effects).toEqual(["keep-draft"]);
  });
  it("that refuses what was changed meanwhile sends the change", () => {
    const s = step(SENDING, { kind: "changed", draft: "newer" })[0];
    expect(stepped(s, { kind: "refused", problems: [] }).phase).toBe("waiting");
  });
  it("that it was changed elsewhere asks", () => {
    const then = stepped(SENDING, { kind: "conflict", current: THEIRS });
    expect(then.next.phase).toEqual({ kind: "changed-elsewhere", current: THEIRS });
    expect(then.effects).toEqual(["keep-draft"]);
  });
  it("that it is what was sent already is no question", () => {
    expect(stepped(SENDING, { kind: "conflict", current: { version: 9, text: "new" } }).phase).toBe("saved");
  });
  it("to nothing that was sent changes nothing", () => {
    for (const s of ALL.filter((s) => s.phase.kind !== "sending"))
      for (const event of [
        { kind: "taken", kept: THEIRS },
        { kind: "no-answer", message: "" },
        { kind: "refused", problems: [] },
        { kind: "conflict", current: THEIRS },
      ] as SavingEvent[])
        expect(step(s, event)).toEqual([s, []]);
  });
});

describe("a save of which no answer came", () => {
  it("is sent again before what was entered since, so that it is not taken for somebody else's", () => {
    const failed = step(FAILED, { kind: "changed", draft: "newer" })[0];
    const again = stepped(failed, { kind: "due" });
    expect(again.sent).toEqual({ kind: "send", version: 3, text: "new" });
    const then = stepped(again.next, { kind: "taken", kept: { version: 4, text: "new" } });
    expect(stepped(then.next, { kind: "due" }).sent).toEqual({ kind: "send", version: 4, text: "newer" });
  });
});

describe("the choice", () => {
  it("for what is here sends it over the version that was shown", () => {
    expect(stepped(ASKED, { kind: "chose", side: "mine" }).sent).toEqual({
      kind: "send",
      version: 5,
      text: "new",
    });
  });
  it("for the other shows it and sends nothing", () => {
    const then = stepped(ASKED, { kind: "chose", side: "theirs" });
    expect(then.next).toMatchObject({ version: 5, draft: "theirs", phase: { kind: "saved" } });
    expect(then.effects).toEqual(["forget-draft"]);
  });
  it("where there is none to make changes nothing", () => {
    for (const s of ALL.filter((s) => s !== ASKED))
      expect(step(s, { kind: "chose", side: "mine" })).toEqual([s, []]);
  });
});

it("the same knife is the same text in whatever order its fields came", () => {
  expect(canonical({ b: [1, { d: 1, c: undefined }], a: null })).toBe(canonical({ b: [1, { d: 1 }] }));
  expect(canonical({ a: [1, 2] })).not.toBe(canonical({ a: [2, 1] }));
});

/**
 * Two tabs and a server that fails: each entry adds a word to the knife. A word is lost only where someone chose,
 * with both states before them, to let it go.
 */
describe("two tabs on one knife and a failing server", () => {
  const words = (text: string) => new Set(text.split(" ").filter(Boolean));
  class World {
    server: Kept = { version: 0, text: "" };
    drafts = new Map<number, Draft>();
    entered = new Set<string>();
    letGo = new Set<string>();
    tabs: ({ s: Saving; flight: { version: number; text: string } | undefined } | undefined)[] = [
      undefined,
      undefined,
    ];
    count = 0;

    open(t: number) {
      this.run(t, opened(this.server, this.drafts.get(t)));
    }
    run(t: number, [s, effects]: [Saving, Effect[]]) {
      const flight = this.tabs[t]?.flight;
      this.tabs[t] = { s, flight };
      for (const e of effects) {
        if (e.kind === "keep-draft") this.drafts.set(t, e.draft);
        if (e.kind === "forget-draft") this.drafts.delete(t);
        if (e.kind === "send") this.tabs[t] = { s, flight: { version: e.version, text: e.text } };
      }
    }
    event(t: number, event: SavingEvent) {
      const tab = this.tabs[t];
      if (tab) this.run(t, step(tab.s, event));
    }
    enter(t: number) {
      const tab = this.tabs[t];
      if (!tab) return;
      const word = `w${++this.count}`;
      this.entered.add(word);
      this.event(t, { kind: "changed", draft: `${tab.s.draft} ${word}`.trim() });
    }
    put(version: number, text: string): SavingEvent {
      if (text === this.server.text) return { kind: "taken", kept: this.server };
      if (version !== this.server.version) return { kind: "conflict", current: this.server };
      this.server = { version: version + 1, text };
      return { kind: "taken", kept: this.server };
    }
    arrive(t: number, how: "answered" | "lost on the way" | "answer lost") {
      const tab = this.tabs[t];
      if (!tab?.flight) return;
      const { version, text } = tab.flight;
      tab.flight = undefined;
      const answer = how === "lost on the way" ? undefined : this.put(version, text);
      this.event(t, how === "answered" && answer ? answer : { kind: "no-answer", message: "" });
    }
    crash(t: number) {
      const flight = this.tabs[t]?.flight;
      this.tabs[t] = undefined;
      // What was on its way when the tab went may arrive all the same.
      if (flight && this.count % 2 === 0) this.put(flight.version, flight.text);
    }
    choose(t: number, side: "mine" | "theirs") {
      const s = this.tabs[t]?.s;
      if (s?.phase.kind !== "changed-elsewhere") return;
      const [keeps, drops] =
        side === "mine" ? [s.draft, s.phase.current.text] : [s.phase.current.text, s.draft];
      for (const w of words(drops)) if (!words(keeps).has(w)) this.letGo.add(w);
      this.event(t, { kind: "chose", side });
    }
    settle() {
      for (let i = 0; i < 12; i++)
        for (const t of [0, 1]) {
          if (!this.tabs[t]) this.open(t);
          this.choose(t, i % 2 === 0 ? "mine" : "theirs");
          this.event(t, { kind: "due" });
          this.arrive(t, "answered");
        }
    }
  }
  const action = fc.record({
    tab: fc.integer({ min: 0, max: 1 }),
    what: fc.constantFrom(
      "open",
      "enter",
      "enter",
      "due",
      "due",
      "answered",
      "answered",
      "lost on the way",
      "answer lost",
      "crash",
      "mine",
      "theirs",
    ),
  });
  it("lose nothing that nobody let go, in 1,000 random courses of events", () => {
    fc.assert(
      fc.property(fc.array(action, { minLength: 5, maxLength: 60 }), (course) => {
        const w = new World();
        w.open(0);
        w.open(1);
        for (const { tab, what } of course) {
          if (what === "open" && !w.tabs[tab]) w.open(tab);
          else if (what === "enter") w.enter(tab);
          else if (what === "due") w.event(tab, { kind: "due" });
          else if (what === "crash") w.crash(tab);
          else if (what === "mine" || what === "theirs") w.choose(tab, what);
          else if (what !== "open") w.arrive(tab, what as "answered");
          const known = new Set([...words(w.server.text), ...w.letGo]);
          for (const t of [0, 1])
            for (const x of words(w.tabs[t]?.s.draft ?? w.drafts.get(t)?.text ?? "")) known.add(x);
          expect([...w.entered].filter((x) => !known.has(x))).toEqual([]);
        }
        w.settle();
        const end = words(w.server.text);
        expect([...w.entered].filter((x) => !end.has(x) && !w.letGo.has(x))).toEqual([]);
        for (const t of [0, 1]) expect(w.tabs[t]?.s.phase.kind).toBe("saved");
      }),
      { numRuns: 1000, seed: 20261128 },
    );
    // It is its thousand courses that count; a busy machine takes its time over them.
  }, 60_000);
});
