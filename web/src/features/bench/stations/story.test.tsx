// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { useState } from "react";
import { MemoryRouter, Route, Routes } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { api } from "../../../api/client";
import type { Book, Specimen, StoryEvent, StoryTold } from "../../../api/types";
import { PreferencesProvider } from "../../../preferences";
import type { Knife } from "../use-knife";
import { StoryStation } from "./story";

const answers = (...ids: string[]) => ids.map((id) => ({ id, label: id, lookFor: "", why: "" }));
const book = {
  regions: [],
  makers: [],
  choices: { story: answers("bought", "advertised"), source: answers("hearsay", "family") },
  questions: [
    { id: "shield", station: "shield", label: "Shield", asked: "once", answers: answers("bar", "oval") },
    { id: "bail", station: "frame", label: "Bail", asked: "once", answers: answers("wire") },
    { id: "etch", station: "blades", label: "Etch", asked: "each-blade", answers: answers("words") },
  ],
} as unknown as Book;

let last: StoryEvent[] = [];
let note: string | undefined;

function Story({ first }: { first: StoryEvent[] }) {
  const [specimen, setSpecimen] = useState({ story: first } as unknown as Specimen);
  last = specimen.story;
  note = specimen.note;
  const knife = { specimen, problems: [], change: setSpecimen } as unknown as Knife;
  return (
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter initialEntries={["/bench/k1"]}>
        <PreferencesProvider>
          <Routes>
            <Route path="/bench/:id" element={<StoryStation knife={knife} book={book} />} />
          </Routes>
        </PreferencesProvider>
      </MemoryRouter>
    </QueryClientProvider>
  );
}

const TOLD: StoryTold = {
  from: 1910,
  to: 2026,
  links: [
    {
      alone: 0.7,
      chance: 0.1,
      doubted: true,
      with: [],
      text: "The knife speaks against it.",
      ways: [{ kind: "untrue", chance: 0.9, text: "It tells of another knife." }],
    },
  ],
  chain: { tenures: [{ holder: "Ada", own: false, from: 1917, to: 1917, events: [0] }], gaps: [] },
  holders: ["Ada"],
  toldGaps: [],
  questions: [],
};

const choose = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const WHAT = "Such a knife is shown with";

