// @vitest-environment happy-dom
import { cleanup, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { type ReactNode, useState } from "react";
import { afterEach, expect, test, vi } from "vitest";
import { Dialog } from "./dialog";

function Page({ children }: { children: ReactNode }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <button type="button" onClick={() => setOpen(true)}>
        Add
      </button>
      <Dialog open={isOpen} onClose={() => setOpen(false)} title="A sale">
        {children}
      </Dialog>
    </>
  );
}

const opened = async (inside: ReactNode) => {
  render(<Page>{inside}</Page>);
  await userEvent.click(screen.getByText("Add"));
};

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

test("it opens at its first field, past what is ticked, and gives the focus back", async () => {
  await opened(
    <>
      <input type="checkbox" aria-label="Asked" />
      <input aria-label="Price" />
      <input aria-label="When" />
    </>,
  );
  await waitFor(() => expect(document.activeElement).toBe(screen.getByLabelText("Price")));
  await userEvent.keyboard("{Escape}");
  await waitFor(() => expect(document.activeElement).toBe(screen.getByText("Add")));
});

test("it opens where one begins, whatever stands above", async () => {
  await opened(
    <>
      <input aria-label="Currency" />
      <textarea aria-label="Rows" data-first />
    </>,
  );
  await waitFor(() => expect(document.activeElement).toBe(screen.getByLabelText("Rows")));
});

test("a question opens at what lets it be", async () => {
  await opened(<button type="button">Take it out for good</button>);
  await waitFor(() => expect(document.activeElement).toBe(screen.getByText("Close")));
});

test("under a finger no keyboard is called for", async () => {
  vi.spyOn(window, "matchMedia").mockReturnValue({ matches: true } as MediaQueryList);
  await opened(<input aria-label="Price" />);
  await waitFor(() => expect(document.activeElement).toBe(screen.getByText("Close")));
});
