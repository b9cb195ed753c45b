// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, test, vi } from "vitest";
import { api } from "../../api/client";
import type { ListTold } from "../../api/types";
import { ToastProvider } from "../../ui/toasts";
import { BringList } from "./bring-list";

const FIELDS = [
  { id: "title", label: "Its name" },
  { id: "length", label: "Closed length" },
  { id: "note", label: "Note" },
];
const TOLD: ListTold = {
  encoding: "UTF-8",
  separator: "comma",
  headed: true,
  columns: [
    { title: "Name", field: "title", sample: "A jack" },
    { title: "Size", field: "note", sample: "3 3/8" },
  ],
  fields: FIELDS,
  rows: 2,
  told: [
    { line: 2, title: "A jack", taken: [{ field: "Maker", says: "Odd & Sons" }], leftover: [], known: false },
    { line: 3, title: "A pen", taken: [], leftover: ["Size: long"], known: true },
  ],
  kept: 0,
};

const table = vi.spyOn(api, "knivesTable");
const remove = vi.spyOn(api, "removeKnivesTable").mockResolvedValue(undefined as never);
afterEach(() => {
  cleanup();
  vi.clearAllMocks();
});

function show() {
  const onClose = vi.fn();
  render(
    <QueryClientProvider client={new QueryClient()}>
      <ToastProvider>
        <BringList onClose={onClose} />
      </ToastProvider>
    </QueryClientProvider>,
  );
  return onClose;
}

function paste() {
  const box = screen.getByLabelText(/paste rows/);
  fireEvent.change(box, { target: { value: "Name,Size\nA jack,3 3/8" } });
  fireEvent.blur(box);
}

test("what each row becomes is shown before anything is kept, the odd ones first", async () => {
  table.mockResolvedValue(TOLD);
  show();
  paste();
  expect((await screen.findByTestId("report")).textContent).toBe(
    "2 rows, parted by comma, read as UTF-8. 1 is in the tray already. In 1 something is not known and stays in the note.",
  );
  const rows = screen.getAllByRole("listitem").map((r) => r.textContent);
  expect(rows[0]).toBe("line 3A pen in the tray alreadyIn the note: Size: long");
  expect(rows[1]).toBe("line 2A jack; maker Odd & Sons");
  expect(table.mock.calls[0]?.[1].batch).toBeUndefined();
});

test("a column told otherwise is read anew as that", async () => {
  table.mockResolvedValue(TOLD);
  show();
  paste();
  fireEvent.change(await screen.findByLabelText("What Size is"), { target: { value: "length" } });
  await waitFor(() => expect(table).toHaveBeenCalledTimes(2));
  expect(table.mock.calls[1]?.[1].columns).toEqual(["title", "length"]);
});

test("a field left as it was reads nothing anew, and what was told of the columns holds", async () => {
  table.mockResolvedValue(TOLD);
  show();
  paste();
  await screen.findByTestId("report");
  fireEvent.blur(screen.getByLabelText(/paste rows/));
  fireEvent.blur(screen.getByLabelText(/Amounts without/));
  expect(table).toHaveBeenCalledTimes(1);
  fireEvent.change(screen.getByLabelText(/Amounts without/), { target: { value: "dkk" } });
  fireEvent.blur(screen.getByLabelText(/Amounts without/));
  expect(table).toHaveBeenCalledTimes(2);
  expect(table.mock.calls[1]?.[1]).toMatchObject({ currency: "DKK", columns: ["title", "note"] });
});

test("taken in it closes, and one step takes the whole list out again", async () => {
  table.mockResolvedValueOnce(TOLD).mockResolvedValueOnce({ ...TOLD, kept: 1 });
  const onClose = show();
  paste();
  fireEvent.click(await screen.findByRole("button", { name: "Add 1 knife" }));
  await waitFor(() => expect(onClose).toHaveBeenCalled());
  const { batch, columns } = table.mock.calls[1]?.[1] ?? {};
  expect(columns).toEqual(["title", "note"]);
  fireEvent.click(await screen.findByRole("button", { name: /Undo/, hidden: true }));
  await waitFor(() => expect(remove).toHaveBeenCalledExactlyOnceWith(batch));
});

test("where a part fails what came in before it goes out again, and it is said", async () => {
  table
    .mockResolvedValueOnce(TOLD)
    .mockResolvedValueOnce({ ...TOLD, kept: 1, next: 500 })
    .mockRejectedValueOnce(new Error("The disk is full."));
  const onClose = show();
  paste();
  fireEvent.click(await screen.findByRole("button", { name: "Add 1 knife" }));
  expect((await screen.findByRole("alert")).textContent).toBe("The disk is full.");
  await waitFor(() => expect(remove).toHaveBeenCalledExactlyOnceWith(table.mock.calls[1]?.[1].batch));
  expect(onClose).not.toHaveBeenCalled();
});

test("a long list shows how far it is and can be stopped", async () => {
  table.mockResolvedValueOnce({ ...TOLD, rows: 900, next: 500 }).mockReturnValueOnce(new Promise(() => {}));
  show();
  paste();
  fireEvent.click(await screen.findByRole("button", { name: "Stop" }));
  const signal = table.mock.calls[1]?.[2];
  expect(signal?.aborted).toBe(true);
});
