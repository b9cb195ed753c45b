// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { api, Refused } from "../../api/client";
import type { Book, KeptWant, ReadableEntry } from "../../api/types";
import { PreferencesProvider } from "../../preferences";
import { pressUndo } from "../../ui/press-undo";
import { ToastProvider } from "../../ui/toasts";
import { WantedPage } from ".";

const BOOK = {
  bolsters: [],
  shields: [],
  frames: [],
  blades: [],
  patterns: [{ id: "pen", name: "Pen knife" }],
  condition: { grades: [{ id: "good", label: "Good" }] },
} as unknown as Book;

const MAKERS = {
  packs: [
    {
      on: true,
      makers: [
        {
          id: "thrale",
          name: "Thrale",
          marks: [{ id: "old", lines: ["THRALE", "WINDOVER"], from: 1890, to: 1912 }],
          history: { models: [{ number: "12", label: "Jack" }] },
        },
        { id: "zwick", name: "Zwickel", marks: [], history: { models: [] } },
      ],
    },
    { on: false, makers: [{ id: "off", name: "Not in use", marks: [], history: { models: [] } }] },
  ],
};

const kept = (told: Partial<KeptWant["told"]>, want: Partial<KeptWant["want"]> = {}): KeptWant =>
  ({
    id: "one",
    want: { maker: "thrale", model: "12", most: 80, currency: "GBP", ...want },
    told: {
      maker: "Thrale",
      model: "12 Jack",
      lines: [],
      stand: "missing",
      held: [],
      neighbours: [],
      ...told,
    },
  }) as unknown as KeptWant;

let wants: KeptWant[];

beforeEach(() => {
  wants = [];
  vi.spyOn(api, "wanted").mockImplementation(async () => ({ wants, left: 0 }) as never);
  vi.spyOn(api, "makers").mockResolvedValue(MAKERS as never);
  vi.spyOn(api, "tray").mockResolvedValue([
    { id: "seven", number: 7, summary: { grade: {} }, sketch: {} },
  ] as unknown as ReadableEntry[] as never);
  vi.spyOn(api, "want").mockImplementation(async (id, want) => ({ ...kept({}), id, want }) as never);
  vi.spyOn(api, "unwant").mockResolvedValue(undefined as never);
});

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

function show() {
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter>
        <PreferencesProvider>
          <ToastProvider>
            <WantedPage book={BOOK} />
          </ToastProvider>
        </PreferencesProvider>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return userEvent.setup();
}

it("says what to do where nothing is looked for", async () => {
  show();
  expect(await screen.findByText(/the gaps of a set can be put here/)).toBeDefined();
});

it("tells what it is, what I would pay, and by which look it is known", async () => {
  wants = [
    kept({
      from: 1890,
      to: 1910,
      neighbours: [
        { label: "Thrale 40", tells: [{ label: "Shield", own: "bar", other: "crest" }] },
        { label: "Whittler", tells: [], otherSaid: "Main on two springs." },
        { label: "Jack", tells: [], ownSaid: "A cap at the tail." },
      ],
    }),
  ];
  show();
  const card = await screen.findByRole("listitem");
  expect(card.textContent).toContain("Thrale, 12 Jack");
  expect(card.textContent).toMatch(/up to .*80/);
  expect(card.textContent).toContain("1890\u20131910");
  expect(card.textContent).toContain("Not to be taken for Thrale 40: shield bar, not crest.");
  expect(card.textContent).toContain("Not to be taken for Whittler: main on two springs.");
  expect(card.textContent).toContain("Not to be taken for Jack: this one: a cap at the tail.");
  expect(card.textContent).toContain("Not in the tray.");
});

it("stands in sets of one's own, each with how many of it are there", async () => {
  wants = [
    { ...kept({ stand: "owned" }, { set: "One of each" }), id: "a" },
    { ...kept({}, { set: "One of each" }), id: "b" },
    { ...kept({}), id: "c" },
  ];
  const user = show();
  const set = within(await screen.findByRole("region", { name: "One of each" }));
  expect(set.getByRole("heading", { level: 2, name: /One of each/ }).textContent).toContain(
    "1 of 2 in the tray",
  );
  expect(within(screen.getByRole("region", { name: "Of no set" })).getAllByRole("listitem")).toHaveLength(1);
  await user.keyboard("+");
  await user.type(await screen.findByLabelText("One of a set of mine"), "Barlows");
  await user.selectOptions(screen.getByLabelText("Maker"), "thrale");
  await user.click(screen.getByRole("button", { name: "Put it on the list" }));
  await waitFor(() =>
    expect(vi.mocked(api.want).mock.lastCall?.[1]).toMatchObject({ maker: "thrale", set: "Barlows" }),
  );
});

