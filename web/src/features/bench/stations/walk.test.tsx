// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { useState } from "react";
import { afterEach, expect, test } from "vitest";
import type { Question, Seen } from "../../../api/types";
import { Walk } from "./walk";

const question = (id: string, label: string, answers: string[]): Question => ({
  id,
  station: "frame",
  label,
  asked: "once",
  answers: answers.map((a) => ({ id: a, label: a, lookFor: "", why: "" })),
});

const ASKS = [
  question("corners", "Kick corners", ["finished", "as cut"]),
  question("springs", "Back of the springs", ["polished", "as ground"]),
];

let last: Record<string, Seen> = {};

function Quick({ first = {} }: { first?: Record<string, Seen> }) {
  const [seen, setSeen] = useState(first);
  last = seen;
  return (
    <Walk
      name="Build quality"
      questions={ASKS}
      seen={seen}
      said={{ corners: "against Britain by 4 to 1 (6 decibans)" }}
      isOpen
      asked="corners"
      howToKnow="Feel with a nail."
      onAsk={() => undefined}
      onChange={(id, now) => {
        const { [id]: _, ...rest } = seen;
        setSeen(now ? { ...rest, [id]: now } : rest);
      }}
    />
  );
}

const press = (name: string, within = 0) =>
  fireEvent.click(screen.getAllByRole("button", { name })[within] as HTMLElement);

afterEach(cleanup);

test("one press answers, another answer takes its place, and pressing again takes it back", () => {
  render(<Quick />);
  press("as cut");
  expect(last).toEqual({ corners: { value: "as cut", sureness: "sure" } });
  press("finished");
  expect(last.corners?.value).toBe("finished");
  press("finished");
  expect(last).toEqual({});
});

test("it counts what was looked at, and looking in vain counts too", () => {
  render(<Quick />);
  expect(screen.getByText(/0 of 2 looked at/)).toBeTruthy();
  press("cannot tell", 1);
  expect(last).toEqual({ springs: { sureness: "cannot-tell" } });
  expect(screen.getByText(/1 of 2 looked at/)).toBeTruthy();
});

test("another answer keeps how sure it was, but for one that could not be told", () => {
  render(
    <Quick
      first={{ corners: { value: "finished", sureness: "unsure" }, springs: { sureness: "cannot-tell" } }}
    />,
  );
  press("as cut");
  expect(last.corners).toEqual({ value: "as cut", sureness: "unsure" });
  press("polished");
  expect(last.springs).toEqual({ value: "polished", sureness: "sure" });
});

test("how to know it stands under the question in hand once it is answered", () => {
  render(<Quick />);
  expect(screen.queryByText("Feel with a nail.")).toBeNull();
  press("as cut");
  expect(screen.getByText("Feel with a nail.")).toBeTruthy();
});

test("what it says of a country stands beside it", () => {
  render(<Quick />);
  expect(screen.getByText("against Britain by 4 to 1 (6 decibans)")).toBeTruthy();
});

test("each question is one stop for Tab, and arrows go from answer to answer", () => {
  render(<Quick />);
  const stops = screen.getAllByRole("button").filter((b) => b.tabIndex === 0);
  expect(stops.length).toBeLessThanOrEqual(2);
  expect(screen.getAllByRole("toolbar")).toHaveLength(2);
});
