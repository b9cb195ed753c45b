// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { type ReactNode, useRef } from "react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { api, Refused } from "../../api/client";
import type { Book, MarkSlip, MarksTold } from "../../api/types";
import { pressUndo } from "../../ui/press-undo";
import { ToastProvider } from "../../ui/toasts";
import { BringMarks } from "./bring-marks";
import { OwnMark } from "./change-mark";
import { OwnSteps } from "./own-steps";

const BOOK = {
  makers: [{ id: "thrale", name: "Thrale" }],
  regions: [{ id: "UK", name: "Britain" }],
  choices: {
    technique: [{ id: "struck", label: "struck" }],
    layout: [{ id: "straight", label: "straight" }],
    sourceKind: [
      { id: "reference-book", label: "A reference book" },
      { id: "forum", label: "A forum" },
    ],
  },
} as unknown as Book;

const SLIP = {
  maker: "Thrale",
  lines: ["THRALE"],
  pile: [],
  etch: [],
  technique: "struck",
  everyBlade: false,
  from: 1900,
  to: 1910,
  give: 2,
  sourceKind: "forum",
  source: "A list",
} as unknown as MarkSlip;

const TOLD = {
  read: {
    encoding: "UTF-8",
    separator: "comma",
    headed: true,
    columns: [
      { title: "Stamp", field: "lines", sample: "THRALE" },
      { title: "Dates", field: "years", sample: "1900-1910" },
    ],
    rows: [
      {
        line: 4,
        problems: [{ field: "from", given: "../1941", accepted: "must say from when it was used" }],
        leftover: [],
        known: false,
      },
      { line: 2, slip: SLIP, problems: [], leftover: ["D: blue"], known: false },
      { line: 3, slip: { ...SLIP, lines: ["T & CO"] }, problems: [], leftover: [], known: true },
    ],
  },
  fields: [
    { id: "lines", label: "Mark side" },
    { id: "years", label: "Years of use" },
    { id: "pile", label: "Pile side" },
  ],
  rows: 3,
  good: 2,
  known: 1,
  refused: 1,
  kept: 0,
} as unknown as MarksTold;

const table = vi.spyOn(api, "marksTable");

beforeEach(() => {
  vi.spyOn(api, "ownSteps").mockResolvedValue([]);
  vi.spyOn(api, "undoOwn").mockResolvedValue([] as never);
  vi.spyOn(api, "ownMark").mockResolvedValue(SLIP as never);
});
afterEach(() => {
  cleanup();
  vi.clearAllMocks();
});

const show = (what: ReactNode) =>
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <ToastProvider>{what}</ToastProvider>
    </QueryClientProvider>,
  );

function Table({ onClose }: { onClose: () => void }) {
  const from = useRef<HTMLElement>(null);
  return <BringMarks book={BOOK} from={from} onClose={onClose} />;
}

function paste() {
  const box = screen.getByLabelText(/paste rows/);
  fireEvent.change(box, { target: { value: "Stamp,Dates\nTHRALE,1900-1910" } });
  fireEvent.blur(box);
}

it("shows what each row becomes before anything is on file, what stands in the way first", async () => {
  table.mockResolvedValue(TOLD);
  show(<Table onClose={vi.fn()} />);
  paste();
  expect((await screen.findByTestId("report")).textContent).toBe(
    "3 rows, parted by comma, read as UTF-8. 2 can go on file, 1 of them are there already; 1 cannot yet.",
  );
  const rows = within(screen.getByLabelText("Rows"))
    .getAllByRole("listitem")
    .map((r) => r.textContent);
  expect(rows[0]).toBe("line 4from, ../1941: must say from when it was used. ");
  expect(rows[1]).toBe("line 2THRALE, Thrale, 1900\u20131910, within 2 years (in the note: D: blue)");
  expect(rows[2]).toContain("on file already");
  expect(table.mock.calls[0]?.[3]).toBe(false);
});

