// @vitest-environment happy-dom
import { act, cleanup, render, screen } from "@testing-library/react";
import { useState } from "react";
import { afterEach, expect, test } from "vitest";
import { useGoing } from "./use-going";

let arrive: (station: string) => void;

/** A bench whose stations come when they are told to. */
function Bench() {
  const [station, setStation] = useState("pattern");
  arrive = setStation;
  const go = useGoing(station, () => {});
  return (
    <>
      <button type="button" onClick={() => go("blades")}>
        To the blades
      </button>
      <button type="button" onClick={() => go("pattern")}>
        To the pattern
      </button>
      <button type="button">Answer</button>
      <section id="station" tabIndex={-1}>
        {station}
      </section>
    </>
  );
}

const press = (name: string) => {
  screen.getByText(name).focus();
  screen.getByText(name).click();
};

afterEach(cleanup);

test("the station one went to takes the keys when it is there", () => {
  render(<Bench />);
  press("To the blades");
  expect(document.activeElement).toBe(screen.getByText("To the blades"));
  act(() => arrive("blades"));
  expect(document.activeElement?.id).toBe("station");
});

test("who has gone on to another control before the station came keeps it", () => {
  render(<Bench />);
  press("To the blades");
  screen.getByText("Answer").focus();
  act(() => arrive("blades"));
  expect(document.activeElement).toBe(screen.getByText("Answer"));
});

test("a station that changes by itself takes no keys; the one in hand does so again", () => {
  render(<Bench />);
  screen.getByText("Answer").focus();
  act(() => arrive("blades"));
  expect(document.activeElement).toBe(screen.getByText("Answer"));
  act(() => arrive("pattern"));
  press("To the pattern");
  expect(document.activeElement?.id).toBe("station");
});
