// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import { Opened, together } from "./opened";

afterEach(cleanup);

const asked = <T,>(data: T | undefined, error: Error | null = null) => ({ data, error, refetch: vi.fn() });
const shown = (of: Parameters<typeof Opened<readonly [string, number]>>[0]["of"]) =>
  render(
    <Opened of={of} failed="They could not be laid out." meanwhile="Laying them out.">
      {([name, many]) => `${name} ${many}`}
    </Opened>,
  );

it("shows two things once both are here", () => {
  shown(together(asked("jack"), asked(2)));
  expect(screen.getByText("jack 2")).toBeTruthy();
});

it("waits for the one that is not", () => {
  shown(together(asked("jack"), asked<number>(undefined)));
  expect(screen.getByText("Laying them out.")).toBeTruthy();
});

it("tells why one of them is not to be had, and asks for that one again", () => {
  const [good, bad] = [asked("jack"), asked<number>(undefined, new Error("No answer."))];
  shown(together(good, bad));
  expect(screen.getByRole("alert").textContent).toContain("They could not be laid out. No answer.");
  fireEvent.click(screen.getByText("Try again"));
  expect(bad.refetch).toHaveBeenCalledOnce();
  expect(good.refetch).not.toHaveBeenCalled();
});
