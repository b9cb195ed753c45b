import { expect, it } from "vitest";
import type { JournalEntry } from "../../api/types";
import { axisOf } from "./axis";

const entry = (pieces: [number, number][], own?: [number, number]): JournalEntry =>
  ({
    opinion: { span: { pieces: pieces.map(([from, to]) => ({ from, to })) } },
    own: own && { from: own[0], to: own[1] },
  }) as unknown as JournalEntry;

it("runs from before the first year of any entry to after the last, what the collector holds with them", () => {
  const entries = [
    entry([[1902, 1911]]),
    entry(
      [
        [1898, 1900],
        [1905, 1908],
      ],
      [1890, 1925],
    ),
  ];
  expect(axisOf(entries)).toEqual({ from: 1885, to: 1930 });
  expect(axisOf(entries.slice(0, 1))).toEqual({ from: 1897, to: 1916 });
});
