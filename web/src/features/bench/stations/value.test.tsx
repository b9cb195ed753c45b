// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, expect, test, vi } from "vitest";
import { api, Refused } from "../../../api/client";
import type { Book, Specimen, Verdict } from "../../../api/types";
import { PreferencesProvider } from "../../../preferences";
import type { Knife } from "../use-knife";
import { ValueStation } from "./value";

type Value = Verdict["value"];

const weighed = (id: string, described: string): Value["sales"][number] => ({
  id,
  described,
  price: 40,
  adjusted: 50,
  weight: 0.2,
  trust: 1,
  steps: [],
  counted: true,
});

const VALUE: Value = {
  currency: "GBP",
  middle: 50,
  low: 40,
  high: 60,
  lowest: 20,
  highest: 90,
  asItIs: { middle: 50, low: 40, high: 60, lowest: 20, highest: 90 },
  counted: 2,
  enough: false,
  standsOn: "From 2 sales.",
  sales: [weighed("sale-1", "An own jack"), weighed("b-1", "A jack of the book")],
  costs: [],
};

const SPECIMEN = {
  comparables: [{ described: "An own jack", price: 40, currency: "GBP" }],
} as unknown as Specimen;

function show(value: Value = VALUE) {
  const knife = {
    specimen: SPECIMEN,
    verdict: {
      value,
      findings: [
        { station: "value", text: "About one in 450." },
        { station: "number", text: "The number says stag." },
        { station: "value", text: "2 of 45 sales." },
      ],
    },
    problems: [],
    change: () => {},
  } as unknown as Knife;
  const book = {
    makers: [],
    patterns: [],
    questions: [],
    choices: { venue: [] },
    condition: { grades: [], box: { grades: [] }, alterations: [] },
  } as unknown as Book;
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <PreferencesProvider>
        <MemoryRouter>
          <ValueStation knife={knife} book={book} />
        </MemoryRouter>
      </PreferencesProvider>
    </QueryClientProvider>,
  );
}

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

test("how seldom it is met stands beside its value", () => {
  show();
  expect(screen.getByText("About one in 450. 2 of 45 sales.")).toBeTruthy();
  expect(screen.queryByText(/says stag/)).toBeNull();
});

test("sales of the book that count stand below those of the knife", () => {
  show();
  const book = within(screen.getByLabelText("From the sales book"));
  book.getByText("A jack of the book");
  expect(book.queryByText("An own jack")).toBeNull();
  cleanup();
  show({ ...VALUE, sales: VALUE.sales.slice(0, 1) });
  screen.getByText("No sale in it counts for this knife yet.");
});

test("a sale left out shows the range without it, until all count again", async () => {
  const examine = vi.spyOn(api, "examine").mockResolvedValue({
    value: {
      ...VALUE,
      low: 60,
      high: 99,
      asItIs: { middle: 45, low: 30, high: 80, lowest: 9, highest: 99 },
    },
  } as Verdict);
  show();
  fireEvent.click(screen.getByLabelText("Leave out: A jack of the book"));
  await waitFor(() =>
    expect(screen.getByTestId("left-out").textContent).toContain(
      "Without one sale: \u00a330\u2013\u00a380 in one sale of two, middle \u00a345.",
    ),
  );
  expect(examine.mock.calls[0]?.[0]).toEqual({ specimen: SPECIMEN, without: ["b-1"] });
  fireEvent.click(screen.getByLabelText("Leave out: An own jack"));
  expect(screen.getByTestId("left-out").textContent).toContain("Without 2 sales");
  fireEvent.click(screen.getByText("Count all again"));
  expect(screen.queryByTestId("left-out")).toBeNull();
});

test("the most to pay is worked out from what one means to do with it", async () => {
  const top = vi.spyOn(api, "topPrice").mockResolvedValue({ even: 36, safe: 28, ask: 60 });
  show();
  fireEvent.change(screen.getByLabelText("Margin wanted, %"), { target: { value: "50" } });
  fireEvent.click(screen.getByText("Work it out"));
  expect((await screen.findByTestId("top-price")).textContent).toBe(
    "Up to \u00a328 it pays for itself in three sales of four, up to \u00a336 in one of two. Ask \u00a360 to get the middle of its range.",
  );
  expect(top.mock.calls[0]?.[0].plan).toMatchObject({ margin: 50, fees: 10, restoration: 0 });
  top.mockRejectedValue(new Refused(400, "fees must be less."));
  fireEvent.click(screen.getByText("Work it out"));
  await screen.findByText("fees must be less.");
});

test("a price of another year is told in money of today, with how sure and how it grew", async () => {
  vi.spyOn(api, "priceCountries").mockResolvedValue([
    {
      id: "uk",
      label: "United Kingdom",
      from: 1860,
      units: [
        { name: "pounds", from: 1860, to: 2025, per: 1 },
        { name: "tokens", from: 1910, to: 1920, per: 2 },
      ],
    },
  ]);
  const today = {
    amount: 30,
    currency: "GBP",
    unit: "pounds",
    country: "United Kingdom",
    title: "Consumer prices",
    from: 1912,
    year: 2025,
    within: 1.6,
    sure: "medium",
  };
  const asked = vi.spyOn(api, "priceThen").mockResolvedValue({ today, growth: 0.0052 });
  show();
  const details = screen.getByText("What it cost then").closest("details") as HTMLDetailsElement;
  details.open = true;
  fireEvent(details, new Event("toggle"));
  await screen.findByText("United Kingdom");
  fireEvent.change(screen.getByLabelText("Where"), { target: { value: "uk" } });
  fireEvent.change(screen.getByLabelText("Price then"), { target: { value: "0.20" } });
  expect(screen.queryByLabelText("Money")).toBeNull();
  fireEvent.change(screen.getByLabelText("Year"), { target: { value: "1912" } });
  fireEvent.change(screen.getByLabelText("Money"), { target: { value: "tokens" } });
  fireEvent.click(screen.getByText("In money of today"));
  const told = await screen.findByTestId("price-then");
  expect(told.textContent).toContain("0.20 pounds of 1912 are about \u00a330 in money of 2025");
  expect(told.textContent).toContain("give or take 1.6% (how sure: medium)");
  expect(told.textContent).toContain("0.5% a year above that");
  expect(asked.mock.calls[0]?.[0]).toEqual({
    country: "uk",
    amount: "0.20",
    year: 1912,
    unit: "tokens",
    worth: 50,
  });
  asked.mockRejectedValue(new Refused(400, "It must lie after 1947."));
  fireEvent.click(screen.getByText("In money of today"));
  await screen.findByText("It must lie after 1947.");
});
