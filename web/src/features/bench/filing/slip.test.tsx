// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, render, screen, waitFor } from "@testing-library/react";
import { userEvent } from "@testing-library/user-event";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { api, Refused } from "../../../api/client";
import type { Book, MarkFiled, MarkSlip, Specimen } from "../../../api/types";
import { pressUndo } from "../../../ui/press-undo";
import { ToastProvider } from "../../../ui/toasts";
import { PutOnFile } from "./put-on-file";

const book = {
  makers: [{ id: "veldrake", name: "Veldrake Knife Works" }],
  regions: [{ id: "UK", name: "Britain" }],
  choices: {
    technique: [{ id: "struck", label: "struck" }],
    layout: [{ id: "straight", label: "straight" }],
    sourceKind: [{ id: "own-knives", label: "My own knives" }],
  },
} as unknown as Book;

const first = {
  region: "UK",
  lines: ["GRIM_LOVE"],
  pile: [],
  etch: [],
  everyBlade: false,
  from: 1903,
  to: 1921,
  give: 5,
  sourceKind: "own-knives",
  source: "My own knives",
} as unknown as MarkSlip;

const years = { share: 0.9, pieces: [{ from: 1903, to: 1921 }] };
const told = {
  maker: "Grimblove",
  before: { headline: "A British maker not on file made it", held: 0.84, years },
  after: { headline: "Grimblove made it", held: 0.97, years },
  remarks: [{ maker: "grimblove", text: "no mark from 1904 to 1910" }],
} as unknown as MarkFiled;
const missing = new Refused(400, "That cannot be used.", [
  { field: "maker", given: "nothing", accepted: "must be given" },
]);

beforeEach(() => {
  vi.spyOn(api, "ownSteps").mockResolvedValue([]);
  vi.spyOn(api, "slip").mockResolvedValue(first);
  vi.spyOn(api, "lookMark").mockImplementation(async (_, slip) => {
    return slip.maker ? { problems: [], filed: told } : { problems: missing.problems };
  });
});

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

async function open() {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <ToastProvider>
        <PutOnFile specimen={{} as Specimen} book={book} />
      </ToastProvider>
    </QueryClientProvider>,
  );
  await userEvent.click(screen.getByRole("button", { name: "Put this mark on file" }));
  return screen.findByRole("dialog", { name: "Put this mark on file" });
}

const field = (name: string) => screen.getByRole("textbox", { name }) as HTMLInputElement;

test("the slip comes filled in from the knife, and says nothing of what is missing before it is kept", async () => {
  await open();
  expect(document.activeElement).toBe(screen.getByRole("combobox", { name: "Maker" }));
  expect(field("Line 1 of the mark side").value).toBe("GRIM\u00b7LOVE");
  expect(field("In use from").value).toBe("1903");
  expect(field("Which, by name").value).toBe("My own knives");
  expect(screen.queryByText(/must be given/)).toBeNull();
  expect(screen.getByText(/by all else on it/)).toBeTruthy();
  await userEvent.clear(field("until"));
  await userEvent.type(field("until"), "1914");
  await userEvent.tab();
  expect(screen.queryByText(/by all else on it/)).toBeNull();
});

test("what it does to the knife is told while one writes", async () => {
  await open();
  await userEvent.type(screen.getByRole("combobox", { name: "Maker" }), "Grimblove");
  const does = await screen.findByTestId("what-it-does");
  expect(does.textContent).toContain("A British maker not on file made it 84%");
  expect(does.textContent).toContain("Grimblove made it 97%");
  expect(screen.getByText("No mark from 1904 to 1910.")).toBeTruthy();
});

test("a maker on file is asked neither for its country nor its town", async () => {
  await open();
  expect(screen.getByRole("combobox", { name: "Country" })).toBeTruthy();
  await userEvent.type(screen.getByRole("combobox", { name: "Maker" }), "veldrake knife works");
  expect(screen.queryByRole("combobox", { name: "Country" })).toBeNull();
  expect(screen.queryByRole("textbox", { name: "Town" })).toBeNull();
});

test("kept too early it says what is missing, and no more once that is there", async () => {
  vi.spyOn(api, "fileMark").mockRejectedValue(missing);
  await open();
  await userEvent.click(screen.getByRole("button", { name: "Put it on file" }));
  expect(await screen.findByText("nothing: must be given.")).toBeTruthy();
  await userEvent.type(screen.getByRole("combobox", { name: "Maker" }), "Grimblove");
  await waitFor(() => expect(screen.queryByText("nothing: must be given.")).toBeNull());
});

test("whichever line lacks letters, its side says so, an etch read on the knife too", async () => {
  const amiss = ["lines[4]", "etch[0]"].map((field) => ({
    field,
    given: "A_",
    accepted: `must have all its letters in ${field}`,
  }));
  vi.spyOn(api, "slip").mockResolvedValue({ ...first, etch: ["BE_T"] });
  vi.spyOn(api, "lookMark").mockResolvedValue({ problems: amiss });
  vi.spyOn(api, "fileMark").mockRejectedValue(new Refused(400, "That cannot be used.", amiss));
  await open();
  await userEvent.click(screen.getByRole("button", { name: "Put it on file" }));
  expect(await screen.findByText("Must have all its letters in lines[4].")).toBeTruthy();
  expect(screen.getByText("Must have all its letters in etch[0].")).toBeTruthy();
  expect(field("Line 1 of the etch").value).toBe("BE\u00b7T");
});

test("on file the slip closes, and undo takes the mark off again", async () => {
  const file = vi.spyOn(api, "fileMark").mockResolvedValue(told);
  const undo = vi.spyOn(api, "undoOwn").mockResolvedValue([]);
  await open();
  await userEvent.type(screen.getByRole("combobox", { name: "Maker" }), "Grimblove");
  await userEvent.type(field("Note"), "On a barlow.");
  await userEvent.click(screen.getByRole("button", { name: "Put it on file" }));
  await screen.findByText("The mark of Grimblove is on file.");
  expect(screen.queryByRole("dialog")).toBeNull();
  expect(file.mock.calls[0]?.[1]).toMatchObject({ maker: "Grimblove", note: "On a barlow.", from: 1903 });
  await pressUndo(userEvent.setup());
  expect(undo).toHaveBeenCalledOnce();
});

test("where no answer comes the slip stays as it is and says so", async () => {
  vi.spyOn(api, "fileMark").mockRejectedValue(new Refused(0, "Snikra does not answer."));
  await open();
  await userEvent.type(screen.getByRole("combobox", { name: "Maker" }), "Grimblove");
  await userEvent.click(screen.getByRole("button", { name: "Put it on file" }));
  expect(await screen.findByText("Snikra does not answer.")).toBeTruthy();
  expect((screen.getByRole("combobox", { name: "Maker" }) as HTMLInputElement).value).toBe("Grimblove");
});
