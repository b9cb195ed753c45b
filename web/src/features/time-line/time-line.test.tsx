// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { MemoryRouter, Route, Routes } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { api, Refused } from "../../api/client";
import type { Book, TimeBar } from "../../api/types";
import { PreferencesProvider } from "../../preferences";
import { ToastProvider } from "../../ui/toasts";
import { TimeLinePage } from ".";
import { across, axisOf } from "./axis";
import { keyed } from "./use-moves";

const bar = (kind: string, what: string, from: number, to: number, more = {}): TimeBar =>
  ({ bar: { kind, what, from, to, give: 0 }, ...more }) as TimeBar;

const BARS = [
  bar("mark", "THRALE", 1900, 1910),
  bar("mark", "THRALE WORKS", 1911, 1920, { mark: "th-2" }),
  bar("model", "No. 77, Jack", 1902, 1905, { fact: "model 77" }),
];

const shelf = (bars = BARS, unmarked: { from: number; to: number }[] = []) => ({
  packs: [{ id: "p", on: true, makers: [{ id: "thrale", name: "Thrale", bars, unmarked }] }],
  own: ["th-2"],
  ownFacts: [],
  ownNumbers: [],
});

const LOOKED = {
  problems: [],
  unmarked: [{ from: 1911, to: 1912 }],
  remarks: [{ maker: "thrale", text: "no mark from 1911 to 1912" }],
};

let makers: ReturnType<typeof vi.spyOn>;

beforeEach(() => {
  makers = vi.spyOn(api, "makers").mockResolvedValue(shelf() as never);
  vi.spyOn(api, "ownSteps").mockResolvedValue([]);
  vi.spyOn(api, "lookMoved").mockResolvedValue(LOOKED as never);
});

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

async function laidOut(at = "thrale") {
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <PreferencesProvider>
        <ToastProvider>
          <MemoryRouter initialEntries={[`/makers/${at}/time-line`]}>
            <Routes>
              <Route path="/makers/:id/time-line" element={<TimeLinePage book={{} as Book} />} />
            </Routes>
          </MemoryRouter>
        </ToastProvider>
      </PreferencesProvider>
    </QueryClientProvider>,
  );
  await waitFor(() => expect(screen.queryByText("Laying out the time line.")).toBeNull());
  return userEvent.setup();
}

const end = (name: string) => screen.getByRole("slider", { name });
const first = () => end("THRALE WORKS, first year");

test("what came with a pack stays, and one's own has two ends", async () => {
  await laidOut();
  expect(screen.getAllByRole("slider").map((s) => s.getAttribute("aria-label"))).toEqual([
    "THRALE WORKS, first year",
    "THRALE WORKS, last year",
    "No. 77, Jack, first year",
    "No. 77, Jack, last year",
  ]);
  expect(first().getAttribute("aria-valuenow")).toBe("1911");
  expect(screen.queryByTestId("unmarked")).toBeNull();
});

test("arrow keys move an end, gaps are marked meanwhile, and Enter keeps it with one undo", async () => {
  const kept = vi.spyOn(api, "moveYears").mockResolvedValue({} as never);
  const user = await laidOut();
  first().focus();
  await user.keyboard("{ArrowRight}{ArrowRight}");
  expect(first().getAttribute("aria-valuenow")).toBe("1913");
  expect(await screen.findByTestId("unmarked")).toBeTruthy();
  expect(await screen.findByText("No mark from 1911 to 1912.")).toBeTruthy();
  expect(kept).not.toHaveBeenCalled();
  makers.mockResolvedValue(
    shelf(BARS.map((b) => (b.mark ? bar("mark", "THRALE WORKS", 1913, 1920, { mark: "th-2" }) : b))) as never,
  );
  await user.keyboard("{Enter}");
  expect(kept).toHaveBeenCalledWith({ maker: "thrale", mark: "th-2", from: 1913, to: 1920, give: 0 });
  expect(await screen.findByText("THRALE WORKS stands at its new years.")).toBeTruthy();
  await waitFor(() => expect(screen.queryByText("Put back")).toBeNull());
  expect(document.activeElement).toBe(first());
  expect(screen.getByRole("button", { name: "Undo" })).toBeTruthy();
});

