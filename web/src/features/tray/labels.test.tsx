// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, expect, test, vi } from "vitest";
import { api } from "../../api/client";
import { Labels } from "./labels";

const paper = (id: string, columns: number, rows: number) => ({
  ...{ id, label: `${columns * rows} of ${id}`, page: "A4", columns, rows },
  ...{ width: 70, height: 37, left: 0, top: 0, across: 70, down: 37 },
});

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

const show = () =>
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <Labels asked="q=stag&in=handle%3AStag" />
    </QueryClientProvider>,
  );
const address = () => screen.getByText("Labels with a code, to print").getAttribute("href");

test("labels of what was found go on the sheet that is chosen, past the places that are used", async () => {
  vi.spyOn(api, "labelPapers").mockResolvedValue([paper("a", 3, 8), paper("b", 2, 2)]);
  show();
  await screen.findByLabelText("Labels on");
  expect(address()).toBe("/api/labels/labels.pdf?paper=a&skip=0&q=stag&in=handle%3AStag");
  fireEvent.change(screen.getByLabelText("Places used on the first sheet"), { target: { value: "5" } });
  expect(address()).toContain("paper=a&skip=5&");
  fireEvent.change(screen.getByLabelText("Labels on"), { target: { value: "b" } });
  expect(address()).toContain("paper=b&skip=3&");
});

test("no number of used places is none", async () => {
  vi.spyOn(api, "labelPapers").mockResolvedValue([paper("a", 3, 8)]);
  show();
  fireEvent.change(await screen.findByLabelText("Places used on the first sheet"), { target: { value: "" } });
  expect(address()).toContain("skip=0&");
});

test("what cannot be had is said", async () => {
  vi.spyOn(api, "labelPapers").mockRejectedValue(new Error("The server does not answer."));
  show();
  expect(await screen.findByText("The server does not answer.")).toBeTruthy();
});
