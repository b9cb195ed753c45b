import { screen, waitFor } from "@testing-library/react";
import type { UserEvent } from "@testing-library/user-event";
import { expect } from "vitest";

/** For tests: presses the last way back. What was said lets the pointer through a moment after it is shown. */
export async function pressUndo(user: UserEvent) {
  const undo = (await screen.findAllByText("Undo")).at(-1) as HTMLElement;
  const said = undo.closest<HTMLElement>("[role='region']");
  await waitFor(() => expect(said?.style.pointerEvents).not.toBe("none"));
  await user.click(undo);
}
