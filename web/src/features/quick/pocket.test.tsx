// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, expect, it, vi } from "vitest";
import { api } from "../../api/client";
import { pressUndo } from "../../ui/press-undo";
import { ToastProvider } from "../../ui/toasts";
import { captures, Pocket } from "./pocket";

const ONE = JSON.stringify({ title: "From a stall, Thrale", note: "Buy." });
const TWO = JSON.stringify({ title: "From a stall", note: "Look closer." });

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

const show = () =>
  render(
    <QueryClientProvider client={new QueryClient()}>
      <ToastProvider>
        <Pocket />
      </ToastProvider>
    </QueryClientProvider>,
  );

async function paste(text: string) {
  const user = userEvent.setup();
  show();
  await user.click(screen.getByRole("button", { name: "Add what I noted" }));
  fireEvent.change(screen.getByLabelText(/Paste the text/), { target: { value: text } });
  return user;
}

it("reads what was kept line by line, and counts what is none of it", () => {
  expect(captures(`${ONE}\n\nhello\n{"title":1}\r\n${TWO}`)).toEqual({
    read: [JSON.parse(ONE), JSON.parse(TWO)],
    not: 2,
  });
  expect(captures("null").not).toBe(1);
});

it("lays each in the tray, with one way back for all", async () => {
  const add = vi.spyOn(api, "add").mockResolvedValue({} as never);
  const remove = vi.spyOn(api, "remove").mockResolvedValue(undefined as never);
  const user = await paste(`${ONE}\nnoise\n${TWO}`);
  expect(screen.getByText(/One line is not of the pocket file/)).toBeTruthy();
  await user.click(screen.getByRole("button", { name: "Lay 2 knives in the tray" }));
  expect(await screen.findByText("2 knives laid in the tray.")).toBeTruthy();
  expect(add.mock.calls.map(([, knife]) => knife.title)).toEqual(["From a stall, Thrale", "From a stall"]);
  await pressUndo(user);
  await waitFor(() => expect(remove).toHaveBeenCalledTimes(2));
  expect(remove.mock.calls.map(([id]) => id)).toEqual(add.mock.calls.map(([id]) => id));
});

it("says which are in where one fails, and keeps the others to send again", async () => {
  vi.spyOn(api, "add")
    .mockResolvedValueOnce({} as never)
    .mockRejectedValueOnce(new Error("The disk is full."));
  const user = await paste(`${ONE}\n${TWO}`);
  await user.click(screen.getByRole("button", { name: "Lay 2 knives in the tray" }));
  expect((await screen.findByRole("alert")).textContent).toBe(
    "1 knife laid in the tray, the others not. The disk is full.",
  );
  expect((screen.getByLabelText(/Paste the text/) as HTMLTextAreaElement).value).toBe(TWO);
});
