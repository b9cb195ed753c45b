// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { api, Refused } from "../../api/client";
import type { Book, Eye, PracticeTold, RoundTold } from "../../api/types";
import { PreferencesProvider } from "../../preferences";
import { PracticePage } from ".";
import { Strike } from "./strike";
import { inWords } from "./words";

const TOLD = {
  book: {
    glances: { value: 14, why: "" },
    listed: { value: 0.7, why: "" },
    ten: { value: 10, why: "" },
    how: [
      { id: "as-made", label: "As it was made", look: "Everything goes with one year." },
      { id: "part-replaced", label: "A part was put on later", look: "One part is younger." },
    ],
  },
  players: [],
  makers: [{ id: "okkerby", label: "Okkerby Knife Co." }],
  names: [{ id: "jack", label: "Jack" }],
} as unknown as PracticeTold;

const ROUND = {
  id: "r1",
  player: "Ada",
  kind: "more",
  number: 1,
  left: 14,
  looks: [
    { id: "marks", station: "marks", label: "The mark", glances: 1.5 },
    { id: "pins", station: "handle", label: "Pins", glances: 1 },
    { id: "book", station: "handle", label: "Catalogue", glances: 20 },
  ],
  knife: { marks: [] },
} as unknown as RoundTold;

const OVER = {
  ...ROUND,
  left: 12,
  looks: [],
  unveiled: {
    answers: [
      {
        question: "maker",
        said: "okkerby",
        sure: 0.8,
        right: 0,
        was: "",
        model: "okkerby",
        own: 4.2,
        models: 1.5,
      },
      {
        question: "years",
        said: "1900/1920",
        sure: 0.9,
        right: 1,
        was: "1911",
        model: "1905/1930",
        own: 21,
        models: 26,
      },
    ],
    maker: "",
    year: 1911,
    headline: "Likely British, about 1915.",
    missed: [{ look: "spacer", station: "frame", label: "Spacer", answer: "Plastic", bits: 2.34 }],
  },
} as unknown as RoundTold;

const EYE = {
  rounds: 21,
  choices: [
    {
      question: "maker",
      count: 21,
      own: 2.5,
      models: 1.25,
      reliability: { expectedError: 0.2, tenths: [{ from: 8, count: 21, said: 0.85, was: 0.6 }] },
    },
  ],
  spans: { count: 21, held: 0.62, length: 12, models: 31, own: 50, modelsOwn: 40 },
  weakMakers: [{ of: "okkerby", count: 4, lost: 2.2 }],
  weakDecades: [{ of: "1910", count: 3, lost: 44 }],
  lately: [
    { rounds: 10, bits: 1.4 },
    { rounds: 10, bits: 0.6 },
  ],
} as unknown as Eye;

