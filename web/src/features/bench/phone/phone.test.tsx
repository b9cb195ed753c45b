// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { api } from "../../../api/client";
import type { PhoneLine } from "../../../api/types";
import { ToastProvider } from "../../../ui/toasts";
import { PhoneAsCamera } from ".";

const pairs = Array.from({ length: 32 }, (_, i) => (i + 16).toString(16).toUpperCase());
const waiting: PhoneLine = {
  knife: "k1",
  role: "tang",
  host: "192.168.7.9:4000",
  address: "https://192.168.7.9:4000/#secret",
  code: ["10", "01"],
  fingerprint: pairs.join(":"),
  endsAt: new Date(Date.now() + 14.5 * 60_000).toISOString(),
  entered: false,
  taken: 0,
};

let state: Awaited<ReturnType<typeof api.phone>>;
let queries: QueryClient;

beforeEach(() => {
  state = { addresses: ["192.168.7.9"] };
  queries = new QueryClient();
  vi.spyOn(api, "phone").mockImplementation(async () => state);
  vi.spyOn(api, "endPhone").mockImplementation(async () => {
    state = { addresses: state.addresses };
    return undefined as never;
  });
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

const show = () =>
  render(
    <QueryClientProvider client={queries}>
      <ToastProvider>
        <PhoneAsCamera id="k1" label="Use a phone" wanted={{ role: "tang", blade: 2, face: "pile" }} />
      </ToastProvider>
    </QueryClientProvider>,
  );

test("nothing is asked for before one opens it", () => {
  show();
  expect(api.phone).not.toHaveBeenCalled();
});

test("begun it shows the code, the address and the fingerprint eight pairs a row", async () => {
  const begin = vi.spyOn(api, "letPhoneIn").mockImplementation(async () => {
    state = { ...state, line: waiting };
    return waiting;
  });
  show();
  fireEvent.click(screen.getByText("Use a phone"));
  fireEvent.click(await screen.findByText("Let a phone in"));
  await screen.findByText("Waiting for a phone.");
  expect(begin).toHaveBeenCalledWith("k1", { role: "tang", blade: 2, face: "pile", address: undefined });
  screen.getByText("https://192.168.7.9:4000/#secret");
  screen.getByText("10:11:12:13:14:15:16:17");
  screen.getByText("15");
  expect(screen.getByLabelText("Code to scan").querySelectorAll("path")[0]?.getAttribute("d")).toBe(
    "M4 4h1v1h-1zM5 5h1v1h-1z",
  );
});

test("once a phone is in there is no code to show, and photographs are fetched as they come", async () => {
  state = { ...state, line: { ...waiting, address: undefined, code: undefined, entered: true, taken: 1 } };
  const fetched = vi.spyOn(queries, "invalidateQueries");
  show();
  fireEvent.click(screen.getByText("Use a phone"));
  await screen.findByText("The phone is in.");
  expect(screen.queryByLabelText("Code to scan")).toBeNull();
  await waitFor(() => expect(fetched).toHaveBeenCalledWith({ queryKey: ["photos", "k1"] }));
  fireEvent.click(screen.getByText("End it now"));
  await screen.findByText("Let a phone in");
});

test("several networks are offered, and the one chosen is used", async () => {
  state = { addresses: ["192.168.7.9", "10.0.0.4"] };
  const begin = vi.spyOn(api, "letPhoneIn").mockResolvedValue(waiting);
  show();
  fireEvent.click(screen.getByText("Use a phone"));
  fireEvent.change(await screen.findByLabelText("This computer is known to the phone as"), {
    target: { value: "10.0.0.4" },
  });
  fireEvent.click(screen.getByText("Let a phone in"));
  await waitFor(() => expect(begin.mock.lastCall?.[1].address).toBe("10.0.0.4"));
});

test("a line for another knife is not this one's, and no network is a sentence", async () => {
  state = { addresses: [], line: { ...waiting, knife: "k2" } };
  show();
  fireEvent.click(screen.getByText("Use a phone"));
  await screen.findByText(/in no network at home/);
  expect(screen.queryByText("Let a phone in")).toBeNull();
});
