// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { api, Refused } from "../../api/client";
import type { QuickTold } from "../../api/types";
import { PreferencesProvider } from "../../preferences";
import { QuickPage } from ".";

const check = (id: string, byMaker: boolean) => ({
  id,
  label: `Look at ${id}`,
  ask: "",
  byMaker,
  missed: 0.1,
  answers: ["good", "bad"].map((a) => ({
    id: a,
    label: `${id} ${a}`,
    look: "",
    share: 0.5,
    worth: 1,
    why: "",
  })),
});

const BOOK = { checks: [check("maker", true), check("blades", false)], cautions: ["Mind your fingers."] };

const told = (verdict: Partial<QuickTold["verdict"]>, more: Partial<QuickTold> = {}) =>
  ({ verdict: { call: "look-closer", worth: 1, ...verdict }, wanted: [], ...more }) as unknown as QuickTold;

let answered: QuickTold;

beforeEach(() => {
  answered = told({ next: "maker" });
  vi.spyOn(api, "quick").mockResolvedValue(BOOK as never);
  vi.spyOn(api, "quickLook").mockImplementation(async () => answered as never);
  vi.spyOn(api, "makers").mockResolvedValue({
    packs: [{ on: true, makers: [{ id: "thrale", name: "Thrale", marks: [], history: { models: [] } }] }],
  } as never);
});

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

function show(onBench = vi.fn().mockResolvedValue(undefined)) {
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter>
        <PreferencesProvider>
          <QuickPage onBench={onBench} />
        </PreferencesProvider>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return userEvent.setup();
}

const lastAsked = () => vi.mocked(api.quickLook).mock.lastCall?.slice(0, 3);

it("asks with each answer, goes on to the next look, and takes an answer back", async () => {
  const user = show();
  await user.click(await screen.findByText("maker good"));
  expect(document.activeElement?.textContent).toBe("blades good");
  await user.click(screen.getByText("blades bad"));
  await waitFor(() => expect(lastAsked()).toEqual([undefined, undefined, ["maker:good", "blades:bad"]]));
  await user.click(screen.getByText("maker good"));
  await waitFor(() => expect(lastAsked()).toEqual([undefined, undefined, ["blades:bad"]]));
});

it.each([
  ["buy", { pay: 45, reason: "Full blades." }, "Buy, up to \u00a345"],
  ["look-closer", { pay: 45 }, "Look closer; at most \u00a345"],
  ["put-down", { pay: 45 }, "Put it down"],
  ["look-closer", {}, "Look closer"],
])("says what to do: %s %o", async (call, verdict, said) => {
  answered = told({ call, ...verdict } as never, { currency: "GBP", ordinary: 60 } as never);
  show();
  await screen.findByText(/An ordinary one brings about/);
  const first = screen.getByRole("status").querySelector("p");
  expect(first?.textContent?.replace("GB", "")).toBe(said);
});

it("makes no price up where the sales book says nothing", async () => {
  show();
  expect(await screen.findByText(/The sales book says nothing of such knives yet/)).toBeDefined();
});

it("leaves out the look a maker on file answers, and names what is wanted of it", async () => {
  answered = told({}, {
    wanted: [{ id: "w", want: { most: 80, currency: "GBP" }, told: { maker: "Thrale", model: "12 Jack" } }],
  } as never);
  const user = show();
  await screen.findByText("Thrale");
  await screen.findByText("maker good");
  await user.selectOptions(screen.getByLabelText("Maker, where it can be read"), "thrale");
  expect(screen.queryByText("maker good")).toBeNull();
  expect(await screen.findByText("Thrale, 12 Jack")).toBeDefined();
  await waitFor(() => expect(lastAsked()).toEqual(["thrale", undefined, []]));
});

it("has what is asked read as money, and says what cannot be read or compared", async () => {
  const money = vi.spyOn(api, "money").mockResolvedValue({ amount: 1250, currency: "GBP" } as never);
  const user = show();
  await user.type(await screen.findByLabelText("They ask"), "1,250{Enter}");
  expect(money).toHaveBeenCalledWith("1,250");
  await waitFor(() => expect(lastAsked()).toEqual([undefined, { amount: 1250, currency: "GBP" }, []]));
  const problems = [{ field: "asked", given: "5 USD", accepted: "must be in GBP, as the sales book" }];
  vi.mocked(api.quickLook).mockRejectedValue(Object.assign(Object.create(Refused.prototype), { problems }));
  money.mockResolvedValue({ amount: 5, currency: "USD" } as never);
  await user.clear(screen.getByLabelText("They ask"));
  await user.type(screen.getByLabelText("They ask"), "5 USD{Enter}");
  expect(await screen.findByText("5 USD: must be in GBP, as the sales book.")).toBeDefined();
  expect(screen.getByRole("status").textContent).toBe("What they ask cannot be compared yet.");
});

it("lays it on the bench with what was seen, and begins the next with nothing", async () => {
  const onBench = vi.fn().mockResolvedValue(undefined);
  const user = show(onBench);
  await user.click(await screen.findByText("blades bad"));
  await user.click(screen.getAllByText("To the bench with it")[0] as HTMLElement);
  expect(onBench).toHaveBeenCalledWith("From a stall", "Look at blades: blades bad.");
  await user.click(screen.getByText("The next knife"));
  await waitFor(() => expect(lastAsked()).toEqual([undefined, undefined, []]));
});
