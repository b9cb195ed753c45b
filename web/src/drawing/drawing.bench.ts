import { bench, describe } from "vitest";
import type { Book, Sketch } from "../api/types";
import { drawClosed } from "./closed";
import { placed } from "./geometry";
import { drawOpen } from "./open";

const even = (high: number): [number, number, number][] =>
  Array.from({ length: 24 }, (_, i) => [
    i / 23,
    high * Math.sin((Math.PI * i) / 23),
    -high * Math.sin((Math.PI * i) / 23),
  ]);
const book = {
  bolsters: [],
  shields: [],
  frames: [
    { id: "even", name: "Even", alsoCalled: [], recognise: "", heightRatio: 0.18, profile: even(0.09) },
  ],
  blades: [
    {
      id: "spear",
      name: "Spear",
      alsoCalled: [],
      kind: "blade",
      recognise: "",
      use: "",
      profile: even(0.09),
      rings: [],
      lines: [],
    },
  ],
} as unknown as Book;
const sketch: Sketch = {
  frame: "even",
  back: { springs: 1, counted: false, tangs: [] },
  closedLengthMm: 98,
  measured: true,
  bolsters: "both-ends",
  handle: "bone-jigged",
  jigging: "deep-cross",
  shield: "pinned",
  blades: [0, 1, 2].map((i) => ({
    type: "spear",
    end: i === 0 ? "A" : "B",
    endSeen: true,
    lengthMm: 70 - 10 * i,
    measured: true,
  })),
};

describe("a knife of three blades in jigged bone", () => {
  bench("open, for the bench", () => {
    drawOpen(sketch, book, 576, 198, 4.6);
  });
  bench("closed, for the tray", () => {
    drawClosed(sketch, book, placed(1.89, [1, 12.5]), 0.9);
  });
});
