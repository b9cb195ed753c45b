// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { api, Refused } from "../../api/client";
import type { Book, KeptSale, Sale, SaleRoom, TableTold } from "../../api/types";
import { PreferencesProvider } from "../../preferences";
import { perCent } from "../../ui/figure-field";
import { ToastProvider } from "../../ui/toasts";
import { SalesPage } from ".";
import { find } from "./search";

const BOOK = {
  makers: [{ id: "thrale", name: "Thrale Works" }],
  patterns: [{ id: "jack", name: "Jack" }],
  questions: [
    {
      id: "inscription",
      answers: [
        { id: "none", label: "No text" },
        { id: "advertising", label: "Advertising" },
      ],
    },
  ],
  choices: { venue: [{ id: "fair", label: "At a fair" }] },
  condition: {
    grades: [{ id: "good", label: "Good" }],
    box: { grades: [] },
    alterations: [
      { id: "rehandled", label: "Handle replaced" },
      { id: "shortened", label: "Blade shortened" },
    ],
  },
} as unknown as Book;

const sale = (
  id: string,
  described: string,
  more: Partial<Sale["knife"]> = {},
  rest: Partial<Sale> = {},
): KeptSale => ({
  id,
  sale: { knife: { described, price: 40, currency: "GBP", ...more }, ...rest },
});

let kept: KeptSale[];
let rooms: SaleRoom[];

function show() {
  vi.spyOn(api, "sales").mockImplementation(async () => kept);
  vi.spyOn(api, "saleRooms").mockImplementation(async () => rooms);
  if (!vi.isMockFunction(api.salePictures)) vi.spyOn(api, "salePictures").mockResolvedValue([]);
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <PreferencesProvider>
        <ToastProvider>
          <MemoryRouter>
            <SalesPage book={BOOK} />
          </MemoryRouter>
        </ToastProvider>
      </PreferencesProvider>
    </QueryClientProvider>,
  );
}