beforeEach(() => {
  vi.spyOn(api, "story").mockResolvedValue(TOLD);
  vi.spyOn(api, "ledger").mockResolvedValue({ currency: "GBP", entries: [], lots: [], years: [] });
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

test("only an advertisement is asked what it shows", () => {
  render(<Story first={[{ kind: "bought", source: "dealer" }]} />);
  expect(screen.queryByLabelText(WHAT)).toBeNull();
  expect(screen.queryByLabelText("What was cut")).toBeNull();
  choose("What", "advertised");
  expect(screen.getByLabelText(WHAT)).toBeTruthy();
});

test("of an engraving it is asked what was cut, and said whom it goes with", async () => {
  vi.spyOn(api, "story").mockResolvedValue({
    ...TOLD,
    links: TOLD.links.map((l) => ({ ...l, letters: "J.R. goes with John Rook." })),
  });
  render(<Story first={[{ kind: "engraved", source: "family" }]} />);
  const cut = screen.getByLabelText("What was cut");
  fireEvent.change(cut, { target: { value: " J.R. " } });
  fireEvent.blur(cut);
  expect(last[0]?.letters).toBe("J.R.");
  await screen.findByText("J.R. goes with John Rook.");
});

test("a look is chosen, then what is shown of it; both are taken back with the answer", () => {
  render(<Story first={[{ kind: "advertised", source: "catalogue", date: "1912" }]} />);
  choose(WHAT, "shield");
  expect(last[0]?.shows).toBeUndefined();
  choose("Shown with: shield", "oval");
  expect(last[0]?.shows).toEqual({ shield: "oval" });
  choose("Shown with: shield", "");
  expect(last[0]?.shows).toBeUndefined();
});

test("several looks may be shown, each asked for once, and what is asked of each blade is not among them", () => {
  render(
    <Story first={[{ kind: "advertised", source: "catalogue", date: "1912", shows: { shield: "bar" } }]} />,
  );
  const left = [...screen.getByLabelText<HTMLSelectElement>(WHAT).options].map((o) => o.value);
  expect(left).toEqual(["", "bail"]);
  choose(WHAT, "bail");
  choose("Shown with: bail", "wire");
  expect(last[0]?.shows).toEqual({ shield: "bar", bail: "wire" });
});

test("what stands there stays when the kind of event is changed", () => {
  render(<Story first={[{ kind: "dated", source: "book", date: "1912", shows: { shield: "bar" } }]} />);
  expect(screen.getByLabelText<HTMLSelectElement>("Shown with: shield").value).toBe("bar");
});

test("a note is kept when its field is left, and is nothing at all where it is emptied", () => {
  render(<Story first={[]} />);
  const field = screen.getByLabelText("Your note");
  fireEvent.change(field, { target: { value: "From the fair.\nNo. 14" } });
  expect(note).toBeUndefined();
  fireEvent.blur(field);
  expect(note).toBe("From the fair.\nNo. 14");
  fireEvent.change(field, { target: { value: "  " } });
  fireEvent.blur(field);
  expect(note).toBeUndefined();
});

test("each event says how far it holds, and who had it stands on the years of the knife", async () => {
  render(<Story first={[{ kind: "held", source: "family", date: "1917", holder: "Ada" }]} />);
  expect(await screen.findByText("The knife speaks against it.")).toBeTruthy();
  expect(screen.getByLabelText("How both can be").textContent).toBe("It tells of another knife.");
  expect(screen.getByLabelText("Who had it").textContent).toContain("Ada");
  expect(screen.getByText("Provenance sheet to print").getAttribute("href")).toBe("/bench/k1/story");
});

test("a knife without a story is held against nothing", () => {
  render(<Story first={[]} />);
  expect(api.story).not.toHaveBeenCalled();
  expect(screen.queryByText("Provenance sheet to print")).toBeNull();
});

test("what cannot be worked out leaves the events to be mended", async () => {
  vi.spyOn(api, "story").mockRejectedValue(new Error("no"));
  render(<Story first={[{ kind: "held", source: "family", date: "1917" }]} />);
  await vi.waitFor(() => expect(api.story).toHaveBeenCalled());
  expect(screen.getByLabelText("Holder")).toBeTruthy();
  expect(screen.queryByLabelText("Who had it")).toBeNull();
});

test("a paper that came as a file is offered where it says something, and is had back as it came", async () => {
  const bill = { id: "p2", role: "paper", type: "pdf", fileName: "Bill of 1936.pdf", sizeBytes: 2050 };
  vi.spyOn(api, "photos").mockResolvedValue([{ id: "p1", role: "mark-side", type: "jpeg" }, bill] as never);
  render(<Story first={[{ kind: "bought", source: "document" }]} />);
  const chosen = (await screen.findByLabelText("The paper that says so")) as HTMLSelectElement;
  expect([...chosen.options].map((o) => o.textContent)).toEqual(["none", "1, mark side", "Bill of 1936.pdf"]);
  fireEvent.change(chosen, { target: { value: "p2" } });
  const link = await screen.findByRole("link", { name: /Save Bill of 1936.pdf \(PDF, 3 kB\)/ });
  expect(link.getAttribute("href")).toBe("/api/photos/p2/original");
  expect(screen.queryByAltText("The paper that says so")).toBeNull();
});

test("the paper that says so is one of the knife's photographs, and one that is gone is told", async () => {
  vi.spyOn(api, "photos").mockResolvedValue([{ id: "p1", role: "box" }] as never);
  render(<Story first={[{ kind: "bought", source: "family" }]} />);
  const chosen = await screen.findByLabelText("The paper that says so");
  fireEvent.change(chosen, { target: { value: "p1" } });
  expect(last[0]?.document).toBe("p1");
  expect((await screen.findByAltText("The paper that says so")).getAttribute("src")).toBe(
    "/api/photos/p1/view",
  );
  cleanup();
  render(<Story first={[{ kind: "bought", source: "family", document: "p9" }]} />);
  expect(await screen.findByText("It is no longer among the photographs.")).toBeDefined();
});
