// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import { ToastProvider } from "./toasts";
import { useAttempt } from "./use-attempt";

afterEach(cleanup);

function Press({
  done,
  undo,
  again,
}: {
  done: () => Promise<void>;
  undo: () => Promise<void>;
  again: () => void;
}) {
  const attempt = useAttempt(again);
  return (
    <button type="button" onClick={() => attempt(done, "It is gone.", undo)}>
      Remove
    </button>
  );
}

const laidOut = (done: () => Promise<void>) => {
  const undo = vi.fn(async () => {});
  const again = vi.fn();
  render(
    <ToastProvider>
      <Press done={done} undo={undo} again={again} />
    </ToastProvider>,
  );
  fireEvent.click(screen.getByText("Remove"));
  return { undo, again };
};

it("tells what came of it with the way back, and looks again after both", async () => {
  const { undo, again } = laidOut(async () => {});
  expect(await screen.findByText("It is gone.")).toBeTruthy();
  await waitFor(() => expect(again).toHaveBeenCalledTimes(1));
  fireEvent.click(screen.getByText("Undo"));
  expect(await screen.findByText("As it was before.")).toBeTruthy();
  expect(undo).toHaveBeenCalledOnce();
  await waitFor(() => expect(again).toHaveBeenCalledTimes(2));
});

it("says what was not done, offers no way back, and looks again all the same", async () => {
  const { again } = laidOut(async () => {
    throw new Error("The disk is full.");
  });
  expect(await screen.findByText("That could not be done. The disk is full.")).toBeTruthy();
  expect(screen.queryByText("Undo")).toBeNull();
  await waitFor(() => expect(again).toHaveBeenCalledOnce());
});
