// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, expect, test, vi } from "vitest";
import { api } from "../../api/client";
import { ToastProvider } from "../../ui/toasts";
import { WantIt } from "./want-it";

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

const show = () =>
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter>
        <ToastProvider>
          <WantIt maker="okkerby" model="48" mark="m1" lines={["OKKERBY"]} />
        </ToastProvider>
      </MemoryRouter>
    </QueryClientProvider>,
  );

test("what was just put on the list stands there before the list is read again", async () => {
  vi.spyOn(api, "wanted")
    .mockResolvedValueOnce({ wants: [] } as never)
    .mockReturnValue(new Promise(() => {}));
  const want = vi.spyOn(api, "want").mockResolvedValue(undefined as never);
  show();
  fireEvent.click(await screen.findByRole("button", { name: "Want it: 48 OKKERBY" }));
  expect((await screen.findByRole("link", { name: "Wanted" })).getAttribute("href")).toBe("/wanted");
  expect(want).toHaveBeenCalledTimes(1);
});

test("what was refused can be tried again", async () => {
  vi.spyOn(api, "wanted").mockResolvedValue({ wants: [] } as never);
  vi.spyOn(api, "want").mockRejectedValue(new Error("The disk is full."));
  show();
  fireEvent.click(await screen.findByRole("button", { name: /^Want it/ }));
  await screen.findByText("It is not on the wanted list. The disk is full.");
  screen.getByRole("button", { name: /^Want it/ });
});
