// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import { afterEach, expect, test } from "vitest";
import { Picker } from "./picker";

const OPTIONS = [
  {
    id: "spear",
    label: "Spear",
    picture: <i />,
    also: ["Spear point"],
    tell: "Both edges meet in the middle.",
  },
  { id: "spey", label: "Spey", picture: <i />, tell: "Blunt, with a short straight point." },
  { id: "long-clip", label: "Long clip", picture: <i />, also: ["California clip"] },
];

let last: string | undefined;

function Kind({ first }: { first?: string }) {
  const [value, setValue] = useState(first);
  last = value;
  return (
    <Picker aria-label="Kind" value={value} options={OPTIONS} nothing="not yet looked" onChange={setValue} />
  );
}

const control = () => screen.getByRole("combobox", { name: "Kind", hidden: true });
const shown = () => screen.getAllByRole("option").map((o) => o.textContent);

afterEach(cleanup);

test("nothing chosen is told as such", () => {
  render(<Kind />);
  expect(control().textContent).toContain("not yet looked");
});

test("typing on the closed control opens it, and Enter takes the first that fits", async () => {
  render(<Kind />);
  control().focus();
  await userEvent.keyboard("spey{Enter}");
  expect(last).toBe("spey");
  expect(document.activeElement).toBe(control());
});

test("it is found by any of its names, by the beginnings of their words", async () => {
  render(<Kind />);
  control().focus();
  await userEvent.keyboard("cal");
  expect(shown()).toEqual(["Long clipCalifornia clip"]);
  await userEvent.keyboard(" cl{Enter}");
  expect(last).toBe("long-clip");
});

test("a name that is in no book is told, and nothing is chosen", async () => {
  render(<Kind />);
  control().focus();
  await userEvent.keyboard("banana");
  expect(screen.getByText("No such name in the book.")).toBeTruthy();
  await userEvent.keyboard("{Enter}{Escape}");
  expect(last).toBeUndefined();
});

test("a choice is taken back from the keyboard and from the list", async () => {
  render(<Kind first="spear" />);
  control().focus();
  await userEvent.keyboard("{Backspace}");
  expect(last).toBeUndefined();
  cleanup();
  render(<Kind first="spear" />);
  await userEvent.click(control());
  await userEvent.click(screen.getByText("not yet looked"));
  expect(last).toBeUndefined();
});

test("who has gone on to another field is not fetched back", async () => {
  render(
    <>
      <Kind />
      <button type="button">Next</button>
    </>,
  );
  control().focus();
  await userEvent.keyboard("spey");
  fireEvent.keyDown(document.activeElement as Element, { key: "Enter" });
  expect(last).toBe("spey");
  const next = screen.getByText("Next");
  next.focus();
  await waitFor(() => expect(screen.queryAllByRole("option")).toEqual([]));
  await new Promise((later) => setTimeout(later, 30));
  expect(document.activeElement).toBe(next);
});

test("given up with Escape, the control has the keys again", async () => {
  render(<Kind />);
  control().focus();
  await userEvent.keyboard("spey{Escape}");
  await waitFor(() => expect(document.activeElement).toBe(control()));
});

test("figures stay commands of the page", async () => {
  render(<Kind />);
  control().focus();
  await userEvent.keyboard("2");
  expect(screen.queryAllByRole("option")).toEqual([]);
});
