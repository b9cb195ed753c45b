// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { useState } from "react";
import { afterEach, expect, test } from "vitest";
import type { Book, Specimen, StoryEvent } from "../../../api/types";
import { PreferencesProvider } from "../../../preferences";
import type { Knife } from "../use-knife";
import { StoryStation } from "./story";

const answers = (...ids: string[]) => ids.map((id) => ({ id, label: id, lookFor: "", why: "" }));
const book = {
  regions: [],
  makers: [],
  choices: { story: answers("bought", "advertised"), source: answers("hearsay", "family") },
  questions: [
    { id: "shield", station: "shield", label: "Shield", asked: "once", answers: answers("bar", "oval") },
    { id: "bail", station: "frame", label: "Bail", asked: "once", answers: answers("wire") },
    { id: "etch", station: "blades", label: "Etch", asked: "each-blade", answers: answers("words") },
  ],
} as unknown as Book;

let last: StoryEvent[] = [];
let note: string | undefined;

function Story({ first }: { first: StoryEvent[] }) {
  const [specimen, setSpecimen] = useState({ story: first } as unknown as Specimen);
  last = specimen.story;
  note = specimen.note;
  const knife = { specimen, problems: [], change: setSpecimen } as unknown as Knife;
  return (
    <PreferencesProvider>
      <StoryStation knife={knife} book={book} />
    </PreferencesProvider>
  );
}

const choose = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const WHAT = "Such a knife is shown with";

afterEach(cleanup);

test("only an advertisement is asked what it shows", () => {
  render(<Story first={[{ kind: "bought", source: "dealer" }]} />);
  expect(screen.queryByLabelText(WHAT)).toBeNull();
  choose("What", "advertised");
  expect(screen.getByLabelText(WHAT)).toBeTruthy();
});

test("a look is chosen, then what is shown of it; both are taken back with the answer", () => {
  render(<Story first={[{ kind: "advertised", source: "catalogue", date: "1912" }]} />);
  choose(WHAT, "shield");
  expect(last[0]?.shows).toBeUndefined();
  choose("Shown with: shield", "oval");
  expect(last[0]?.shows).toEqual({ shield: "oval" });
  choose("Shown with: shield", "");
  expect(last[0]?.shows).toBeUndefined();
});

test("several looks may be shown, each asked for once, and what is asked of each blade is not among them", () => {
  render(
    <Story first={[{ kind: "advertised", source: "catalogue", date: "1912", shows: { shield: "bar" } }]} />,
  );
  const left = [...screen.getByLabelText<HTMLSelectElement>(WHAT).options].map((o) => o.value);
  expect(left).toEqual(["", "bail"]);
  choose(WHAT, "bail");
  choose("Shown with: bail", "wire");
  expect(last[0]?.shows).toEqual({ shield: "bar", bail: "wire" });
});

test("what stands there stays when the kind of event is changed", () => {
  render(<Story first={[{ kind: "dated", source: "book", date: "1912", shows: { shield: "bar" } }]} />);
  expect(screen.getByLabelText<HTMLSelectElement>("Shown with: shield").value).toBe("bar");
});

test("a note is kept when its field is left, and is nothing at all where it is emptied", () => {
  render(<Story first={[]} />);
  const field = screen.getByLabelText("Your note");
  fireEvent.change(field, { target: { value: "From the fair.\nNo. 14" } });
  expect(note).toBeUndefined();
  fireEvent.blur(field);
  expect(note).toBe("From the fair.\nNo. 14");
  fireEvent.change(field, { target: { value: "  " } });
  fireEvent.blur(field);
  expect(note).toBeUndefined();
});
