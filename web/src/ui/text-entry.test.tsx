// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { useState } from "react";
import { afterEach, expect, test, vi } from "vitest";
import { type Readings, TextEntry } from "./text-entry";

const committed = vi.fn();
const READINGS: Readings = { reads: "length", onRead: vi.fn(), onReading: vi.fn(), onLeave: vi.fn() };

function Entry({ readings }: { readings?: Readings }) {
  const [value, setValue] = useState("92 mm");
  return (
    <TextEntry
      aria-label="Length"
      value={value}
      readings={readings}
      onCommit={(text) => {
        committed(text);
        setValue(text);
      }}
    />
  );
}

const entry = () => screen.getByLabelText<HTMLInputElement>("Length");

const press = (key: string, timeStamp: number) => {
  const event = new KeyboardEvent("keydown", { key, bubbles: true, cancelable: true });
  Object.defineProperty(event, "timeStamp", { value: timeStamp });
  fireEvent(entry(), event);
  return event;
};

afterEach(() => {
  cleanup();
  vi.clearAllMocks();
});

function typed(text: string, msToEnter: number, readings?: Readings) {
  render(<Entry readings={readings} />);
  entry().focus();
  fireEvent.change(entry(), { target: { value: text } });
  press("m", 1000);
  press("Enter", 1000 + msToEnter);
}

test("Enter hands over once and gives the keys back", () => {
  typed("93 mm", 120);
  expect(committed.mock.calls).toEqual([["93 mm"]]);
  expect(document.activeElement).not.toBe(entry());
});

test("a field that takes readings gives the keys back to a hand", () => {
  typed("93 mm", 120, READINGS);
  expect(committed.mock.calls).toEqual([["93 mm"]]);
  expect(document.activeElement).not.toBe(entry());
  expect(READINGS.onLeave).toHaveBeenCalled();
});

test("a field that takes readings stays for the next of a wedge", () => {
  typed("93 mm", 4, READINGS);
  expect(committed.mock.calls).toEqual([["93 mm"]]);
  expect(document.activeElement).toBe(entry());
  expect(READINGS.onLeave).not.toHaveBeenCalled();
});

test("Escape takes back what was not handed over, and only then leaves", () => {
  render(<Entry />);
  entry().focus();
  fireEvent.change(entry(), { target: { value: "9" } });
  expect(press("Escape", 1000).defaultPrevented).toBe(true);
  expect(entry().value).toBe("92 mm");
  expect(press("Escape", 1100).defaultPrevented).toBe(false);
  expect(committed).not.toHaveBeenCalled();
});

test("what is being typed stays when what is kept comes to be shown otherwise", () => {
  const kept = vi.fn();
  const { rerender } = render(<TextEntry aria-label="Length" value="92 mm" onCommit={kept} />);
  const field = screen.getByLabelText("Length") as HTMLInputElement;
  fireEvent.change(field, { target: { value: "93 mm" } });
  rerender(<TextEntry aria-label="Length" value="3 5/8 in" onCommit={kept} />);
  expect(field.value).toBe("93 mm");
  fireEvent.blur(field);
  expect(kept).toHaveBeenCalledExactlyOnceWith("93 mm");
  rerender(<TextEntry aria-label="Length" value="3 11/16 in" onCommit={kept} />);
  expect(field.value).toBe("3 11/16 in");
});
