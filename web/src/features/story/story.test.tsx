// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, within } from "@testing-library/react";
import { MemoryRouter, Route, Routes } from "react-router";
import { afterEach, expect, test, vi } from "vitest";
import { api } from "../../api/client";
import type { Book, LedgerTold, SavedKnife, StoryTold, Verdict } from "../../api/types";
import { PreferencesProvider } from "../../preferences";
import { ProvenanceSheet } from ".";
import { StoryAxis } from "./axis";
import { linesOf } from "./from-ledger";

vi.mock("../sheet/knife-drawn", () => ({ KnifeDrawn: () => null }));

const link = (text: string, doubted = false): StoryTold["links"][number] => ({
  when: "about 1917",
  alone: 0.7,
  chance: 0.6,
  doubted,
  with: doubted ? [1] : [],
  text,
  ways: [],
});
const STORY: StoryTold = {
  from: 1900,
  to: 2026,
  made: { share: 0.9, pieces: [{ from: 1950, to: 1960 }] },
  links: [link("It goes with it."), link("It speaks against it.", true)],
  chain: {
    tenures: [
      { own: true, from: 2001, to: 2026, surely: { from: 2001, to: 2026 }, events: [0] },
      { holder: "Ada", own: false, from: 1912, to: 1922, events: [1] },
    ],
    gaps: [{ from: 1922, to: 2001, first: false }],
  },
  holders: ["In this collection", "Ada"],
  toldGaps: ["1922 to 2001: nothing is known."],
  questions: [{ station: "story", code: "two-holders", about: [], text: "Which?", conflict: false }],
};

const KNIFE = {
  id: "k1",
  number: 7,
  version: 1,
  specimen: {
    title: "The carried one",
    story: [
      { kind: "bought", source: "own-record", date: "2001", price: 45, currency: "GBP" },
      { kind: "held", source: "family", teller: "Bo", holder: "Ada", note: "In the war." },
    ],
  },
} as unknown as SavedKnife;
const VERDICT = {
  pattern: { title: "Jack", tradeTitle: "Jack" },
  sketch: {},
  dating: {
    opinion: { headline: "Ada & Bo made it", held: 0.8, years: { pieces: [{ from: 1950, to: 1960 }] } },
  },
} as unknown as Verdict;
const choice = (id: string, label: string) => ({ id, label });
const BOOK = {
  choices: {
    story: [choice("bought", "Bought"), choice("held", "Held")],
    source: [choice("own-record", "Own record"), choice("family", "Family")],
  },
} as unknown as Book;

const LEDGER = {
  currency: "GBP",
  entries: [
    {
      id: "e1",
      entry: {
        kind: "bought",
        date: "2001-05-01",
        who: "a fair",
        in: [{ id: "p1", knife: "k1" }, { id: "p2" }],
      },
    },
    { id: "e2", entry: { kind: "sold", date: "2009", in: [], out: [{ piece: "p1" }] } },
  ],
  lots: [
    {
      knives: [
        { piece: "p1", knife: "k1", lot: "e1", out: "e2", cost: 12.5, back: 30 },
        { piece: "p2", lot: "e1", cost: 12.5 },
      ],
    },
  ],
} as unknown as LedgerTold;

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

const show = (knife: SavedKnife, story: StoryTold | Error) => {
  vi.spyOn(api, "knife").mockResolvedValue(knife);
  vi.spyOn(api, "ledger").mockResolvedValue(LEDGER);
  vi.spyOn(api, "examine").mockResolvedValue(VERDICT);
  const told = vi.spyOn(api, "story");
  if (story instanceof Error) told.mockRejectedValue(story);
  else told.mockResolvedValue(story);
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter initialEntries={["/bench/k1/story"]}>
        <PreferencesProvider>
          <Routes>
            <Route path="/bench/:id/story" element={<ProvenanceSheet book={BOOK} />} />
          </Routes>
        </PreferencesProvider>
      </MemoryRouter>
    </QueryClientProvider>,
  );
};

test("holders and gaps stand in the order of time under the years of the knife", () => {
  render(<StoryAxis story={STORY} />);
  const rows = screen.getAllByRole("listitem").map((row) => row.textContent);
  expect(rows).toEqual([
    "The knife, by all but its story1950\u20131960",
    "Ada1912\u20131922",
    "1922 to 2001: nothing is known.",
    "In this collection2001\u2013today",
  ]);
});

test("what is doubted is drawn in red lead, what is sure is solid", () => {
  render(<StoryAxis story={STORY} />);
  const [, ada, , own] = screen.getAllByRole("listitem");
  const strokes = (row: HTMLElement | undefined) =>
    [...(row?.querySelectorAll("g[stroke]") ?? [])].map((g) => g.getAttribute("stroke"));
  expect(strokes(ada)).toEqual(["var(--color-lead)"]);
  expect(strokes(own)).toEqual(["var(--color-ink)"]);
  expect(ada?.querySelectorAll("g path")).toHaveLength(1);
  expect(own?.querySelectorAll("g path")).toHaveLength(2);
});

