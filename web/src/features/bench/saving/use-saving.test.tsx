// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { act, renderHook } from "@testing-library/react";
import type { ReactNode } from "react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { api, Refused } from "../../../api/client";
import type { SavedKnife, Specimen } from "../../../api/types";
import { keepDraft, recallDraft } from "./drafts";
import { canonical, RETRY_AFTER_MS, SAVE_AFTER_MS } from "./machine";
import { useSaving } from "./use-saving";

const specimen = (title: string) => ({ title }) as Specimen;
const kept = (version: number, title: string): SavedKnife => ({
  id: "k",
  number: 1,
  version,
  updatedAt: "2026-11-28T12:00:00Z",
  specimen: specimen(title),
});
const around = ({ children }: { children: ReactNode }) => (
  <QueryClientProvider client={new QueryClient()}>{children}</QueryClientProvider>
);
const atTheBench = (saved = kept(0, "a")) =>
  renderHook(() => useSaving(saved, recallDraft("k", "tab", new Set()), "tab"), { wrapper: around });
const pass = (ms: number) => act(() => vi.advanceTimersByTimeAsync(ms));

describe("a knife at the bench", () => {
  const put = vi.spyOn(api, "change");
  beforeEach(() => {
    vi.useFakeTimers();
    localStorage.clear();
    put.mockReset();
  });
  afterEach(() => vi.useRealTimers());

  it("is saved a moment after the last entry, to the version it was made to", async () => {
    put.mockResolvedValue(kept(1, "abc"));
    const { result } = atTheBench();
    act(() => result.current.changed(specimen("ab")));
    await pass(SAVE_AFTER_MS - 50);
    act(() => result.current.changed(specimen("abc")));
    await pass(SAVE_AFTER_MS - 50);
    expect(put).not.toHaveBeenCalled();
    expect(recallDraft("k", "tab", new Set())?.text).toBe(canonical(specimen("abc")));
    await pass(60);
    expect(put).toHaveBeenCalledOnce();
    expect(put.mock.calls[0]?.[1]).toEqual({ version: 0, specimen: { title: "abc" } });
    expect(result.current.saving.phase.kind).toBe("saved");
    expect(recallDraft("k", "tab", new Set())).toBeUndefined();
  });

  it("has the tray looked at again once it is saved", async () => {
    put.mockResolvedValue(kept(1, "b"));
    const queries = new QueryClient();
    const again = vi.spyOn(queries, "invalidateQueries");
    const { result } = renderHook(() => useSaving(kept(0, "a"), undefined, "tab"), {
      wrapper: ({ children }: { children: ReactNode }) => (
        <QueryClientProvider client={queries}>{children}</QueryClientProvider>
      ),
    });
    act(() => result.current.changed(specimen("b")));
    expect(again).not.toHaveBeenCalled();
    await pass(SAVE_AFTER_MS);
    expect(again).toHaveBeenCalledWith({ queryKey: ["tray"] });
  });

  it("is kept in this browser and sent again until an answer comes", async () => {
    put.mockRejectedValueOnce(new Refused(507, "The disk is full.")).mockResolvedValue(kept(1, "b"));
    const { result } = atTheBench();
    act(() => result.current.changed(specimen("b")));
    await pass(SAVE_AFTER_MS);
    expect(result.current.saving.phase).toEqual({ kind: "failed", message: "The disk is full." });
    expect(recallDraft("k", "tab", new Set())?.text).toBe(canonical(specimen("b")));
    await pass(RETRY_AFTER_MS);
    expect(put).toHaveBeenCalledTimes(2);
    expect(result.current.saving.phase.kind).toBe("saved");
  });

  it("asks where it was changed elsewhere, and sends nothing until someone chose", async () => {
    put.mockRejectedValueOnce(new Refused(409, "changed", [], kept(3, "theirs")));
    const { result } = atTheBench();
    act(() => result.current.changed(specimen("mine")));
    await pass(SAVE_AFTER_MS);
    expect(result.current.saving.phase.kind).toBe("changed-elsewhere");
    await pass(10 * RETRY_AFTER_MS);
    expect(put).toHaveBeenCalledOnce();
    put.mockResolvedValue(kept(4, "mine"));
    await act(async () => {
      expect(result.current.choose("mine")).toEqual({ title: "mine" });
    });
    expect(put.mock.calls[1]?.[1]).toEqual({ version: 3, specimen: { title: "mine" } });
  });

  it("takes the other state where that was chosen, and forgets the draft", async () => {
    put.mockRejectedValueOnce(new Refused(409, "changed", [], kept(3, "theirs")));
    const { result } = atTheBench();
    act(() => result.current.changed(specimen("mine")));
    await pass(SAVE_AFTER_MS);
    act(() => {
      expect(result.current.choose("theirs")).toEqual({ title: "theirs" });
    });
    expect(result.current.saving.version).toBe(3);
    expect(recallDraft("k", "tab", new Set())).toBeUndefined();
  });

  it("tells an entry that cannot be used by its field and does not send it again by itself", async () => {
    const problems = [{ field: "closedLength", given: "-3", accepted: "must be a length" }];
    put.mockRejectedValueOnce(new Refused(400, "no", problems));
    const { result } = atTheBench();
    act(() => result.current.changed(specimen("b")));
    await pass(SAVE_AFTER_MS + 3 * RETRY_AFTER_MS);
    expect(result.current.saving.phase).toEqual({ kind: "refused", problems });
    expect(put).toHaveBeenCalledOnce();
  });

  it("is sent at once when the page is left", async () => {
    put.mockResolvedValue(kept(1, "b"));
    const { result } = atTheBench();
    act(() => result.current.changed(specimen("b")));
    act(() => {
      window.dispatchEvent(new Event("pagehide"));
    });
    expect(put).toHaveBeenCalledWith("k", { version: 0, specimen: { title: "b" } }, true);
    await pass(0);
  });

  it("says so where this browser has no room to keep it", () => {
    vi.stubGlobal("localStorage", {
      ...localStorage,
      length: 0,
      getItem: () => null,
      removeItem: () => undefined,
      setItem: () => {
        throw new DOMException("full", "QuotaExceededError");
      },
    });
    const { result } = atTheBench();
    act(() => result.current.changed(specimen("b")));
    expect(result.current.isUnkept).toBe(true);
    vi.unstubAllGlobals();
  });
});

describe("drafts", () => {
  beforeEach(() => localStorage.clear());
  const draft = (text: string) => ({ version: 2, text, sent: undefined });

  it("of a tab that lives are its own", () => {
    keepDraft("k", "other", draft("theirs"));
    expect(recallDraft("k", "tab", new Set(["other"]))).toBeUndefined();
  });
  it("of a tab that is gone are taken over once", () => {
    keepDraft("k", "gone", draft("left"));
    expect(recallDraft("k", "tab", new Set())?.text).toBe("left");
    expect(localStorage.length).toBe(1);
    expect(recallDraft("k", "tab", new Set())?.version).toBe(2);
  });
  it("of this tab come before those left behind, which stay", () => {
    keepDraft("k", "gone", draft("left"));
    keepDraft("k", "tab", draft("mine"));
    expect(recallDraft("k", "tab", new Set())?.text).toBe("mine");
    expect(localStorage.length).toBe(2);
  });
  it("of another knife, or that cannot be read, are none", () => {
    keepDraft("other", "gone", draft("left"));
    localStorage.setItem("snikra.draft.k.broken", "{");
    localStorage.setItem("snikra.draft.k.older", '{"title":"a knife without a version"}');
    expect(recallDraft("k", "tab", new Set())).toBeUndefined();
  });
});