beforeEach(() => {
  localStorage.clear();
  vi.spyOn(api, "practice").mockResolvedValue(TOLD);
  vi.spyOn(api, "beginRound").mockResolvedValue(ROUND);
  vi.spyOn(api, "eye").mockResolvedValue(EYE);
  vi.spyOn(api, "book").mockResolvedValue({ stations: [] } as unknown as Book);
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

const show = () =>
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter>
        <PreferencesProvider>
          <PracticePage book={{} as Book} />
        </PreferencesProvider>
      </MemoryRouter>
    </QueryClientProvider>,
  );

const dealt = async () => {
  const user = userEvent.setup();
  await user.type(await screen.findByLabelText("Who practises"), "Ada");
  await user.click(screen.getByRole("button", { name: "Any knife" }));
  await screen.findByRole("form", { name: "What you make of it" });
  return user;
};

it("deals nothing to nobody, and remembers who practised", async () => {
  show();
  expect(((await screen.findByRole("button", { name: "Any knife" })) as HTMLButtonElement).disabled).toBe(
    true,
  );
  await dealt();
  expect(vi.mocked(api.beginRound).mock.lastCall?.slice(1)).toEqual(["Ada", "more"]);
  cleanup();
  show();
  expect(((await screen.findByLabelText("Who practises")) as HTMLInputElement).value).toBe("Ada");
});

it("shows what was looked at, and lets nobody look for more than is left", async () => {
  const looks = ROUND.looks.map((l) => (l.id === "pins" ? { ...l, answer: "Flush" } : l));
  const take = vi.spyOn(api, "takeLook").mockResolvedValue({ ...ROUND, left: 13, looks });
  show();
  const user = await dealt();
  expect(screen.getByRole("status").textContent).toBe("14 glances left");
  expect((screen.getByRole("button", { name: /Catalogue/ }) as HTMLButtonElement).disabled).toBe(true);
  await user.click(screen.getByRole("button", { name: /Pins/ }));
  expect(await screen.findByText("Flush")).toBeTruthy();
  expect(take).toHaveBeenCalledWith("r1", "pins");
  expect(screen.getByText("13 glances")).toBeTruthy();
  take.mockRejectedValue(
    new Refused(400, "No.", [{ field: "look", given: "marks", accepted: "it is time to guess" }]),
  );
  const mark = screen.getByRole("button", { name: /The mark/ }) as HTMLButtonElement;
  await waitFor(() => expect(mark.disabled).toBe(false));
  await user.click(mark);
  expect((await screen.findByRole("alert")).textContent).toBe("it is time to guess");
});

it("sends what one says with how sure one is, and leaves out what one does not say", async () => {
  const guess = vi.spyOn(api, "guess").mockResolvedValue(OVER);
  show();
  const user = await dealt();
  expect((screen.getByRole("button", { name: "Unveil" }) as HTMLButtonElement).disabled).toBe(true);
  await user.selectOptions(screen.getByLabelText("Who made it"), "one who is not on file");
  fireEvent.change(screen.getByLabelText(/How sure of who made it/), { target: { value: "80" } });
  await user.selectOptions(screen.getByLabelText("What was done to it"), "A part was put on later");
  expect(screen.getByText("One part is younger.")).toBeTruthy();
  await user.type(screen.getByLabelText("From"), "19o00");
  await user.type(screen.getByLabelText("To"), "1920{Enter}");
  await waitFor(() => expect(guess).toHaveBeenCalledOnce());
  expect(guess).toHaveBeenCalledWith("r1", {
    maker: "",
    makerSure: 0.8,
    how: "part-replaced",
    howSure: 0.7,
    from: 1900,
    to: 1920,
  });
});

it("unveils it beside what the model made of the same looks, and deals the next", async () => {
  vi.spyOn(api, "guess").mockResolvedValue(OVER);
  show();
  const user = await dealt();
  await user.type(screen.getByLabelText("From"), "1900");
  await user.click(screen.getByRole("button", { name: "Unveil" }));
  const told = within(await screen.findByRole("region", { name: "What it was" }));
  expect(told.getByRole("heading", { level: 2 }).textContent).toBe("It was: one who is not on file, 1911");
  expect(told.getByRole("row", { name: /Who made it/ }).textContent).toMatch(
    /80 in 100 sure; not so.*4\.2 bits/,
  );
  expect(told.getByRole("row", { name: /When/ }).textContent).toMatch(/1900\u20131920 right.*21 years.*26/);
  expect(told.getByText("Plastic")).toBeTruthy();
  await waitFor(() =>
    expect(document.activeElement).toBe(told.getByRole("button", { name: "The next knife" })),
  );
  await user.keyboard("{Enter}");
  await waitFor(() => expect(vi.mocked(api.beginRound)).toHaveBeenCalledTimes(2));
});

it("says what is wrong with a guess at its field", async () => {
  vi.spyOn(api, "guess").mockRejectedValue(
    new Refused(400, "No.", [{ field: "to", given: "1880", accepted: "must be 1900 or later" }]),
  );
  show();
  const user = await dealt();
  await user.type(screen.getByLabelText("From"), "1900{Enter}");
  expect(await screen.findByText("1880: must be 1900 or later.")).toBeTruthy();
  expect(screen.getByLabelText("To").getAttribute("aria-invalid")).toBe("true");
});

it("says why no knife is dealt", async () => {
  vi.mocked(api.beginRound).mockRejectedValue(
    new Refused(400, "No.", [{ field: "kind", given: "today", accepted: "more come tomorrow" }]),
  );
  show();
  const user = userEvent.setup();
  await user.type(await screen.findByLabelText("Who practises"), "Ada");
  await user.click(screen.getByRole("button", { name: "Ten of today" }));
  expect((await screen.findByRole("alert")).textContent).toContain("more come tomorrow");
});

it("tells a player how their eye does and lets go of them only when asked twice", async () => {
  vi.mocked(api.practice).mockResolvedValue({
    ...TOLD,
    players: [{ name: "Ada", rounds: 21, today: 3 }],
  } as PracticeTold);
  const forget = vi.spyOn(api, "forgetPlayer").mockResolvedValue(undefined as never);
  show();
  const eye = within(await screen.findByRole("region", { name: "Your eye" }));
  expect(eye.getByText(/Your years held/).textContent).toMatch(/62 knives in a hundred.*12 years long.*31\./);
  expect(eye.getByRole("img", { name: "said 85%, was 60%, 21 knives" })).toBeTruthy();
  expect(eye.getByText("Okkerby Knife Co.")).toBeTruthy();
  expect(eye.getByRole("img", { name: "1.4, 0.6" })).toBeTruthy();
  expect(screen.getByRole("button", { name: "Ten of today, 3 done" })).toBeTruthy();
  const user = userEvent.setup();
  await user.click(eye.getByRole("button", { name: "Remove Ada" }));
  expect(forget).not.toHaveBeenCalled();
  await user.click(eye.getByRole("button", { name: "Keep it" }));
  await user.click(eye.getByRole("button", { name: "Remove Ada" }));
  await user.click(eye.getByRole("button", { name: "Let it go" }));
  await waitFor(() => expect(forget).toHaveBeenCalledOnce());
  expect(forget).toHaveBeenCalledWith("Ada");
});

it("draws a worn mark: what is lost is a scar, what is doubtful is faint", () => {
  const face = { blade: 1, face: "mark", state: "read", technique: "struck", lines: ["GR_M?"] };
  const { container, rerender } = render(<Strike faces={[face as never]} />);
  expect(screen.getByRole("img", { name: "The mark: GR\u00b7M?" })).toBeTruthy();
  const letters = [...container.querySelectorAll("text")];
  expect(letters.map((l) => l.textContent)).toEqual(["G", "R", "M"]);
  expect(letters.map((l) => l.getAttribute("opacity"))).toEqual(["0.9", "0.9", "0.35"]);
  expect(container.querySelectorAll("path")).toHaveLength(1);
  rerender(<Strike faces={[{ ...face, state: "worn", lines: [] } as never]} />);
  expect(screen.getByText(/no letter is left/)).toBeTruthy();
});

it("writes answers by their names", () => {
  expect(inWords("years", "1900/1900", TOLD)).toBe("1900");
  expect(inWords("how", "all-else", TOLD)).toBe("Something else");
  expect(inWords("name", "jack", TOLD)).toBe("Jack");
});

const LEVELS = [
  { id: "mint", label: "Mint", probability: 0 },
  { id: "good", label: "Good", probability: 0 },
];
const TO_GRADE = {
  number: 7,
  what: "Grandfather's Sunday knife",
  faults: [{ point: "Wear of the blade", found: "honed, a little low" }],
  schools: [
    { id: "usual", label: "Today's usual", about: "By the worst fault.", levels: LEVELS },
    { id: "pocket", label: "For the pocket", about: "Would one carry it.", levels: [LEVELS[1]] },
  ],
};

it("has a described knife graded by a school, and tells what was agreed only then", async () => {
  vi.spyOn(api, "toGrade").mockResolvedValue(TO_GRADE as never);
  const grade = vi.spyOn(api, "grade").mockResolvedValue({
    scored: { question: "grade", said: "mint", right: 0, was: "good", own: 0.81, models: 0.02 },
    agreed: [
      { school: "usual", level: "good", label: "Good" },
      { school: "pocket", level: "carry", label: "Carry it" },
    ],
  } as never);
  show();
  const user = userEvent.setup();
  await user.type(await screen.findByLabelText("Who practises"), "Ada");
  await user.click(screen.getByRole("button", { name: "One to grade" }));
  const knife = within(await screen.findByRole("region", { name: "A knife to grade" }));
  expect(knife.getByText("Honed, a little low")).toBeTruthy();
  expect(knife.getByText("By the worst fault.")).toBeTruthy();
  expect(knife.queryByRole("status")).toBeNull();
  await user.selectOptions(knife.getByLabelText("Its grade"), "Mint");
  await user.click(knife.getByRole("button", { name: "Unveil" }));
  await waitFor(() => expect(grade).toHaveBeenCalledOnce());
  expect(grade.mock.lastCall?.[1]).toEqual({
    player: "Ada",
    number: 7,
    school: "usual",
    level: "mint",
    sure: 0.7,
  });
  const came = await knife.findByRole("status");
  expect(came.textContent).toContain("agreed otherwise. You lost 0.81 of a grade, Snikra 0.02.");
  expect(within(came).getByText("Carry it")).toBeTruthy();
  expect((knife.getByLabelText("By which school") as HTMLSelectElement).disabled).toBe(true);
  await waitFor(() =>
    expect(document.activeElement).toBe(within(came).getByRole("button", { name: "Another to grade" })),
  );
  await user.keyboard("{Enter}");
  await waitFor(() => expect(vi.mocked(api.toGrade)).toHaveBeenCalledTimes(2));
});

it("takes another school's levels with it, and says what is wrong with a grade", async () => {
  vi.spyOn(api, "toGrade").mockResolvedValue(TO_GRADE as never);
  vi.spyOn(api, "grade").mockRejectedValue(
    new Refused(400, "No.", [{ field: "level", given: "good", accepted: "must be one of the levels" }]),
  );
  show();
  const user = userEvent.setup();
  await user.type(await screen.findByLabelText("Who practises"), "Ada");
  await user.click(screen.getByRole("button", { name: "One to grade" }));
  const knife = within(await screen.findByRole("region", { name: "A knife to grade" }));
  await user.selectOptions(knife.getByLabelText("Its grade"), "Mint");
  await user.selectOptions(knife.getByLabelText("By which school"), "For the pocket");
  expect((knife.getByLabelText("Its grade") as HTMLSelectElement).value).toBe("");
  expect(knife.queryByRole("option", { name: "Mint" })).toBeNull();
  await user.selectOptions(knife.getByLabelText("Its grade"), "Good");
  await user.click(knife.getByRole("button", { name: "Unveil" }));
  expect(await knife.findByText("good: must be one of the levels.")).toBeTruthy();
});
