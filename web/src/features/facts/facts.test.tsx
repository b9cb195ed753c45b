// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider, useQuery } from "@tanstack/react-query";
import { cleanup, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { api, Refused } from "../../api/client";
import { ON_THE_BENCH } from "../../api/own";
import type { Book, Specimen, Verdict } from "../../api/types";
import { ToastProvider } from "../../ui/toasts";
import { FactsOf, FactsOfKnife } from ".";

const BOOK = {
  questions: [
    { id: "bail", station: "frame", label: "Bail", answers: [{ id: "wire", label: "Wire" }] },
    { id: "shield_shape", station: "shield", label: "Shield", answers: [{ id: "oval", label: "Oval" }] },
    { id: "origin", station: "marks", label: "Country", answers: [] },
  ],
  patterns: [{ id: "regular-jack", name: "Regular jack" }],
  choices: {
    sourceKind: [
      { id: "own-knives", label: "My own knives" },
      { id: "catalogue", label: "A catalogue" },
    ],
  },
} as unknown as Book;

const OFFERED = [
  {
    station: "frame",
    what: "Bail: wire",
    slip: {
      kind: "fitting",
      maker: "thrale",
      feature: "bail",
      value: "wire",
      from: 1900,
      to: 1910,
      give: 5,
      sourceKind: "own-knives",
      source: "My own knives",
    },
  },
  {
    station: "number",
    what: "No. 77: regular jack",
    slip: {
      kind: "model",
      maker: "thrale",
      number: "77",
      label: "Regular jack",
      pattern: "regular-jack",
      from: 1900,
      to: 1910,
      give: 0,
      sourceKind: "own-knives",
      source: "My own knives",
    },
  },
];

const said = (headline: string, held: number) => ({
  headline,
  held,
  years: { share: 0.9, pieces: [{ from: 1900, to: 1910 }], from: 1900, to: 1910 },
});

const KNIFE = { dating: { makers: [{ maker: "thrale", label: "Thrale" }] } } as unknown as Verdict;

beforeEach(() => {
  vi.spyOn(api, "ownSteps").mockResolvedValue([]);
  vi.spyOn(api, "factsOffered").mockResolvedValue(OFFERED as never);
  vi.spyOn(api, "lookFact").mockResolvedValue({
    problems: [],
    before: said("Thrale made it", 0.6),
    after: said("Thrale made it", 0.8),
  } as never);
});

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

function show(what: React.ReactNode) {
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <ToastProvider>{what}</ToastProvider>
    </QueryClientProvider>,
  );
  return userEvent.setup();
}

const ofKnife = (station: string, verdict = KNIFE) => (
  <FactsOfKnife verdict={verdict} specimen={{} as Specimen} station={station} book={BOOK} />
);

function AtTheBench({ laidOut, tray }: Record<"laidOut" | "tray", () => Promise<string>>) {
  useQuery({ queryKey: [ON_THE_BENCH, "1"], queryFn: laidOut });
  useQuery({ queryKey: ["tray"], queryFn: tray });
  return ofKnife("frame");
}

test("what a knife shows at a station is offered, with what filing it would do", async () => {
  const filed = vi.spyOn(api, "fileFacts").mockResolvedValue({ maker: "Thrale", what: "", many: 1 });
  const user = show(ofKnife("frame"));
  await user.click(screen.getByRole("button", { name: "Put on file for Thrale" }));
  expect(((await screen.findByLabelText("Which")) as HTMLSelectElement).value).toBe("wire");
  expect((screen.getByLabelText("Fitted from") as HTMLInputElement).value).toBe("1900");
  await waitFor(() => expect(screen.getByTestId("what-it-does").textContent).toContain("80%"));
  await user.selectOptions(screen.getByLabelText("Known from"), "catalogue");
  await user.click(screen.getByRole("button", { name: "Put it on file" }));
  await waitFor(() => expect(filed).toHaveBeenCalled());
  expect(filed.mock.calls[0]?.[0].facts[0]).toMatchObject({
    feature: "bail",
    value: "wire",
    from: 1900,
    sourceKind: "catalogue",
  });
  await waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
});

