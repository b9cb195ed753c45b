// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { MemoryRouter, Route, Routes } from "react-router";
import { afterEach, expect, it, vi } from "vitest";
import { api, Refused } from "../../api/client";
import { PreferencesProvider } from "../../preferences";
import { OfYearPage } from "./of-year";

const THRALE = {
  maker: "thrale",
  name: "Thrale",
  marks: [
    { mark: "a", lines: ["THRALE", "WINDOVER"], from: 1925, to: 1927, within: true },
    { mark: "b", lines: ["THRALE"], from: 1900, to: 1924, within: false },
  ],
  codes: [{ scheme: "Letters", codes: ["D", "E"] }],
  models: [{ number: "12", label: "Pen" }],
};

const at = (year: string) =>
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter initialEntries={[`/years/${year}`]}>
        <PreferencesProvider>
          <Routes>
            <Route path="/years/:year" element={<OfYearPage />} />
          </Routes>
        </PreferencesProvider>
      </MemoryRouter>
    </QueryClientProvider>,
  );

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

it("tells marks, codes and models of the year, and leads to the knives that may be of it", async () => {
  vi.spyOn(api, "ofYear").mockResolvedValue({ year: 1926, makers: [THRALE] });
  at("1926");
  const thrale = within(await screen.findByRole("region", { name: "Thrale" }));
  const [sure, doubtful] = thrale.getAllByRole("listitem");
  expect(sure?.textContent).toBe("THRALEWINDOVER1925\u20131927");
  expect(doubtful?.textContent).toMatch(/if its years are out/);
  expect(thrale.getByText("D E")).toBeTruthy();
  expect(thrale.getByText("Made then: 12 Pen.")).toBeTruthy();
  expect(screen.getByRole("link", { name: /may be of it/ })).toHaveProperty("search", "?q=1926");
});

it("goes to the year that is entered, and says what a year must be", async () => {
  vi.spyOn(api, "ofYear").mockImplementation(async (year) => {
    if (year === 1926) return { year, makers: [] };
    throw new Refused(400, "year must be from 1700 to 2026");
  });
  at("1926");
  expect(await screen.findByText("No mark on file was in use then.")).toBeTruthy();
  const entry = screen.getByLabelText("Year of birth, or any other");
  await userEvent.clear(entry);
  await userEvent.type(entry, "1066{Enter}");
  expect(await screen.findByText(/must be from 1700/)).toBeTruthy();
  expect(screen.getByRole("heading", { level: 1 }).textContent).toBe("Of the year 1066");
});
