// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { useState } from "react";
import { afterEach, expect, test } from "vitest";
import type { Seen } from "../../api/types";
import { Answers, type Asked } from "./answers";
import { useAsking } from "./use-asking";

const asked = (id: string, label: string, answers: string[], picture?: string): Asked => ({
  id,
  label,
  answers: answers.map((a) => ({ id: a, label: a, picture })),
});

const ASKS = [
  asked("held", "How the shield is held", ["pins", "glue", "none"]),
  asked("shape", "Shape of the shield", ["bar", "crest"]),
  asked("device", "Device on the shield", ["ship"]),
];

let given: Record<string, Seen> = {};
let reached: string[] = [];

function Station({
  first = {},
  tellsMost = [],
  questions = ASKS,
}: {
  first?: Record<string, Seen>;
  tellsMost?: string[];
  questions?: Asked[];
}) {
  const [seen, setSeen] = useState(first);
  given = seen;
  const asking = useAsking(questions, seen, tellsMost);
  return (
    <section
      id="station"
      tabIndex={-1}
      aria-label="Station"
      onKeyDown={(e) => !e.defaultPrevented && reached.push(e.key)}
    >
      {asking && (
        <Answers
          {...asking}
          questions={questions}
          given={seen}
          onAnswer={(id, now) => {
            const { [id]: _, ...rest } = seen;
            setSeen(now ? { ...rest, [id]: now } : rest);
          }}
        />
      )}
    </section>
  );
}

const inHand = () => screen.getByRole("toolbar").getAttribute("aria-label");
const answer = (name: string) => screen.getByRole("button", { name });
const key = (name: string) => fireEvent.keyDown(document.activeElement as Element, { key: name });
const takeKeys = () => answer("cannot tell").focus();

afterEach(() => {
  cleanup();
  reached = [];
});

test("what would tell most is in hand first, else the first that is open", () => {
  render(<Station tellsMost={["elsewhere", "device", "shape"]} />);
  expect(inHand()).toBe("Answers: Device on the shield");
  cleanup();
  render(<Station first={{ held: { value: "pins", sureness: "sure" } }} />);
  expect(inHand()).toBe("Answers: Shape of the shield");
  cleanup();
  const all = Object.fromEntries(ASKS.map((q) => [q.id, { sureness: "cannot-tell" } as Seen]));
  render(<Station first={all} />);
  expect(inHand()).toBe("Answers: How the shield is held");
});

test("a press answers and the question stays in hand; pressed again it is taken back", () => {
  render(<Station />);
  fireEvent.click(answer("glue"));
  expect(given).toEqual({ held: { value: "glue", sureness: "sure" } });
  expect(answer("glue").getAttribute("aria-pressed")).toBe("true");
  cleanup();
  render(<Station tellsMost={["shape"]} />);
  fireEvent.click(answer("crest"));
  fireEvent.click(screen.getByRole("button", { name: /next$/ }));
  fireEvent.click(screen.getByRole("button", { name: /next$/ }));
  fireEvent.click(screen.getByRole("button", { name: /next$/ }));
  fireEvent.click(answer("crest"));
  expect(given).toEqual({});
});

test("a figure answers, keeps how sure one was, and the next question takes the keys", () => {
  render(<Station first={{ held: { value: "pins", sureness: "unsure" } }} tellsMost={["device"]} />);
  key("ArrowUp");
  takeKeys();
  key("ArrowUp");
  key("ArrowUp");
  expect(inHand()).toBe("Answers: How the shield is held");
  key("2");
  expect(given.held).toEqual({ value: "glue", sureness: "unsure" });
  expect(inHand()).toBe("Answers: Device on the shield");
  expect(document.activeElement).toBe(answer("ship"));
  key("0");
  expect(given.device).toEqual({ sureness: "cannot-tell" });
  expect(inHand()).toBe("Answers: Shape of the shield");
});

test("a figure without an answer is no command either; letters and figures with Ctrl pass by", () => {
  render(<Station />);
  takeKeys();
  key("7");
  expect(given).toEqual({});
  expect(reached).toEqual([]);
  key("g");
  fireEvent.keyDown(document.activeElement as Element, { key: "1", ctrlKey: true });
  expect(reached).toEqual(["g", "1"]);
  expect(given).toEqual({});
});

test("arrows go round the questions, delete takes an answer back, escape gives the keys back", () => {
  render(<Station first={{ device: { value: "ship", sureness: "sure" } }} />);
  takeKeys();
  key("ArrowUp");
  expect(inHand()).toBe("Answers: Device on the shield");
  expect(document.activeElement).toBe(answer("ship"));
  key("Delete");
  expect(given).toEqual({});
  key("ArrowDown");
  expect(inHand()).toBe("Answers: How the shield is held");
  key("Escape");
  expect(document.activeElement).toBe(screen.getByLabelText("Station"));
});

test("of many pictures the first twelve stand open and the rest are counted; of words all do", () => {
  const many = Array.from({ length: 20 }, (_, i) => `answer ${i + 1}`);
  render(<Station questions={[asked("handle", "Handle material", many, "drawn")]} />);
  expect(screen.getAllByRole("button")).toHaveLength(13);
  expect(screen.getByText("8 more, by name, in the field.")).toBeTruthy();
  cleanup();
  render(<Station questions={[asked("handle", "Handle material", many)]} />);
  expect(screen.getAllByRole("button")).toHaveLength(21);
  expect(screen.queryByText(/more, by name/)).toBeNull();
});