test("the knife stays laid out on the bench, and the keys where they were", async () => {
  vi.spyOn(api, "fileFacts").mockResolvedValue({ maker: "Thrale", what: "", many: 1 });
  const laidOut = vi.fn().mockResolvedValue("a knife");
  const tray = vi.fn().mockResolvedValue("the tray");
  const user = show(<AtTheBench laidOut={laidOut} tray={tray} />);
  const press = screen.getByRole("button", { name: "Put on file for Thrale" });
  await user.click(press);
  await user.click(await screen.findByRole("button", { name: "Put it on file" }));
  await waitFor(() => expect(tray).toHaveBeenCalledTimes(2));
  expect(laidOut).toHaveBeenCalledTimes(1);
  expect(document.activeElement).toBe(press);
});

test("at the number it is a model, without years of give", async () => {
  const user = show(ofKnife("number"));
  await user.click(screen.getByRole("button", { name: "Put on file for Thrale" }));
  expect(((await screen.findByLabelText("Number as struck")) as HTMLInputElement).value).toBe("77");
  expect(((await screen.findByLabelText("Pattern")) as HTMLSelectElement).value).toBe("regular-jack");
  expect(screen.queryByLabelText("give or take, years")).toBeNull();
});

test("where nothing is new, or the knife is nobody's, there is nothing to file", async () => {
  const user = show(ofKnife("tools"));
  await user.click(screen.getByRole("button", { name: "Put on file for Thrale" }));
  expect(await screen.findByText("Nothing seen here is new of Thrale.")).toBeTruthy();
  cleanup();
  show(ofKnife("frame", { dating: { makers: [{ label: "An American maker" }] } } as unknown as Verdict));
  expect(screen.queryByRole("button")).toBeNull();
});

test("what is amiss is told at its field, and what was written stays", async () => {
  const problem = { field: "to", given: "1880", accepted: "must not be before 1900" };
  vi.spyOn(api, "fileFacts").mockRejectedValue(new Refused(400, "Not so.", [problem]));
  vi.spyOn(api, "lookFact").mockResolvedValue({ problems: [problem] } as never);
  const user = show(<FactsOf maker={{ id: "thrale", name: "Thrale" }} own={[]} book={BOOK} />);
  await user.click(screen.getByRole("button", { name: "Put a fitting on file" }));
  await user.selectOptions(await screen.findByLabelText("What it fitted"), "shield_shape");
  expect(screen.queryByRole("option", { name: "Country" })).toBeNull();
  await user.selectOptions(screen.getByLabelText("Which"), "oval");
  await user.type(screen.getByLabelText("until"), "1880");
  await user.click(screen.getByRole("button", { name: "Put it on file" }));
  await waitFor(() => expect(screen.getByLabelText("until").getAttribute("aria-invalid")).toBe("true"));
  expect(document.activeElement).toBe(screen.getByLabelText("until"));
  expect((screen.getByLabelText("Which") as HTMLSelectElement).value).toBe("oval");
  expect(screen.queryByTestId("what-it-does")).toBeNull();
});

test("another thing fitted leaves no answer of the one before", async () => {
  const user = show(<FactsOf maker={{ id: "thrale", name: "Thrale" }} own={[]} book={BOOK} />);
  await user.click(screen.getByRole("button", { name: "Put a fitting on file" }));
  await user.selectOptions(await screen.findByLabelText("What it fitted"), "bail");
  await user.selectOptions(screen.getByLabelText("Which"), "wire");
  await user.selectOptions(screen.getByLabelText("What it fitted"), "shield_shape");
  expect((screen.getByLabelText("Which") as HTMLSelectElement).value).toBe("");
});

test("one's own facts are told and can be taken out", async () => {
  const gone = vi.spyOn(api, "removeFact").mockResolvedValue({ maker: "Thrale", what: "", many: 1 });
  const own = [
    {
      kind: "model" as const,
      maker: "thrale",
      key: "model 77",
      what: "No. 77, Jack",
      from: 1900,
      to: 1910,
      give: 0,
    },
  ];
  const user = show(<FactsOf maker={{ id: "thrale", name: "Thrale" }} own={own} book={BOOK} />);
  await user.click(screen.getByRole("button", { name: "Take out No. 77, Jack" }));
  expect(gone).toHaveBeenCalledWith("thrale", "model 77");
  expect(await screen.findByText(/is taken off the file/)).toBeTruthy();
});

