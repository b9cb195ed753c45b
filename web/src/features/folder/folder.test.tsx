// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { api } from "../../api/client";
import type { Book, Photo, TrayEntry } from "../../api/types";
import { PreferencesProvider } from "../../preferences";
import { pressUndo } from "../../ui/press-undo";
import { ToastProvider } from "../../ui/toasts";
import { BringPhotos } from "./bring-photos";

const BOOK = {
  photoRoles: [
    { id: "mark-side", label: "mark side" },
    { id: "other", label: "something else" },
  ],
} as unknown as Book;
const knife = (number: number, title: string) => ({ id: `k${number}`, number, title }) as TrayEntry;
const picture = (name: string) => new File(["x"], name, { type: "image/jpeg" });

const show = () => {
  const onClose = vi.fn();
  render(
    <QueryClientProvider client={new QueryClient()}>
      <PreferencesProvider>
        <ToastProvider>
          <BringPhotos tray={[knife(3, "Jack"), knife(12, "Pen")]} book={BOOK} onClose={onClose} />
        </ToastProvider>
      </PreferencesProvider>
    </QueryClientProvider>,
  );
  return onClose;
};
const choose = (...files: File[]) =>
  userEvent.setup().upload(screen.getByLabelText("Photographs to add"), files);

beforeEach(() => {
  vi.spyOn(api, "readPhotoNames").mockImplementation(async (names) =>
    names.map((name) => ({
      name,
      knife: name.startsWith("12") ? "k12" : undefined,
      role: name.includes("front") ? "mark-side" : "other",
    })),
  );
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

it("finds each its knife, takes one by hand, and undoes the whole", async () => {
  const user = userEvent.setup();
  const add = vi
    .spyOn(api, "addPhoto")
    .mockImplementation(async (k, f) => ({ id: `${k} ${f.name}` }) as unknown as Photo);
  const away = vi.spyOn(api, "removePhoto").mockResolvedValue(undefined as never);
  const onClose = show();
  await choose(picture("12 front.jpg"), picture("odd.jpg"));
  expect(await screen.findByText("1 without a knife")).toBeDefined();
  const odd = screen.getByLabelText("Knife of odd.jpg");
  await user.type(odd, "4");
  expect(screen.getByText("no such knife in the tray")).toBeDefined();
  await user.clear(odd);
  await user.type(odd, "3");
  await user.selectOptions(screen.getByLabelText("What odd.jpg shows"), "mark side");
  await user.click(screen.getByText("Add 2 photographs"));
  await waitFor(() => expect(onClose).toHaveBeenCalled());
  expect(add.mock.calls.map(([k, f, role]) => [k, f.name, role])).toEqual([
    ["k12", "12 front.jpg", "mark-side"],
    ["k3", "odd.jpg", "mark-side"],
  ]);
  await pressUndo(user);
  await waitFor(() => expect(away.mock.calls.map(([id]) => id)).toEqual(["k12 12 front.jpg", "k3 odd.jpg"]));
});

it("keeps what was not taken where one is refused, and says why", async () => {
  const user = userEvent.setup();
  vi.spyOn(api, "addPhoto")
    .mockResolvedValueOnce({ id: "p" } as unknown as Photo)
    .mockRejectedValueOnce(new Error("It must be a picture."));
  const onClose = show();
  await choose(picture("12 a.jpg"), picture("12 b.jpg"));
  await user.click(await screen.findByText("Add 2 photographs"));
  expect((await screen.findByRole("alert")).textContent).toBe("12 b.jpg was not kept. It must be a picture.");
  expect(screen.queryByText("12 a.jpg")).toBeNull();
  expect(screen.getByText("12 b.jpg")).toBeDefined();
  expect(onClose).not.toHaveBeenCalled();
  await user.click(screen.getByLabelText("Leave 12 b.jpg out"));
  expect(screen.queryByText("12 b.jpg")).toBeNull();
});

it("takes pictures alone", async () => {
  show();
  const user = userEvent.setup({ applyAccept: false });
  await user.upload(screen.getByLabelText("Photographs to add"), new File(["x"], "list.csv"));
  expect((await screen.findByRole("alert")).textContent).toBe("There is no picture among them.");
});
