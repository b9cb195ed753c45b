// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { useState } from "react";
import { afterEach, expect, test } from "vitest";
import type { SeenOf } from "./seen";
import { SeenChoice } from "./seen-choice";

const OPTIONS = [
  { id: "celluloid", label: "Celluloid" },
  { id: "phenolic", label: "Phenolic resin" },
  { id: "horn", label: "Horn" },
];

const SHARES = [
  { id: "0.5", label: "as likely" },
  { id: "0.33", label: "less likely" },
  { id: "0.1", label: "hardly" },
];

let last: SeenOf<string> | undefined;

function Choice({ first, either }: { first?: SeenOf<string>; either?: boolean }) {
  const [seen, setSeen] = useState(first);
  last = seen;
  return (
    <SeenChoice
      label="Handle"
      seen={seen}
      options={OPTIONS}
      orElse={either ? SHARES : undefined}
      onChange={setSeen}
    />
  );
}

const choose = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });

afterEach(cleanup);

test("what is chosen was seen surely, and pressing makes it less sure", () => {
  render(<Choice />);
  choose("Handle", "horn");
  expect(last).toEqual({ value: "horn", sureness: "sure" });
  for (const sureness of ["likely", "unsure", "sure"]) {
    fireEvent.click(screen.getByLabelText(/Change how sure/));
    expect(last?.sureness).toBe(sureness);
  }
});

test("cannot tell has no value, and nothing is nothing", () => {
  render(<Choice first={{ value: "horn", sureness: "likely" }} />);
  choose("Handle", "cannot-tell");
  expect(last).toEqual({ sureness: "cannot-tell" });
  choose("Handle", "");
  expect(last).toBeUndefined();
});

test("it may be one of two, with the share of the other", () => {
  render(<Choice first={{ value: "celluloid", sureness: "likely" }} either />);
  fireEvent.click(screen.getByLabelText("Handle: or another answer"));
  const others = [...(screen.getByLabelText("Handle: or else") as HTMLSelectElement).options];
  expect(others.map((o) => o.value)).toEqual(["", "phenolic", "horn"]);
  choose("Handle: or else", "phenolic");
  expect(last).toEqual({ value: "celluloid", sureness: "likely", or: { phenolic: 0.5 } });
  choose("Handle: how likely the other", "0.1");
  expect(last?.or).toEqual({ phenolic: 0.1 });
  choose("Handle: or else", "horn");
  expect(last?.or).toEqual({ horn: 0.1 });
  fireEvent.click(screen.getByLabelText(/Change how sure/));
  expect(last).toEqual({ value: "celluloid", sureness: "unsure", or: { horn: 0.1 } });
  choose("Handle: or else", "");
  expect(last).toEqual({ value: "celluloid", sureness: "unsure" });
});

test("a share nobody offers is shown as it is kept", () => {
  render(<Choice first={{ value: "celluloid", sureness: "sure", or: { horn: 0.27 } }} either />);
  expect(screen.getByLabelText("Handle: how likely the other")).toHaveProperty("value", "");
  expect(screen.getByText("27%")).toBeTruthy();
});

test("another answer forgets what it might have been else", () => {
  render(<Choice first={{ value: "celluloid", sureness: "sure", or: { horn: 0.5 } }} either />);
  choose("Handle", "phenolic");
  expect(last).toEqual({ value: "phenolic", sureness: "sure" });
});

test("where there is one answer only, no other is offered", () => {
  render(<Choice first={{ value: "celluloid", sureness: "sure" }} />);
  expect(screen.queryByLabelText("Handle: or another answer")).toBeNull();
});

test("by the keyboard it is asked for with O on how sure", () => {
  render(<Choice first={{ value: "celluloid", sureness: "sure" }} either />);
  fireEvent.keyDown(screen.getByLabelText(/Change how sure/), { key: "o" });
  expect(screen.getByLabelText("Handle: or else")).toBeTruthy();
});

test("its place in the row is the same with a second answer and without", () => {
  const props = {
    label: "Handle",
    options: OPTIONS,
    orElse: SHARES,
    className: "wide",
    onChange: () => undefined,
  };
  const { container, rerender } = render(<SeenChoice {...props} seen={undefined} />);
  for (const seen of [
    undefined,
    { value: "horn", sureness: "sure" as const },
    { value: "horn", sureness: "sure" as const, or: { celluloid: 0.5 } },
  ]) {
    rerender(<SeenChoice {...props} seen={seen} />);
    expect(container.querySelectorAll(".wide")).toHaveLength(1);
    expect((container.firstChild as HTMLElement).className).toContain("wide");
  }
});