test("a story that tells of nobody has no axis", () => {
  render(<StoryAxis story={{ ...STORY, chain: { tenures: [], gaps: [] } }} />);
  expect(screen.queryByLabelText("Who had it")).toBeNull();
});

test("the sheet gives each link with its source and how far it is so", async () => {
  show(KNIFE, STORY);
  const links = within(await screen.findByLabelText("Links")).getAllByRole("listitem");
  expect(links[0]?.textContent).toContain("Bought, about 1917, \u00a345.");
  expect(links[0]?.textContent).toContain("Own record.");
  expect(links[0]?.textContent).toContain("It goes with it.");
  expect(links[1]?.textContent).toContain("Family, told by Bo. In the war.");
  expect(links[1]?.textContent).toContain("One witness with event 2.");
  expect(screen.getByLabelText("To ask again").textContent).toBe("Which?");
  expect(screen.getByText("Ada & Bo made it").nextSibling?.textContent).toBe("1950\u20131960, 80%");
});

test("the paper that says so stands with its link, and one that is gone is said to be", async () => {
  const papered = {
    ...KNIFE,
    specimen: { ...KNIFE.specimen, story: [{ kind: "held", source: "family", document: "p1" }] },
  };
  show(papered as unknown as SavedKnife, { ...STORY, links: [] });
  const paper = await screen.findByAltText("The paper that says so, link 1");
  expect(paper.closest("a")?.getAttribute("href")).toBe("/api/photos/p1/original");
  fireEvent.error(paper);
  expect(screen.getByText("Its paper is no longer among the photographs.")).toBeDefined();
});

test("a paper that came as a file stands with its name, and is had back as it came", async () => {
  const bill = { id: "p1", role: "paper", type: "pdf", fileName: "Bill.pdf", sizeBytes: 900 };
  vi.spyOn(api, "photos").mockResolvedValue([bill] as never);
  const papered = {
    ...KNIFE,
    specimen: { ...KNIFE.specimen, story: [{ kind: "held", source: "document", document: "p1" }] },
  };
  show(papered as unknown as SavedKnife, { ...STORY, links: [] });
  const paper = await screen.findByRole("link", { name: "Save Bill.pdf (PDF, 1 kB)" });
  expect(paper.getAttribute("href")).toBe("/api/photos/p1/original");
  expect(screen.queryByAltText(/The paper that says so/)).toBeNull();
});

test("letters that end in a point get no second one", async () => {
  const cut = {
    ...KNIFE,
    specimen: { ...KNIFE.specimen, story: [{ kind: "held", source: "family", letters: "J.R." }] },
  };
  show(cut as unknown as SavedKnife, { ...STORY, links: [] });
  const [link] = within(await screen.findByLabelText("Links")).getAllByRole("listitem");
  expect(link?.textContent).toContain("Held, \u201cJ.R.\u201dFamily.");
});

test("a knife of which nothing is known says so", async () => {
  const bare = { ...KNIFE, specimen: { ...KNIFE.specimen, story: [] } };
  show(bare, { ...STORY, links: [], chain: { tenures: [], gaps: [] }, questions: [] });
  expect(await screen.findByText("Nothing is known yet of where it has been.")).toBeTruthy();
});

test("what cannot be worked out says so and can be tried again", async () => {
  show(KNIFE, new Error("The server does not answer."));
  expect(await screen.findByText(/The provenance sheet could not be made/)).toBeTruthy();
});

test("what it cost and what came back is the ledger's", async () => {
  expect(linesOf(LEDGER, "k1").map((l) => l.text)).toEqual([
    "Bought 2001-05-01, a fair, one of 2, cost \u00a312.50",
    "Sold 2009, came back \u00a330.00",
  ]);
  expect(linesOf(LEDGER, "k2")).toEqual([]);
  show(KNIFE, STORY);
  expect((await screen.findByLabelText("In the ledger")).textContent).toContain("Bought 2001-05-01");
});

test("where it was found is kept vague for others to read, as the server says", async () => {
  const found = { kind: "found", source: "family", place: "Mill field, Overwater", note: "Third oak." };
  const knife = { ...KNIFE, specimen: { ...KNIFE.specimen, story: [found] } } as unknown as SavedKnife;
  show(knife, { ...STORY, links: [{ ...link("So it is told."), vaguely: { place: "Overwater" } }] });
  const links = await screen.findByLabelText("Links");
  expect(links.textContent).toContain("Mill field, Overwater");
  fireEvent.click(screen.getByLabelText("Keep vague where it was found, for others to read"));
  expect(links.textContent).toContain(", Overwater.");
  expect(links.textContent).not.toMatch(/Mill field|Third oak/);
});

test("without a find nothing is offered to keep vague", async () => {
  show(KNIFE, STORY);
  await screen.findByLabelText("Links");
  expect(screen.queryByRole("checkbox")).toBeNull();
});
