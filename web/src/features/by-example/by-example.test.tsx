// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { api, Refused } from "../../api/client";
import type { Book, OneMaker, Verdict } from "../../api/types";
import { pressUndo } from "../../ui/press-undo";
import { ToastProvider } from "../../ui/toasts";
import { ByExample, OwnScheme, TeachIts } from ".";

const BOOK = {
  signs: [
    { id: "letter", counted: false, forms: [] },
    { id: "bar", counted: true, forms: [] },
  ],
  bolsters: [],
  shields: [],
  frames: [{ id: "swell-end", name: "swell-end" }],
  questions: [{ id: "handle_material", answers: [{ id: "stag", label: "Stag" }] }],
  choices: { sourceKind: [{ id: "own-knives", label: "My own knives" }] },
} as unknown as Book;

const MAKER = { id: "thrale", name: "Thrale" } as unknown as OneMaker;

const DOWN = {
  kind: "count-down",
  from: 1949,
  to: 1950,
  start: 8,
  letters: [],
  table: {},
  share: 0.9,
  odd: [2],
  years: [
    { year: 1949, codes: ["8"] },
    { year: 1950, codes: ["7"] },
  ],
  why: "One ground off.",
};

const FOUND = {
  guesses: [
    DOWN,
    { ...DOWN, kind: "table", share: 0.1, odd: [], start: undefined, table: { 8: [1949] }, why: "Whatever." },
  ],
  settling: { written: "6", first: 1951 },
};

const NUMBERS = {
  ways: [
    {
      share: 0.8,
      fields: [
        {
          width: 2,
          meaning: "frame",
          label: "Frame",
          mark: false,
          optional: false,
          codes: [{ code: "14", label: "Swell-end", values: ["swell-end"], supposed: false }],
          odd: [],
        },
        {
          width: 1,
          label: "",
          mark: true,
          optional: false,
          codes: [{ code: "/", label: "", values: [] }],
          odd: [],
        },
        {
          width: 1,
          meaning: "blades",
          label: "Blades",
          mark: false,
          optional: false,
          codes: [{ code: "3", label: "3 blades", values: ["3"], supposed: true }],
          odd: [],
        },
      ],
    },
  ],
  unlike: [1],
  settling: { knife: "2 blades, stag", first: "14/2", second: "14/4" },
};

beforeEach(() => {
  vi.spyOn(api, "ownSteps").mockResolvedValue([]);
  vi.spyOn(api, "lookCodes").mockResolvedValue(FOUND as never);
  vi.spyOn(api, "ownExamples").mockResolvedValue({
    codes: [
      { knife: 3, sign: "bar", written: "8", years: "1949" },
      { knife: 4, sign: "bar", written: "7", years: "1950" },
    ],
    numbers: [{ knife: 3, number: "14/2", shows: { blades: "2", shield: "bar" } }],
    numbered: true,
  });
});

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

async function open(what: "codes" | "numbers") {
  const user = userEvent.setup();
  render(
    <QueryClientProvider client={new QueryClient()}>
      <ToastProvider>
        <ByExample what={what} maker={MAKER} book={BOOK} />
      </ToastProvider>
    </QueryClientProvider>,
  );
  await user.click(screen.getByRole("button"));
  return { user, sheet: within(await screen.findByRole("dialog")) };
}

test("codes of one's own knives stand there already, and what does not fit is marked", async () => {
  const look = vi.spyOn(api, "lookCodes").mockResolvedValue(FOUND as never);
  const { user, sheet } = await open("codes");
  expect(sheet.getByText("from No. 3")).toBeDefined();
  await sheet.findByText(/One fewer each year, 8 in 1949/);
  expect(look.mock.lastCall?.[0]).toEqual({
    sign: "bar",
    examples: [
      { written: "8", years: "1949" },
      { written: "7", years: "1950" },
    ],
  });
  expect(sheet.queryByText("does not fit")).toBeNull();
  await user.type(sheet.getByLabelText("How many, row 3"), "2");
  await user.type(sheet.getByLabelText("Made, row 3"), "1970{Tab}");
  await sheet.findByText("does not fit");
  expect(look.mock.lastCall?.[0].examples).toHaveLength(3);
  expect(sheet.getByText(/by the first/).textContent).toContain("6 is of 1951 by the first way, not told");
});

test("the way chosen is put on file as it was shown, and comes off again", async () => {
  vi.spyOn(api, "lookCodes").mockResolvedValue(FOUND as never);
  const file = vi.spyOn(api, "fileCode").mockResolvedValue({ maker: "Thrale", what: "Bars" });
  const undo = vi.spyOn(api, "undoOwn").mockResolvedValue([]);
  const { user, sheet } = await open("codes");
  const ways = await sheet.findAllByRole("radio");
  await user.click(ways[1] as HTMLElement);
  await user.click(sheet.getByText("Put it on file"));
  await waitFor(() =>
    expect(file.mock.lastCall?.[0]).toMatchObject({
      maker: "thrale",
      sourceKind: "own-knives",
      code: { label: "Bars", sign: "bar", kind: "table", from: 1949, to: 1950, table: { 8: [1949] } },
    }),
  );
  expect(file.mock.lastCall?.[0].code).not.toHaveProperty("start");
  expect(screen.queryByRole("dialog")).toBeNull();
  await pressUndo(user);
  await waitFor(() => expect(undo).toHaveBeenCalledOnce());
});