test("what several knives show is put on file with the years all else on them gives it", async () => {
  const witness = vi.spyOn(api, "ownWitness").mockResolvedValue({
    gone: 3,
    of: 3,
    found: [
      {
        offered: OFFERED[0],
        knives: [
          { number: 4, id: "a" },
          { number: 9, id: "b" },
        ],
        era: { within: { from: 1898, to: 1914 } },
      },
    ],
  } as never);
  const filed = vi.spyOn(api, "fileFacts").mockResolvedValue({ maker: "Thrale", what: "", many: 1 });
  const user = show(
    <MemoryRouter>
      <FactsOf maker={{ id: "thrale", name: "Thrale" }} own={[]} book={BOOK} />
    </MemoryRouter>,
  );
  expect(witness).not.toHaveBeenCalled();
  await user.click(screen.getByRole("button", { name: "What my knives show besides" }));
  expect(await screen.findByText(/Surely seen on your 3 knives/)).toBeTruthy();
  expect(screen.getByRole("link", { name: "9" }).getAttribute("href")).toBe("/bench/b");
  await user.click(screen.getByRole("button", { name: "Put on file: Bail: wire" }));
  await user.click(await screen.findByRole("button", { name: "Put it on file" }));
  await waitFor(() => expect(filed.mock.calls[0]?.[0].facts[0]).toMatchObject({ value: "wire", from: 1900 }));
});

test("where nothing is new or no knife is theirs, that is said", async () => {
  const witness = vi.spyOn(api, "ownWitness").mockResolvedValue({ gone: 0, of: 0, found: [] });
  const user = show(<FactsOf maker={{ id: "thrale", name: "Thrale" }} own={[]} book={BOOK} />);
  const press = screen.getByRole("button", { name: "What my knives show besides" });
  await user.click(press);
  expect(await screen.findByText("No knife of yours is held to be of Thrale.")).toBeTruthy();
  witness.mockResolvedValue({ gone: 60, of: 71, found: [] });
  await user.click(press);
  expect(await screen.findByText(/All that is surely seen on the first 60 of your 71 knives/)).toBeTruthy();
  witness.mockRejectedValue(new Refused(0, "No answer came."));
  await user.click(press);
  expect(await screen.findByText(/could not be looked through. No answer came/)).toBeTruthy();
});

const TOLD = {
  read: {
    encoding: "UTF-8",
    separator: "comma",
    headed: true,
    columns: [{ title: "No", field: "number", sample: "12" }],
    rows: [
      {
        line: 3,
        what: "",
        problems: [{ field: "Years", given: "never", accepted: "must be a date" }],
        leftover: [],
        known: false,
      },
      { line: 2, what: "No. 12, Jack", slip: OFFERED[1]?.slip, problems: [], leftover: [], known: false },
    ],
  },
  fields: [{ id: "number", label: "Number" }],
  rows: 2,
  good: 1,
  known: 0,
  refused: 1,
  kept: 0,
};

test("a list of the maker's models is looked at before it goes on file in one step", async () => {
  const table = vi.spyOn(api, "factsTable").mockResolvedValue(TOLD as never);
  const user = show(<FactsOf maker={{ id: "thrale", name: "Thrale" }} own={[]} book={BOOK} />);
  await user.click(screen.getByRole("button", { name: "Out of a table" }));
  const box = await screen.findByLabelText(/paste rows/);
  await user.click(box);
  await user.paste("No,Years\n12,1905");
  await user.tab();
  expect((await screen.findByLabelText("Rows")).textContent).toContain("Years, never: must be a date.");
  expect(screen.getByLabelText("Rows").textContent).toContain("No. 12, Jack, 1900\u20131910");
  table.mockResolvedValue({ ...TOLD, kept: 1 } as never);
  await user.click(screen.getByRole("button", { name: "Put 1 fact on file" }));
  await waitFor(() => expect(table).toHaveBeenCalledTimes(2));
  expect(table.mock.calls[1]?.[1]).toMatchObject({ maker: "Thrale", sourceKind: "catalogue" });
  expect(table.mock.calls[1]?.[3]).toBe(true);
  expect((await screen.findAllByText(/1 fact on file\./)).length).toBeGreaterThan(0);
});
