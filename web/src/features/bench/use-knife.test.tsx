// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { act, renderHook } from "@testing-library/react";
import type { ReactNode } from "react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { api, Refused } from "../../api/client";
import type { SavedKnife, Specimen } from "../../api/types";
import { ToastProvider } from "../../ui/toasts";
import { SAVE_AFTER_MS } from "./saving/machine";
import { useKnife } from "./use-knife";

const saved = (version: number, title: string): SavedKnife => ({
  id: "k",
  number: 7,
  version,
  updatedAt: "2026-11-28T12:00:00Z",
  specimen: { title } as Specimen,
});

const around = ({ children }: { children: ReactNode }) => (
  <QueryClientProvider client={new QueryClient()}>
    <ToastProvider>{children}</ToastProvider>
  </QueryClientProvider>
);

const put = vi.spyOn(api, "change");
const atTheBench = () => renderHook(() => useKnife(saved(0, "a"), undefined, "tab"), { wrapper: around });
const called = (title: string) => (s: Specimen) => ({ ...s, title });

beforeEach(() => {
  vi.useFakeTimers();
  localStorage.clear();
  put.mockReset().mockImplementation(async (_, body) => saved(1, body.specimen.title as string));
  vi.spyOn(api, "examine").mockReturnValue(new Promise(() => {}));
  vi.spyOn(api, "grading").mockReturnValue(new Promise(() => {}));
});
afterEach(() => vi.useRealTimers());

it("goes back step by step and forth again, until something else is entered", () => {
  const { result } = atTheBench();
  expect(result.current.undo).toBeUndefined();
  act(() => result.current.change(called("b")));
  act(() => result.current.change(called("c")));
  act(() => result.current.undo?.());
  expect(result.current.specimen.title).toBe("b");
  act(() => result.current.redo?.());
  expect(result.current.specimen.title).toBe("c");
  act(() => result.current.undo?.());
  act(() => result.current.change(called("d")));
  expect(result.current.redo).toBeUndefined();
  act(() => result.current.undo?.());
  expect(result.current.specimen.title).toBe("b");
});

it("counts what changes nothing as no step", () => {
  const { result } = atTheBench();
  act(() => result.current.change(called("a")));
  expect(result.current.undo).toBeUndefined();
});

const collide = async () => {
  put.mockRejectedValueOnce(new Refused(409, "changed", [], saved(3, "theirs")));
  const { result } = atTheBench();
  act(() => result.current.change(called("mine")));
  await act(() => vi.advanceTimersByTimeAsync(SAVE_AFTER_MS));
  expect(result.current.save.kind).toBe("changed-elsewhere");
  return result;
};

it("keeps what is here where that was chosen, as no step of its own", async () => {
  const mine = await collide();
  await act(async () => mine.current.choose("mine"));
  expect(mine.current.specimen.title).toBe("mine");
  act(() => mine.current.undo?.());
  expect(mine.current.specimen.title).toBe("a");
});

it("takes the other where that was chosen, and leads back to what was here", async () => {
  const theirs = await collide();
  await act(async () => theirs.current.choose("theirs"));
  expect(theirs.current.specimen.title).toBe("theirs");
  act(() => theirs.current.undo?.());
  expect(theirs.current.specimen.title).toBe("mine");
});
