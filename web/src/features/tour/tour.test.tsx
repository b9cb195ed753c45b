// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { api } from "../../api/client";
import type { Book, Specimen, TourTold } from "../../api/types";
import { isEntered, withEntered } from "./entered";
import { TourStrip } from "./strip";

const FRAME = { value: "swell-end", sureness: "sure" };
const BONE = { value: "bone", sureness: "sure" };
const TOUR = {
  sketch: { closedLengthMm: 90, measured: true, blades: [], back: { springs: 1, counted: false, tangs: [] } },
  begins: {},
  steps: [
    {
      id: "shape",
      station: "pattern",
      asks: "Choose its outline.",
      told: "It has a name.",
      known: { frame: FRAME },
    },
    {
      id: "handle",
      station: "handle",
      asks: "Feel the covers.",
      told: "It has its years.",
      known: { frame: FRAME, seen: { handle_material: BONE } },
    },
    {
      id: "end",
      station: "value",
      asks: "That is all.",
      known: { frame: FRAME, seen: { handle_material: BONE } },
    },
  ],
} as unknown as TourTold;
const BOOK = {
  bolsters: [],
  shields: [],
  frames: [],
  blades: [],
  stations: [
    { id: "pattern", name: "Pattern", key: "1", drawnLarge: true },
    { id: "handle", name: "Handle", key: "6", drawnLarge: false },
  ],
} as unknown as Book;

function OnBench({ entered, onGo }: { entered: object; onGo: (to: string) => void }) {
  const [specimen, setSpecimen] = useState(entered as Specimen);
  return (
    <TourStrip id="k1" specimen={specimen} change={setSpecimen} station="pattern" onGo={onGo} book={BOOK} />
  );
}

const show = (entered: object, onGo = vi.fn()) => {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <OnBench entered={entered} onGo={onGo} />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return onGo;
};

beforeEach(() => {
  localStorage.setItem("snikra.tour", "k1");
  vi.spyOn(api, "tour").mockResolvedValue(TOUR);
});
afterEach(() => {
  cleanup();
  localStorage.clear();
  vi.restoreAllMocks();
});

it("takes an answer however surely it is given and however it is written", () => {
  const asked = { marks: [{ lines: ["QUAMBERT"] }], seen: { handle: BONE } };
  const likely = { handle: { value: "bone", sureness: "likely" } };
  expect(isEntered({ marks: [{ lines: ["Quambert ", "more"] }], seen: likely }, asked)).toBe(true);
  expect(isEntered({ marks: [{ lines: ["QUAMBER"] }], seen: likely }, asked)).toBe(false);
  expect(isEntered({ marks: [], seen: likely }, asked)).toBe(false);
  expect(isEntered({}, { marks: [], note: null })).toBe(true);
});

it("puts what is asked over what is there and leaves the rest", () => {
  const before = { title: "Mine", seen: { jigging: BONE }, blades: [{ type: "pen" }, { type: "saw" }] };
  expect(withEntered(before, { seen: { handle: BONE }, blades: [{ type: "clip" }], marks: [] })).toEqual({
    title: "Mine",
    seen: { jigging: BONE, handle: BONE },
    blades: [{ type: "clip" }, { type: "saw" }],
    marks: [],
  });
  expect(before.seen).toEqual({ jigging: BONE });
});

it("goes on by itself, says what the last look did, and leads to the next station", async () => {
  const user = userEvent.setup();
  const onGo = show({});
  expect(await screen.findByText("Choose its outline.")).toBeTruthy();
  expect(screen.queryByText("To Pattern")).toBeNull();
  await user.click(screen.getByText("Answer it for me"));
  expect(screen.getByText("It has a name.")).toBeTruthy();
  await user.click(screen.getByText(/To Handle/));
  expect(onGo).toHaveBeenCalledWith("handle");
  await user.click(screen.getByText("Answer it for me"));
  expect(screen.getByText("That is all.")).toBeTruthy();
  expect(screen.queryByText("Answer it for me")).toBeNull();
});

it("ends when it is told to, and comes back to no other knife", async () => {
  show({});
  await userEvent.setup().click(await screen.findByText("End the tour"));
  expect(screen.queryByLabelText("Tour")).toBeNull();
  expect(localStorage.getItem("snikra.tour")).toBeNull();
  cleanup();
  localStorage.setItem("snikra.tour", "k2");
  show({});
  await new Promise((done) => setTimeout(done, 20));
  expect(screen.queryByLabelText("Tour")).toBeNull();
});