it("reads it anew with what holds for all rows, and with a column told otherwise", async () => {
  table.mockResolvedValue(TOLD);
  show(<Table onClose={vi.fn()} />);
  const user = userEvent.setup();
  await user.type(screen.getByLabelText("Maker"), "Thrale{Tab}");
  await user.selectOptions(screen.getByLabelText("Country of a new maker"), "UK");
  await user.selectOptions(screen.getByLabelText("Known from"), "forum");
  expect(table).not.toHaveBeenCalled();
  paste();
  await screen.findByTestId("report");
  expect(table.mock.lastCall?.[1]).toEqual({ maker: "Thrale", region: "UK", sourceKind: "forum" });
  expect(table.mock.lastCall?.[2]).toEqual([]);
  await user.selectOptions(screen.getByLabelText("What Dates is"), "pile");
  await waitFor(() => expect(table.mock.lastCall?.[2]).toEqual(["lines", "pile"]));
});

it("goes on file in one step, with one way back", async () => {
  table.mockResolvedValueOnce(TOLD).mockResolvedValueOnce({ ...TOLD, kept: 1 });
  const onClose = vi.fn();
  show(<Table onClose={onClose} />);
  paste();
  const user = userEvent.setup();
  await user.click(await screen.findByRole("button", { name: "Put 1 mark on file" }));
  await waitFor(() => expect(onClose).toHaveBeenCalled());
  expect(table.mock.lastCall?.[3]).toBe(true);
  expect(await screen.findByText("1 mark on file.")).toBeTruthy();
  await pressUndo(user);
  expect(api.undoOwn).toHaveBeenCalledOnce();
});

it("says why a table cannot be read", async () => {
  table.mockRejectedValue(new Error("That is no table."));
  show(<Table onClose={vi.fn()} />);
  paste();
  expect((await screen.findByRole("alert")).textContent).toBe("That is no table.");
});

it("changes a mark of one's own, and says at its field what cannot be so", async () => {
  const change = vi
    .spyOn(api, "changeMark")
    .mockRejectedValueOnce(
      new Refused(400, "That cannot be used.", [
        { field: "to", given: "1890", accepted: "must not be before" },
      ]),
    )
    .mockResolvedValueOnce({} as never);
  show(<OwnMark mark="thrale-1" lines={["THRALE"]} book={BOOK} />);
  const user = userEvent.setup();
  await user.click(screen.getByRole("button", { name: "Change THRALE" }));
  const until = await screen.findByLabelText("until");
  expect((until as HTMLInputElement).value).toBe("1910");
  await user.clear(until);
  await user.type(until, "1890{Tab}");
  await user.click(screen.getByRole("button", { name: "Keep it so" }));
  expect(await screen.findByText("1890: must not be before.")).toBeTruthy();
  await user.clear(screen.getByLabelText("until"));
  await user.type(screen.getByLabelText("until"), "1914{Tab}");
  await user.click(screen.getByRole("button", { name: "Keep it so" }));
  expect(await screen.findByText("The mark is changed.")).toBeTruthy();
  expect(change.mock.lastCall).toEqual(["thrale-1", { ...SLIP, to: 1914 }]);
});

it("takes a mark of one's own out, with a way back", async () => {
  const remove = vi.spyOn(api, "removeMark").mockResolvedValue({} as never);
  show(<OwnMark mark="thrale-1" lines={["THRALE"]} book={BOOK} />);
  const user = userEvent.setup();
  await user.click(screen.getByRole("button", { name: "Take out THRALE" }));
  expect(await screen.findByText("THRALE is taken off the file.")).toBeTruthy();
  expect(remove).toHaveBeenCalledWith("thrale-1");
  await pressUndo(user);
  expect(api.undoOwn).toHaveBeenCalledOnce();
});

it("tells of each step what was done and to how many", async () => {
  const step = (what: string, many: number, undone = false) => ({
    ...{ id: `${what}${many}`, maker: "Thrale", mark: "THRALE", what, many, undone },
    madeAt: "2026-11-30T12:00:00Z",
  });
  vi.spyOn(api, "ownSteps").mockResolvedValue([
    step("put-on", 40),
    step("changed", 1),
    step("taken-out", 1, true),
  ]);
  show(<OwnSteps />);
  const list = (await screen.findAllByRole("listitem", { hidden: true })).map((l) => l.textContent);
  expect(list).toEqual([
    "taken out: THRALE, of Thrale taken back",
    "changed: THRALE, of Thrale",
    "THRALE, of Thrale, and 39 more out of one table",
  ]);
});
