// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { render, screen, within } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { expect, test, vi } from "vitest";
import { JudgementPage } from "./judgement";

const GROUPS = [
  { about: "What was seen", rates: [{ id: "look.sure", label: "Sure", value: 0.985, why: "Seldom wrong." }] },
  { about: "Lookalikes", rates: [{ id: "alike.kinds", label: "Kinds", value: 100, why: "Many kinds." }] },
];

vi.mock("../../api/client", () => ({ api: { judgement: () => Promise.resolve(GROUPS) } }));

test("each number stands in its group with its reason", async () => {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <JudgementPage />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  for (const group of GROUPS) {
    const section = within(await screen.findByRole("region", { name: group.about }));
    for (const rate of group.rates) {
      expect(section.getByText(rate.label)).toBeDefined();
      expect(section.getByText(rate.why)).toBeDefined();
    }
  }
});
