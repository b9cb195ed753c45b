// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { useKeys } from "./keys";
import { PreferencesProvider, usePreferences } from "./preferences";

const go = vi.fn();
const undo = vi.fn();

function Page({ dialog }: { dialog?: boolean }) {
  useKeys({ g: go, "mod+z": undo });
  const { setSingleKeys } = usePreferences();
  return (
    <>
      <input aria-label="Length" />
      <button type="button" data-typing>
        Outline
      </button>
      <button type="button" onClick={() => setSingleKeys(false)}>
        No single keys
      </button>
      {dialog && <div role="dialog">Asked</div>}
    </>
  );
}

const page = (dialog = false) =>
  render(
    <PreferencesProvider>
      <Page dialog={dialog} />
    </PreferencesProvider>,
  );

beforeEach(() => localStorage.clear());

afterEach(() => {
  cleanup();
  vi.clearAllMocks();
});

test("a single key is a command, in either case", async () => {
  page();
  await userEvent.keyboard("gG");
  expect(go).toHaveBeenCalledTimes(2);
});

test("while text is entered a letter is a letter, until Escape gives the keys back", async () => {
  page();
  await userEvent.type(screen.getByLabelText("Length"), "g");
  expect(go).not.toHaveBeenCalled();
  await userEvent.keyboard("{Escape}");
  expect(document.activeElement).not.toBe(screen.getByLabelText("Length"));
  await userEvent.keyboard("g");
  expect(go).toHaveBeenCalledTimes(1);
});

test("Escape leaves a control that takes letters, and no other", async () => {
  page();
  screen.getByText("Outline").focus();
  await userEvent.keyboard("{Escape}");
  expect(document.activeElement).not.toBe(screen.getByText("Outline"));
  screen.getByText("No single keys").focus();
  await userEvent.keyboard("{Escape}");
  expect(document.activeElement).toBe(screen.getByText("No single keys"));
});

test("with Ctrl or Command a command works wherever one is", async () => {
  page();
  screen.getByLabelText("Length").focus();
  await userEvent.keyboard("{Control>}z{/Control}");
  await userEvent.keyboard("{Meta>}z{/Meta}");
  expect(undo).toHaveBeenCalledTimes(2);
});

test("single keys wait while something is asked, and can be turned off", async () => {
  page(true);
  await userEvent.keyboard("g");
  expect(go).not.toHaveBeenCalled();
  cleanup();
  page();
  await userEvent.click(screen.getByText("No single keys"));
  (document.activeElement as HTMLElement).blur();
  await userEvent.keyboard("g");
  expect(go).not.toHaveBeenCalled();
});

test("a key that was taken already, or with Alt, is no command", () => {
  page();
  fireEvent.keyDown(document.body, { key: "g", altKey: true });
  const taken = new KeyboardEvent("keydown", { key: "g", bubbles: true, cancelable: true });
  taken.preventDefault();
  document.body.dispatchEvent(taken);
  expect(go).not.toHaveBeenCalled();
});
