// @vitest-environment happy-dom
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, it, vi } from "vitest";
import { pressUndo } from "./press-undo";
import { ToastProvider, useToast } from "./toasts";

function Does({ undo }: { undo: () => unknown }) {
  const toast = useToast();
  return (
    <button type="button" onClick={() => toast("It is done.", undo)}>
      Do it
    </button>
  );
}

it("says that a way back was refused, and goes it when asked again", async () => {
  const undo = vi.fn().mockRejectedValueOnce(new Error("The disk is full.")).mockResolvedValueOnce(undefined);
  const user = userEvent.setup();
  render(
    <ToastProvider>
      <Does undo={undo} />
    </ToastProvider>,
  );
  await user.click(screen.getByText("Do it"));
  await pressUndo(user);
  expect(await screen.findByText("It was not undone. The disk is full.")).toBeDefined();
  expect(screen.queryByText("It is done.")).toBeNull();
  await pressUndo(user);
  expect(undo).toHaveBeenCalledTimes(2);
  expect(screen.queryByText("It was not undone. The disk is full.")).toBeNull();
});
