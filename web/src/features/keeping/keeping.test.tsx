// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { ReactNode } from "react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { api, Refused } from "../../api/client";
import type { Backup, ParcelTold } from "../../api/types";
import { ToastProvider } from "../../ui/toasts";
import { MoneyEntry } from "../bench/stations/money-entry";
import { KeepingPage } from ".";
import { PIECE } from "./pieces";

const around = (children: ReactNode) => (
  <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
    <ToastProvider>{children}</ToastProvider>
  </QueryClientProvider>
);
const COPY: Backup = {
  name: "2026-11-01",
  made: "2026-11-01T12:00:00Z",
  reason: "daily",
  knives: 8,
  photographs: 3,
  bytes: 1000,
};
const STANDING = {
  data: "/knives",
  backupsFolder: "/knives/backups",
  free: 80e9,
  enough: true,
  enoughForPhotographs: true,
  backups: [COPY],
};

describe("safe keeping", () => {
  beforeEach(() => {
    vi.spyOn(api, "keeping").mockResolvedValue(STANDING);
    vi.spyOn(api, "takenOut").mockResolvedValue([]);
  });
  afterEach(() => {
    cleanup();
    vi.restoreAllMocks();
  });

  it("tells how much room is left, and when it is too little", async () => {
    render(around(<KeepingPage />));
    expect(await screen.findByText(/80\.0 GB are free/)).toBeDefined();
    cleanup();
    vi.spyOn(api, "keeping").mockResolvedValue({
      ...STANDING,
      free: 12e6,
      enough: false,
      enoughForPhotographs: false,
    });
    render(around(<KeepingPage />));
    expect(await screen.findByText(/12 MB are free.*too little to save anything/)).toBeDefined();
  });

  it("tells what could not be done by itself", async () => {
    vi.spyOn(api, "keeping").mockResolvedValue({ ...STANDING, failed: "The copies' disk is away." });
    render(around(<KeepingPage />));
    expect((await screen.findByRole("alert")).textContent).toContain("The copies' disk is away.");
  });

  const TOLD: ParcelTold = {
    made: "2026-11-01T12:00:00Z",
    knives: { new: 3, "both-changed": 2, same: 5 },
    asked: [
      { id: "a", number: 4, ours: "Mine", theirs: "Theirs", here: COPY.made, there: COPY.made },
      { id: "b", number: 5, ours: "", theirs: "Other", here: COPY.made, there: COPY.made },
    ],
    books: [{ book: "sale", fresh: 7, different: 1 }],
    photographs: 2,
  };
  const bring = async (bytes: number) => {
    render(around(<KeepingPage />));
    const zip = new File([new Uint8Array(bytes)], "all.zip", { type: "application/zip" });
    await userEvent.setup().upload(await screen.findByLabelText("A collection to add"), zip);
  };

  it("sends a collection piece by piece, tells what it would bring, and takes what was chosen", async () => {
    const user = userEvent.setup();
    const sent: [number, number][] = [];
    vi.spyOn(api, "sendParcel").mockImplementation(async (_, at, piece) => {
      sent.push([at, piece.size]);
      return { bytes: at + piece.size };
    });
    vi.spyOn(api, "lookAtParcel").mockResolvedValue(TOLD);
    const take = vi.spyOn(api, "takeParcel").mockResolvedValue(COPY);
    await bring(PIECE + 10);
    const told = await screen.findByRole("region", { name: "What it would bring" });
    expect(sent).toEqual([
      [0, PIECE],
      [PIECE, 10],
    ]);
    expect(told.textContent).toContain("3not here yet: added");
    expect(told.textContent).toContain("1sales otherwise here: left as here");
    await user.click(within(told).getByText("All as in the file"));
    await user.click(within(told).getByRole("radio", { name: /^4 Mine as here/ }));
    await user.click(within(told).getByText("Add it"));
    expect(take).toHaveBeenCalledWith(expect.any(String), ["b"]);
    expect(await screen.findByText(/^It is added\./)).toBeDefined();
  });

  it("tells why a file cannot be taken, and lets go of it when it is stopped", async () => {
    const gone = vi.spyOn(api, "letGoOfParcel").mockResolvedValue(undefined as never);
    vi.spyOn(api, "sendParcel").mockResolvedValueOnce({ bytes: 3 });
    vi.spyOn(api, "lookAtParcel").mockRejectedValue(new Refused(400, "knives/a.json is damaged."));
    await bring(3);
    expect((await screen.findByRole("alert")).textContent).toBe("all.zip: knives/a.json is damaged.");
    cleanup();
    vi.mocked(api.sendParcel).mockImplementation(
      (_, __, ___, signal) =>
        new Promise((_, refuse) => signal.addEventListener("abort", () => refuse(new Error("stopped")))),
    );
    await bring(3);
    await userEvent.setup().click(await screen.findByText("Stop"));
    await waitFor(() => expect(screen.getByText("Add one")).toHaveProperty("disabled", false));
    expect(screen.queryByRole("alert")).toBeNull();
    expect(gone).toHaveBeenCalledTimes(2);
  });

  it("shows what a copy would do before it is brought back", async () => {
    vi.spyOn(api, "lookAtBackup").mockResolvedValue({
      backup: COPY,
      same: 1,
      back: ["Knife 2, lost"],
      changed: [],
      away: ["Knife 9, new"],
    });
    const restore = vi.spyOn(api, "restoreBackup").mockResolvedValue(COPY);
    render(around(<KeepingPage />));
    const user = userEvent.setup();
    await user.click(await screen.findByRole("button", { name: /Look at the copy/ }));
    const sheet = within(await screen.findByRole("dialog"));
    expect(await sheet.findByText("Knife 2, lost")).toBeDefined();
    expect(sheet.getByText("Knife 9, new")).toBeDefined();
    expect(sheet.queryByText("Would be again as they were then")).toBeNull();
    expect(restore).not.toHaveBeenCalled();
    await user.click(sheet.getByText("Put this copy back"));
    expect(restore).toHaveBeenCalledWith("2026-11-01");
  });

  it("removes a knife for good only when asked twice", async () => {
    vi.spyOn(api, "takenOut").mockResolvedValue([
      { id: "k", number: 4, title: "Old one", at: "2026-11-01T12:00:00Z", until: "2026-12-01T12:00:00Z" },
    ]);
    const letGo = vi.spyOn(api, "letGo").mockResolvedValue(undefined as never);
    render(around(<KeepingPage />));
    const user = userEvent.setup();
    await user.click(await screen.findByRole("button", { name: "Remove Old one for good" }));
    expect(letGo).not.toHaveBeenCalled();
    await user.click(within(screen.getByRole("dialog")).getByText("Remove it"));
    expect(letGo).toHaveBeenCalledWith("k");
  });

  it("names what is not as it was", async () => {
    vi.spyOn(api, "check").mockResolvedValue({
      knives: 7,
      unreadable: ["Knife 3: A newer Snikra wrote this knife."],
      originals: 2,
      lost: ["a.jpg of knife x"],
      changed: [],
      sound: false,
    } as never);
    render(around(<KeepingPage />));
    await userEvent.setup().click(await screen.findByRole("button", { name: "Check" }));
    expect(await screen.findByText("The file of a.jpg of knife x is gone.")).toBeDefined();
    expect(screen.getByText(/newer Snikra wrote/)).toBeDefined();
    expect(screen.queryByText(/All is sound/)).toBeNull();
  });
});