test("Escape puts it back where it was", async () => {
  const user = await laidOut();
  first().focus();
  await user.keyboard("{ArrowLeft}");
  expect(first().getAttribute("aria-valuenow")).toBe("1910");
  await user.keyboard("{Escape}");
  expect(first().getAttribute("aria-valuenow")).toBe("1911");
  expect(screen.queryByText("Put back")).toBeNull();
});

test("years are typed; what is none is told at its field and cannot be kept", async () => {
  vi.spyOn(api, "lookMoved").mockResolvedValue({
    problems: [{ field: "to", given: "soon", accepted: "must be a whole number" }],
    unmarked: [],
    remarks: [],
  } as never);
  const kept = vi.spyOn(api, "moveYears");
  const user = await laidOut();
  end("No. 77, Jack, first year").focus();
  const strip = within(await screen.findByRole("region", { name: "In hand" }));
  expect(strip.queryByLabelText("give or take")).toBeNull();
  const until = strip.getByLabelText("until");
  await user.clear(until);
  await user.type(until, "soon{Enter}");
  await waitFor(() => expect(strip.getByLabelText("until").getAttribute("aria-invalid")).toBe("true"));
  expect((strip.getByRole("button", { name: /^Keep/ }) as HTMLButtonElement).disabled).toBe(true);
  end("No. 77, Jack, first year").focus();
  await user.keyboard("{Enter}");
  expect(kept).not.toHaveBeenCalled();
});

test("what could not be kept stays as it was moved", async () => {
  vi.spyOn(api, "moveYears").mockRejectedValue(new Refused(507, "There is no room left."));
  const user = await laidOut();
  first().focus();
  await user.keyboard("{ArrowRight}");
  await user.click(await screen.findByRole("button", { name: "Keep 1912\u20131920" }));
  expect(await screen.findByText(/no room left/)).toBeTruthy();
  expect(first().getAttribute("aria-valuenow")).toBe("1912");
});

test("what it would move in the tray is asked with the years as they are moved", async () => {
  const slip = { kind: "model", maker: "thrale", from: 1902, to: 1905 };
  vi.spyOn(api, "ownFact").mockResolvedValue(slip as never);
  const tried = vi
    .spyOn(api, "tryFact")
    .mockResolvedValue({ id: "t", state: "done", done: 0, of: 0, moving: 0, most: [], failed: [] } as never);
  vi.spyOn(api, "trial").mockReturnValue(new Promise(() => {}));
  const user = await laidOut();
  end("No. 77, Jack, last year").focus();
  await user.keyboard("{ArrowRight}");
  await user.click(screen.getByRole("button", { name: "What would it move in the tray?" }));
  await waitFor(() =>
    expect(tried).toHaveBeenCalledWith(expect.objectContaining({ ...slip, to: 1906 }), "model 77"),
  );
});

test("a maker that is not on file is said to be none", async () => {
  await laidOut("nobody");
  expect(screen.getByText(/No maker of that name is on file/)).toBeTruthy();
});

test("two that say the same are told apart, and stay the same when their years move", () => {
  const two = [bar("fitting", "Bail: wire", 1900, 1910), bar("fitting", "Bail: wire", 1930, 1940)];
  const moved = [bar("fitting", "Bail: wire", 1890, 1911), bar("fitting", "Bail: wire", 1931, 1940)];
  expect(keyed(two).map((b) => b.key)).toEqual(keyed(moved).map((b) => b.key));
  expect(new Set(keyed(two).map((b) => b.key)).size).toBe(2);
});

test("the axis holds every bar with its doubt, in whole decades", () => {
  const axis = axisOf([{ bar: { kind: "mark", what: "A", from: 1868, to: 1978, give: 9 } } as TimeBar]);
  expect(axis).toEqual({ first: 1850, last: 2000 });
  expect(across(1850, 1925, axis)).toEqual({ left: "0%", right: "50%" });
  expect(across(1700, 2100, axis)).toEqual({ left: "0%", right: "0%" });
});