it.each([
  ["owned", "In the tray: No. 7"],
  ["better-wanted", "A better one than No. 7"],
  ["perhaps", "Perhaps No. 7, 30 in 100"],
])("says how it stands in the tray: %s", async (stand, said) => {
  wants = [kept({ stand: stand as KeptWant["told"]["stand"], held: [{ number: 7, chance: 0.3 }] })];
  show();
  await waitFor(() => expect(screen.getByRole("listitem").textContent).toContain(said));
  expect((await screen.findByRole("link", { name: "No. 7" })).getAttribute("href")).toBe("/bench/seven");
});

it("says a note that is all there is once", async () => {
  wants = [kept({ maker: undefined, model: undefined }, { note: "Anything green" })];
  show();
  expect(await screen.findAllByText("Anything green")).toHaveLength(1);
});

it("says that none was made so", async () => {
  wants = [kept({ stand: "never" })];
  show();
  expect(await screen.findByText("None was made so by what is on file.")).toBeDefined();
});

it("offers of a maker what is its own, and lets go of it with the maker", async () => {
  const user = show();
  await user.click(await screen.findByText("Add one"));
  const form = within(screen.getByRole("dialog"));
  await waitFor(() => expect(form.getByText("Thrale")).toBeDefined());
  expect(form.queryByText("Not in use")).toBeNull();
  await user.selectOptions(form.getByLabelText("Maker"), "thrale");
  await user.selectOptions(form.getByLabelText("Model"), "12");
  await user.selectOptions(form.getByLabelText("Mark"), "old");
  await user.selectOptions(form.getByLabelText("Maker"), "zwick");
  await user.type(form.getByLabelText("Not made before"), "1905{Enter}");
  await user.click(form.getByText("Put it on the list"));
  const wanted = { maker: "zwick", model: undefined, mark: undefined, from: 1905 };
  await waitFor(() => expect(api.want).toHaveBeenCalledWith(expect.any(String), wanted));
});

it("waits for what was typed last to be read before it is kept", async () => {
  let read: (told: unknown) => void = () => {};
  vi.spyOn(api, "money").mockReturnValue(
    new Promise((done) => {
      read = done;
    }) as never,
  );
  const user = show();
  await user.click(await screen.findByText("Add one"));
  const form = within(screen.getByRole("dialog"));
  await user.type(form.getByLabelText("At most"), "95");
  await user.click(form.getByText("Put it on the list"));
  expect(api.want).not.toHaveBeenCalled();
  read({ amount: 95, currency: "GBP" });
  await waitFor(() =>
    expect(api.want).toHaveBeenCalledWith(expect.any(String), { most: 95, currency: "GBP" }),
  );
});

it("keeps nothing while a field holds what was not understood", async () => {
  const refused = { message: "no", problems: [{ field: "", given: "2 for 5", accepted: "one amount" }] };
  vi.spyOn(api, "money").mockRejectedValue(Object.assign(Object.create(Refused.prototype), refused));
  const user = show();
  await user.click(await screen.findByText("Add one"));
  const form = within(screen.getByRole("dialog"));
  await user.type(form.getByLabelText("Not made before"), "soon");
  await user.click(form.getByText("Put it on the list"));
  expect(form.getByText("soon: a year, as 1905.")).toBeDefined();
  await waitFor(() => expect(document.activeElement).toBe(form.getByLabelText("Not made before")));
  await user.clear(form.getByLabelText("Not made before"));
  await user.type(form.getByLabelText("At most"), "2 for 5{Enter}");
  expect(await form.findByText("2 for 5: one amount.")).toBeDefined();
  await user.click(form.getByText("Put it on the list"));
  await waitFor(() => expect(document.activeElement).toBe(form.getByLabelText("At most")));
  expect(api.want).not.toHaveBeenCalled();
});

it("says in its field what is refused, and keeps what was entered", async () => {
  const refused = {
    message: "no",
    problems: [{ field: "to", given: "1900", accepted: "must not be before 1905" }],
  };
  vi.mocked(api.want).mockRejectedValue(Object.assign(Object.create(Refused.prototype), refused));
  const user = show();
  await user.click(await screen.findByText("Add one"));
  const form = within(screen.getByRole("dialog"));
  await user.type(form.getByLabelText("Not made after"), "1900{Enter}");
  await user.click(form.getByText("Put it on the list"));
  expect(await form.findByText("1900: must not be before 1905.")).toBeDefined();
  expect(form.getByLabelText<HTMLInputElement>("Not made after").value).toBe("1900");
});

it("takes it off the list, and puts it back as it was", async () => {
  wants = [kept({})];
  const user = show();
  await user.click(await screen.findByLabelText("No longer wanted: Thrale, 12 Jack"));
  expect(api.unwant).toHaveBeenCalledWith("one");
  await pressUndo(user);
  await waitFor(() => expect(api.want).toHaveBeenCalledWith("one", wants[0]?.want));
});
