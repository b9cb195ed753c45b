// @vitest-environment happy-dom
import { cleanup, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { api, Refused } from "../../api/client";
import { Write } from "./write";

const onWritten = vi.fn();
const note = () => screen.getByRole("textbox", { name: "Note" }) as HTMLTextAreaElement;
const held = () => screen.getByRole("textbox", { name: "Years you hold" }) as HTMLInputElement;
const enter = () => userEvent.click(screen.getByRole("button", { name: "Enter it" }));

beforeEach(() => {
  onWritten.mockReset();
  render(<Write knife="one" accepted="1917, 191X or 1912/1917" onWritten={onWritten} />);
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

test("what is written goes to the knife as it stands, and the form is empty again", async () => {
  const write = vi.spyOn(api, "write").mockResolvedValue(undefined as never);
  await userEvent.type(note(), "The shield sits crooked.");
  await userEvent.type(held(), "191X");
  await userEvent.click(screen.getByRole("checkbox"));
  await enter();
  expect(write).toHaveBeenCalledExactlyOnceWith("one", {
    note: "The shield sits crooked.",
    held: "191X",
    question: true,
  });
  expect(onWritten).toHaveBeenCalledOnce();
  expect(note().value).toBe("");
  expect((screen.getByRole("checkbox") as HTMLInputElement).checked).toBe(false);
});

test("what cannot be used stays, with its field told and what is accepted", async () => {
  const problem = { field: "held", given: "the war", accepted: "1917, 191X or 1912/1917" };
  vi.spyOn(api, "write").mockRejectedValue(new Refused(422, "Not accepted", [problem]));
  await userEvent.type(note(), "Carried in it.");
  await userEvent.type(held(), "the war");
  await enter();
  expect(held().getAttribute("aria-invalid")).toBe("true");
  expect(screen.getByText("the war: 1917, 191X or 1912/1917.")).toBeTruthy();
  expect(note().value).toBe("Carried in it.");
  expect(onWritten).not.toHaveBeenCalled();
  expect(screen.getByRole("alert").textContent).toBe("");
});

test("without an answer nothing is lost, and it says so until it went through", async () => {
  vi.spyOn(api, "write")
    .mockRejectedValueOnce(new Error("No answer."))
    .mockResolvedValue(undefined as never);
  await userEvent.type(note(), "Two dots.");
  await enter();
  expect(screen.getByRole("alert").textContent).toBe("Not entered: No answer.");
  expect(note().value).toBe("Two dots.");
  await enter();
  expect(screen.getByRole("alert").textContent).toBe("");
  expect(note().value).toBe("");
});