test("a row that is refused is told at the row, and one that is refused at the end stays open", async () => {
  vi.spyOn(api, "lookCodes").mockRejectedValue(
    new Refused(400, "One entry cannot be used.", [
      { field: "examples[1].years", given: "soon", accepted: "must be a year" },
    ]),
  );
  const { user, sheet } = await open("codes");
  expect(await sheet.findByText("soon: must be a year.")).toBeDefined();
  expect(sheet.queryByText("Put it on file")).toBeNull();
  await user.click(sheet.getByRole("button", { name: "Remove row 2" }));
  expect(sheet.getByText("With two examples it begins to tell.")).toBeDefined();
});

test("what is known of its use is asked for with the examples", async () => {
  const look = vi.spyOn(api, "lookCodes").mockResolvedValue(FOUND as never);
  vi.spyOn(api, "fileCode").mockRejectedValue(new Refused(400, "Its name is taken."));
  const { user, sheet } = await open("codes");
  await user.clear(await sheet.findByLabelText("until"));
  await user.type(sheet.getByLabelText("until"), "1956{Tab}");
  await waitFor(() => expect(look.mock.lastCall?.[0]).toMatchObject({ to: 1956 }));
  await user.click(sheet.getByText("Put it on file"));
  expect((await sheet.findByRole("alert")).textContent).toBe("It is not on file. Its name is taken.");
});

test("a year that is none is told at its field, and can be mended there", async () => {
  vi.spyOn(api, "lookCodes").mockImplementation(async (asked) => {
    if (asked.from === undefined) return FOUND as never;
    throw new Refused(400, "One entry cannot be used.", [
      { field: "from", given: `${asked.from}`, accepted: "must be a year from 1700 to 2100" },
    ]);
  });
  const { user, sheet } = await open("codes");
  await sheet.findAllByRole("radio");
  await user.clear(sheet.getByLabelText("In use from"));
  await user.type(sheet.getByLabelText("In use from"), "19x{Tab}");
  expect(await sheet.findByText("19x: must be a year from 1700 to 2100.")).toBeDefined();
  expect(sheet.queryByText("Put it on file")).toBeNull();
  await user.clear(sheet.getByLabelText("In use from"));
  await user.tab();
  await sheet.findAllByRole("radio");
  expect((sheet.getByLabelText("In use from") as HTMLInputElement).value).toBe("1949");
});

test("numbers are asked with all one's own knives show, and are put on file field by field", async () => {
  const look = vi.spyOn(api, "lookNumbers").mockResolvedValue(NUMBERS as never);
  const file = vi.spyOn(api, "fileNumbers").mockResolvedValue({ maker: "Thrale", what: "pattern numbers" });
  const { user, sheet } = await open("numbers");
  await user.type(sheet.getByLabelText("Number, row 2"), "22/4{Tab}");
  await user.selectOptions(sheet.getByLabelText("Handle, row 2"), "stag");
  await sheet.findByText("Frame in 2 places, then blades in one place");
  expect(look.mock.lastCall?.[0].examples).toEqual([
    { number: "14/2", shows: { blades: "2", shield: "bar" } },
    { number: "22/4", shows: { handle_material: "stag" } },
  ]);
  expect(sheet.getAllByText("does not fit")).toHaveLength(1);
  expect(sheet.getByText("supposed")).toBeDefined();
  expect(sheet.getByText("It goes in place of the way that is on file now.")).toBeDefined();
  expect(sheet.getByText(/by the first/).textContent).toContain("2 blades, stag: 14/2 by the first way");
  await user.click(sheet.getByText("Put it on file"));
  await waitFor(() => expect(file).toHaveBeenCalledOnce());
  const fields = file.mock.lastCall?.[0].fields as unknown as Record<string, unknown>[];
  expect(fields.map((f) => [f.id, f.meaning, f.width])).toEqual([
    ["frame", "frame", 2],
    ["part-2", undefined, 1],
    ["blades", "blades", 1],
  ]);
  expect(fields[0]?.codes).toEqual({ "14": { label: "Swell-end", values: ["swell-end"] } });
});

test("at the bench the likeliest maker is taught, and one that is not on file is not", async () => {
  const show = (maker: string | undefined) =>
    render(
      <QueryClientProvider client={new QueryClient()}>
        <TeachIts
          what="codes"
          knife={{ dating: { makers: [{ maker, label: "Thrale" }] } } as unknown as Verdict}
          book={BOOK}
        />
      </QueryClientProvider>,
    );
  show(undefined);
  expect(screen.queryByRole("button")).toBeNull();
  cleanup();
  show("thrale");
  await userEvent.setup().click(screen.getByRole("button", { name: "A code by example" }));
  await screen.findByRole("dialog");
  expect(api.ownExamples).toHaveBeenCalledWith("thrale");
});

test("what one put on file oneself is taken out by its name", async () => {
  const user = userEvent.setup();
  const remove = vi.fn().mockResolvedValue({});
  render(
    <QueryClientProvider client={new QueryClient()}>
      <ToastProvider>
        <OwnScheme name="Bars" remove={remove} />
      </ToastProvider>
    </QueryClientProvider>,
  );
  await user.click(screen.getByRole("button", { name: "Take out Bars" }));
  expect(remove).toHaveBeenCalledOnce();
  expect(await screen.findByText("Bars is taken off the file.")).toBeDefined();
});
