// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, within } from "@testing-library/react";
import { MemoryRouter, Route, Routes } from "react-router";
import { afterEach, expect, test, vi } from "vitest";
import { api } from "../../../api/client";
import type { Advice, Book, CareDone, Photo, Specimen } from "../../../api/types";
import type { Knife } from "../use-knife";
import { CareStation } from "./care";

afterEach(cleanup);

const BOOK = {
  works: [
    { id: "looked", label: "Looked over" },
    { id: "oiled", label: "Oiled" },
  ],
  condition: { grades: [{ id: "good", label: "Good", worth: 1 }] },
} as unknown as Book;

const RUST: Advice = {
  id: "rust",
  does: "Oil it.",
  why: "Rust goes on.",
  caution: "Gloves.",
  again: true,
  settledBy: ["oiled"],
};

function show(care: CareDone[], advice: Advice[], photos: Partial<Photo>[] = [], problems: object[] = []) {
  vi.spyOn(api, "photos").mockResolvedValue(photos as Photo[]);
  let kept = { care } as unknown as Specimen;
  const knife = {
    specimen: kept,
    problems,
    verdict: { care: advice, grade: { best: { id: "good", label: "Good" } } },
    change: (f: (s: Specimen) => Specimen) => {
      kept = f(kept);
    },
  } as unknown as Knife;
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter initialEntries={["/bench/k1"]}>
        <Routes>
          <Route path="/bench/:id" element={<CareStation knife={knife} book={BOOK} />} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return () => kept.care;
}

test("advice says what to do, why, with what care, and that nobody did so far", () => {
  show([], [RUST]);
  const told = within(screen.getByLabelText("What keeps it"));
  told.getByText("Oil it.");
  told.getByText("Rust goes on.");
  told.getByText("Gloves.");
  told.getByText("not yet seen to");
});

test("what was done today is one press, with the grade as it is", () => {
  const kept = show([], [RUST]);
  expect(screen.queryByRole("button", { name: "Looked over today" })).toBeNull();
  fireEvent.click(screen.getByRole("button", { name: "Oiled today" }));
  expect(kept()).toEqual([
    {
      date: expect.stringMatching(/^\d{4}-\d\d-\d\d$/),
      work: "oiled",
      gradeBefore: "good",
      gradeAfter: "good",
    },
  ]);
});

test("when it was seen to and when it must be again stands with it", () => {
  show([], [{ ...RUST, last: "2090-01-02", due: "2091-01-02" }]);
  screen.getByText(/again by .*2091, last on .*2090/);
  cleanup();
  show([], [{ ...RUST, last: "2019-01-02", due: "2020-01-02" }]);
  screen.getByText(/due since .*2020/);
});

test("an entry can be changed, but is never without what was done", () => {
  const kept = show([{ date: "2024", work: "looked" }], []);
  fireEvent.change(screen.getByLabelText("What"), { target: { value: "" } });
  expect(kept()[0]?.work).toBe("looked");
  fireEvent.change(screen.getByLabelText("What"), { target: { value: "oiled" } });
  expect(kept()[0]?.work).toBe("oiled");
  fireEvent.change(screen.getByLabelText("Grade after"), { target: { value: "good" } });
  expect(kept()[0]?.gradeAfter).toBe("good");
});

test("photographs of before and after are of this knife and are shown", async () => {
  const kept = show([{ date: "2024", work: "oiled", photoBefore: "p1" }], [], [{ id: "p1", role: "tang" }]);
  expect((await screen.findByAltText("Before")).getAttribute("src")).toBe("/api/photos/p1/view");
  fireEvent.change(screen.getByLabelText("Photograph after"), { target: { value: "p1" } });
  expect(kept()[0]?.photoAfter).toBe("p1");
});

test("a date that cannot be read is told at its field", () => {
  show(
    [{ date: "soon", work: "oiled" }],
    [],
    [],
    [{ field: "care[0].date", given: "soon", accepted: "must be a date" }],
  );
  expect(screen.getByLabelText("When").getAttribute("aria-invalid")).toBe("true");
});