describe("an amount", () => {
  afterEach(() => {
    cleanup();
    vi.restoreAllMocks();
  });
  const type = async (text: string, onChange: (a?: number, c?: string) => void) => {
    render(
      around(<MoneyEntry label="Price" amount={5} currency="USD" problem={undefined} onChange={onChange} />),
    );
    const user = userEvent.setup();
    const box = screen.getByLabelText("Price");
    await user.clear(box);
    await user.type(box, `${text}{Enter}`);
  };
  it("is what the server reads, in the currency there was where none is written", async () => {
    vi.spyOn(api, "money").mockResolvedValue({ amount: 45 });
    const onChange = vi.fn();
    await type("45", onChange);
    await vi.waitFor(() => expect(onChange).toHaveBeenCalledWith(45, "USD"));
  });
  it("that cannot be read stays as typed, with what is accepted beside it", async () => {
    const problem = { field: "written", given: "-45", accepted: "must be one amount" };
    vi.spyOn(api, "money").mockRejectedValue(new Refused(400, "no", [problem]));
    const onChange = vi.fn();
    await type("-45", onChange);
    expect(await screen.findByText(/must be one amount/)).toBeDefined();
    expect((screen.getByLabelText("Price") as HTMLInputElement).value).toBe("-45");
    expect(onChange).not.toHaveBeenCalled();
  });
});