beforeEach(() => {
  rooms = [];
  kept = [
    sale("a", "A jack", { maker: "thrale", pattern: "jack", grade: "good", sold: "2024-05" }),
    sale("b", "A pen knife", { asked: true }, { premium: 20, source: "Autumn list" }),
  ];
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

test("an empty book says what it is for", async () => {
  kept = [];
  show();
  await screen.findByText(/Enter what like knives brought once/);
  expect(screen.queryByRole("table")).toBeNull();
});

test("sales stand with what is known of them, the latest first", async () => {
  show();
  const rows = (await screen.findAllByRole("row")).slice(1);
  expect(rows[1]?.textContent).toContain("A pen knife");
  expect(rows[1]?.textContent).toContain("and 20%, only asked");
  expect(rows[0]?.textContent).toContain("Thrale Works");
  screen.getByText("2 sales that value every knife in the tray");
});

test("words find names, grades and sources alike, without accents", () => {
  const ids = (words: string) => find(kept, words, BOOK).map((s) => s.id);
  expect(ids("")).toEqual(["a", "b"]);
  expect(ids("thrale good")).toEqual(["a"]);
  expect(ids("AUTUMN")).toEqual(["b"]);
  expect(ids("\u00e0utumn")).toEqual(["b"]);
  expect(ids("thrale pen")).toEqual([]);
});

test("a new sale begins in the currency of the last, and is kept once", async () => {
  kept = [sale("a", "A jack", { currency: "EUR" })];
  show();
  const add = vi.spyOn(api, "addSale").mockResolvedValue(sale("c", "x"));
  vi.spyOn(api, "money").mockResolvedValue({ amount: 55 });
  fireEvent.click(await screen.findByText("Add a sale"));
  const sheet = within(screen.getByRole("dialog"));
  fireEvent.click(sheet.getByText("Keep it"));
  await sheet.findByText("must say what was sold.");
  const type = async (label: string, text: string) => {
    fireEvent.change(sheet.getByLabelText(label), { target: { value: text } });
    fireEvent.blur(sheet.getByLabelText(label));
  };
  await type("What was sold", "A congress");
  await type("Price", "55");
  await waitFor(() => expect((sheet.getByLabelText("Price") as HTMLInputElement).value).toBe("55 EUR"));
  fireEvent.click(sheet.getByText("Keep it"));
  await waitFor(() => expect(add).toHaveBeenCalledTimes(1));
  expect(add.mock.calls[0]?.[1].knife).toMatchObject({ described: "A congress", price: 55, currency: "EUR" });
});

test("how long it is, where it was sold and what was done to it are told or left open", async () => {
  show();
  const change = vi.spyOn(api, "changeSale").mockResolvedValue(undefined as never);
  fireEvent.click(await screen.findByText("A jack"));
  const sheet = within(screen.getByRole("dialog"));
  const length = sheet.getByLabelText("Closed length");
  fireEvent.change(length, { target: { value: "3 1/2" } });
  fireEvent.blur(length);
  const choose = (label: string, value: string) =>
    fireEvent.change(sheet.getByLabelText(label), { target: { value } });
  choose("Where it was sold", "fair");
  choose("A text on it", "advertising");
  choose("What was done to it", "rehandled");
  choose("What was done to it", "shortened");
  fireEvent.click(sheet.getByRole("button", { name: "Remove Handle replaced" }));
  fireEvent.click(sheet.getByText("Keep it"));
  await waitFor(() => expect(change).toHaveBeenCalledTimes(1));
  expect(change.mock.calls[0]?.[1].knife).toMatchObject({
    length: "3 1/2 in",
    venue: "fair",
    text: "advertising",
    done: ["shortened"],
  });
});

test("pictures are chosen with the sale, kept with it, and one that is refused leaves the sale open", async () => {
  kept = [sale("a", "A jack", { text: "advertising" })];
  const shown = { id: "p1", type: "jpeg", fileName: "lot.jpg", sizeBytes: 9 };
  vi.spyOn(api, "salePictures").mockResolvedValue([{ sale: "a", photo: shown }] as never);
  vi.spyOn(api, "changeSale").mockResolvedValue(undefined as never);
  const away = vi.spyOn(api, "removePhoto").mockResolvedValue(undefined as never);
  const add = vi.spyOn(api, "addSalePicture").mockImplementation(async (_, file) => {
    if (file.name === "notes.txt")
      throw new Refused(400, "No", [{ field: "file", given: "it", accepted: "must be a picture" }]);
    return shown as never;
  });
  show();
  await screen.findByText("advertising");
  fireEvent.click(await screen.findByText("A jack"));
  const sheet = within(screen.getByRole("dialog"));
  fireEvent.click(await sheet.findByRole("button", { name: "Take away lot.jpg" }));
  await waitFor(() => expect(away).toHaveBeenCalledWith("p1"));
  const files = ["front.jpg", "odd.jpg", "notes.txt"].map((name) => new File(["x"], name));
  fireEvent.change(sheet.getByLabelText("Pictures of the sale to add"), { target: { files } });
  fireEvent.click(sheet.getByRole("button", { name: "Take away odd.jpg" }));
  fireEvent.click(sheet.getByText("Keep it"));
  await sheet.findByText("The sale is kept, a picture is not. notes.txt: must be a picture.");
  expect(add.mock.calls.map(([id, file]) => [id, file.name])).toEqual([
    ["a", "front.jpg"],
    ["a", "notes.txt"],
  ]);
  // What was kept is not sent again.
  expect(sheet.queryByText(/front.jpg, kept/)).toBeNull();
  fireEvent.click(sheet.getByRole("button", { name: "Take away notes.txt" }));
  fireEvent.click(sheet.getByText("Keep it"));
  await waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
  expect(add).toHaveBeenCalledTimes(2);
});

test("that nothing was done to it is another thing than that nobody told", async () => {
  kept = [sale("a", "A jack", { done: ["shortened"], venue: "fair" })];
  show();
  await screen.findByText("at a fair");
  const change = vi.spyOn(api, "changeSale").mockResolvedValue(undefined as never);
  const keep = async (times: number) => {
    const sheet = within(screen.getByRole("dialog"));
    fireEvent.click(sheet.getByText("Keep it"));
    await waitFor(() => expect(change).toHaveBeenCalledTimes(times));
    return change.mock.calls[times - 1]?.[1].knife.done;
  };
  fireEvent.click(screen.getByText("A jack"));
  fireEvent.click(screen.getByRole("button", { name: "Remove Blade shortened" }));
  expect(await keep(1)).toBeUndefined();
  fireEvent.click(screen.getByText("A jack"));
  fireEvent.click(screen.getByRole("button", { name: "Remove Blade shortened" }));
  fireEvent.change(screen.getByLabelText("What was done to it"), { target: { value: "nothing" } });
  expect(await keep(2)).toEqual([]);
});

test("what is refused stays in hand with its field", async () => {
  show();
  vi.spyOn(api, "changeSale").mockRejectedValue(
    new Refused(400, "no", [
      { field: "knife.price", given: "0", accepted: "must be more than 0" },
      { field: "premium", given: "900", accepted: "must be 100 or less" },
    ]),
  );
  fireEvent.click(await screen.findByText("A jack"));
  fireEvent.click(screen.getByText("Keep it"));
  await screen.findByText(/must be more than 0/);
  screen.getByText("On top: must be 100 or less.");
});

test("what a room takes on top is read as people write it, and never left out without a word", async () => {
  show();
  const change = vi.spyOn(api, "changeSale").mockResolvedValue(undefined as never);
  fireEvent.click(await screen.findByText("A jack"));
  const sheet = within(screen.getByRole("dialog"));
  const onTop = sheet.getByLabelText("On top, per cent");
  fireEvent.change(onTop, { target: { value: "a fifth" } });
  fireEvent.blur(onTop);
  fireEvent.click(sheet.getByText("Keep it"));
  await sheet.findByText("a fifth: a share of the price, as 20 or 12.5.");
  expect(change).not.toHaveBeenCalled();
  fireEvent.change(onTop, { target: { value: "12,5 %" } });
  fireEvent.blur(onTop);
  fireEvent.click(sheet.getByText("Keep it"));
  await waitFor(() => expect(change.mock.calls[0]?.[1].premium).toBe(12.5));
});

test("a share is read with either mark and with or without the sign; anything else is not", () => {
  expect(["20", "12.5", "12,5", "20 %", "0.75%"].map(perCent)).toEqual([20, 12.5, 12.5, 20, 0.75]);
  expect(["", "-5", "1/5", "20 GBP", "1.2.3", "2000"].map(perCent)).toEqual(Array(6).fill(undefined));
});

test("a sale is taken out and comes back", async () => {
  show();
  const remove = vi.spyOn(api, "removeSale").mockResolvedValue(undefined as never);
  const restore = vi.spyOn(api, "restoreSale").mockResolvedValue(undefined as never);
  fireEvent.click(await screen.findByText("A jack"));
  fireEvent.click(screen.getByText("Take it out"));
  await waitFor(() => expect(remove).toHaveBeenCalledWith("a"));
  fireEvent.click(await screen.findByText("Undo"));
  await waitFor(() => expect(restore).toHaveBeenCalledWith("a"));
});

const TOLD: TableTold = {
  read: {
    encoding: "UTF-8",
    separator: "comma",
    headed: true,
    columns: [
      { title: "Item", field: "described", sample: "A jack" },
      { title: "Cost", field: "note", sample: "45" },
    ],
    rows: [
      {
        line: 3,
        problems: [{ field: "Price", given: "free", accepted: "must be one amount" }],
        unsold: false,
        leftover: [],
      },
      {
        line: 2,
        problems: [],
        leftover: ["Maker: Nobody"],
        unsold: false,
        sale: sale("x", "A trapper").sale,
      },
    ],
  },
  fields: [
    { id: "described", label: "What was sold" },
    { id: "price", label: "Price" },
    { id: "note", label: "Note" },
  ],
  rows: 2,
  good: 1,
  known: 0,
  refused: 1,
  unsold: 0,
  leftover: 1,
};

test("a table is looked at, its columns told otherwise, taken in, and out again in one step", async () => {
  show();
  const read = vi
    .spyOn(api, "salesTable")
    .mockImplementation(async (_file, _currency, _columns, keep) => (keep ? { ...TOLD, batch: "t1" } : TOLD));
  const out = vi.spyOn(api, "removeTable").mockResolvedValue(undefined as never);
  fireEvent.click(await screen.findByText("Add a list of sales"));
  const sheet = within(screen.getByRole("dialog"));
  fireEvent.change(sheet.getByLabelText("List of sales"), {
    target: { files: [new File(["Item,Cost\nA jack,45"], "list.csv")] },
  });
  expect((await sheet.findByTestId("report")).textContent).toBe(
    "2 rows, parted by comma, read as UTF-8. 1 can be added; 1 cannot. In 1 something is not known and stays in the note.",
  );
  sheet.getByText(/Price, free: must be one amount/);
  sheet.getByText(/Maker: Nobody/);
  fireEvent.change(sheet.getByLabelText("What Cost is"), { target: { value: "price" } });
  await waitFor(() => expect(read.mock.calls.at(-1)?.[2]).toEqual(["described", "price"]));
  fireEvent.click(await sheet.findByText("Add 1 sale"));
  await waitFor(() => expect(read.mock.calls.at(-1)?.[3]).toBe(true));
  fireEvent.click(await screen.findByText("Undo"));
  await waitFor(() => expect(out).toHaveBeenCalledWith("t1"));
});

test("a sale room is asked, and what is made up is said to be", async () => {
  rooms = [
    { id: "quist", label: "Quist rooms", standIn: false },
    { id: "made-up", label: "Overwater", standIn: true },
  ];
  show();
  const ask = vi
    .spyOn(api, "askSaleRoom")
    .mockImplementation(async (_room, _currency, _columns, keep) =>
      keep ? { ...TOLD, batch: "t2" } : { ...TOLD, good: 3, known: 2, unsold: 4 },
    );
  fireEvent.click(await screen.findByText("Add a list of sales"));
  const sheet = within(screen.getByRole("dialog"));
  fireEvent.click(await sheet.findByText("Quist rooms"));
  expect((await sheet.findByTestId("report")).textContent).toBe(
    "Quist rooms tells of 2 lots of the last month. 3 can be added, 2 of them are in the book already or were removed from it; 4 were not sold; 1 cannot. In 1 something is not known and stays in the note.",
  );
  fireEvent.click(sheet.getByText("Overwater"));
  await sheet.findByText("This room is a stand-in: what it tells is made up.");
  fireEvent.click(sheet.getByText("Add 1 sale"));
  await waitFor(() => expect(ask.mock.calls.at(-1)).toEqual(["made-up", "GBP", ["described", "note"], true]));
  await screen.findByText("1 sale added.");
});

test("how far to trust them is worked out when asked, from four sales on", async () => {
  show();
  await screen.findByText("A jack");
  expect(screen.queryByText("How far to trust them")).toBeNull();
  cleanup();
  kept = ["a", "b", "c", "d"].map((id) => sale(id, id));
  vi.spyOn(api, "trySales").mockResolvedValue({
    knives: 4,
    half: 0.5,
    nineTenths: 0.93,
    error: 0.3,
    nearest: 0.5,
    plain: 1.2,
    former: 0.7,
    width: 4,
  });
  show();
  fireEvent.click(await screen.findByText("Try them"));
  const found = within(await screen.findByTestId("trust"));
  found.getByText("93% (nine in ten is right)");
  found.getByText("120%");
});

test("a price and a date that are read at the same time are both kept", async () => {
  show();
  const add = vi.spyOn(api, "addSale").mockResolvedValue(sale("c", "x"));
  let readMoney = (_: { amount: number; currency: string }) => {};
  vi.spyOn(api, "money").mockReturnValue(new Promise((done) => (readMoney = done)));
  vi.spyOn(api, "date").mockResolvedValue({ edtf: "2024-05", from: 2024, to: 2024 });
  fireEvent.click(await screen.findByText("Add a sale"));
  const sheet = within(screen.getByRole("dialog"));
  const type = (label: string, text: string) => {
    fireEvent.change(sheet.getByLabelText(label), { target: { value: text } });
    fireEvent.blur(sheet.getByLabelText(label));
  };
  type("What was sold", "A congress");
  type("Price", "45 gbp");
  type("When", "May 2024");
  await waitFor(() => expect((sheet.getByLabelText("When") as HTMLInputElement).value).toBe("2024-05"));
  readMoney({ amount: 45, currency: "GBP" });
  await waitFor(() => expect((sheet.getByLabelText("Price") as HTMLInputElement).value).toBe("45 GBP"));
  fireEvent.click(sheet.getByText("Keep it"));
  await waitFor(() => expect(add).toHaveBeenCalledTimes(1));
  expect(add.mock.calls[0]?.[1].knife).toMatchObject({ described: "A congress", price: 45, sold: "2024-05" });
});
