import { expect, test, vi } from "vitest";
import type { ListTold } from "../../api/types";
import { anew, inParts } from "./in-parts";

const part = (lines: number[], next?: number, known = false) =>
  ({ rows: 5, told: lines.map((line) => ({ line, known })), kept: lines.length, next }) as ListTold;

const PARTS: Record<number, ListTold> = { 0: part([2, 3], 2), 2: part([4, 5], 4, true), 4: part([6]) };

test("a list is gone over to its end, and each part is told with what came before", async () => {
  const told: number[] = [];
  const whole = await inParts(
    async (from) => PARTS[from] as ListTold,
    new AbortController().signal,
    (so) => told.push(so.done),
  );
  expect(told).toEqual([2, 4, 5]);
  expect(whole.told.map((r) => r.line)).toEqual([2, 3, 4, 5, 6]);
  expect(whole.kept).toBe(5);
  expect(anew(whole)).toBe(3);
});

test("stopped in the middle it asks for nothing more and tells nothing more", async () => {
  const stopping = new AbortController();
  const ask = vi.fn(async (from: number) => {
    if (from === 2) stopping.abort();
    return PARTS[from] as ListTold;
  });
  const told = vi.fn();
  await expect(inParts(ask, stopping.signal, told)).rejects.toThrow();
  expect(ask).toHaveBeenCalledTimes(2);
  expect(told).toHaveBeenCalledOnce();
});
