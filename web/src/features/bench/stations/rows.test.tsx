// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { useState } from "react";
import { afterEach, expect, test } from "vitest";
import { Rows } from "./rows";

interface Event {
  what: string;
  when?: string;
}

function Events({ first = [] as string[] }) {
  const [entries, setEntries] = useState<Event[]>(first.map((what) => ({ what })));
  return (
    <>
      <button type="button" onClick={() => setEntries([...entries, { what: "elsewhere" }])}>
        From elsewhere
      </button>
      <Rows
        entries={entries}
        name="Event"
        change={setEntries}
        blank={{ what: "" }}
        add="Add an event"
        empty="None yet."
      >
        {(entry, set, place) => (
          <>
            <input
              aria-label={`What ${place + 1}`}
              value={entry.what}
              onChange={(e) => set({ what: e.target.value })}
            />
            <button
              type="button"
              onClick={() => {
                // Two answers that come before the list is drawn anew.
                set({ when: "1936" });
                set({ what: "found" });
              }}
            >
              {entry.when ?? "When"} {place + 1}
            </button>
          </>
        )}
      </Rows>
    </>
  );
}

const press = (name: string) => fireEvent.click(screen.getByRole("button", { name }));
const focused = () => (document.activeElement as HTMLElement).getAttribute("aria-label");

afterEach(cleanup);

test("an empty list says so until something is added", () => {
  render(<Events />);
  expect(screen.getByText("None yet.")).toBeTruthy();
  press("Add an event");
  expect(screen.queryByText("None yet.")).toBeNull();
});

test("the focus goes to the first field of a new row, and to the button once a row is removed", () => {
  render(<Events first={["bought"]} />);
  press("Add an event");
  expect(focused()).toBe("What 2");
  press("Remove event 1");
  expect(document.activeElement?.textContent).toBe("Add an event");
  expect(screen.getByLabelText<HTMLInputElement>("What 1").value).toBe("");
});

test("a row that comes by undo or from elsewhere takes no focus", () => {
  render(<Events first={["bought"]} />);
  screen.getByLabelText("What 1").focus();
  press("From elsewhere");
  expect(focused()).toBe("What 1");
});

test("what is written goes to its own row", () => {
  render(<Events first={["bought", "sold"]} />);
  fireEvent.change(screen.getByLabelText("What 2"), { target: { value: "given" } });
  expect(screen.getByLabelText<HTMLInputElement>("What 1").value).toBe("bought");
  expect(screen.getByLabelText<HTMLInputElement>("What 2").value).toBe("given");
});

test("what changes twice before the list is drawn anew is all kept", () => {
  render(<Events first={["bought", "sold"]} />);
  press("When 2");
  expect(screen.getByRole("button", { name: "1936 2" })).toBeTruthy();
  expect(screen.getByLabelText<HTMLInputElement>("What 2").value).toBe("found");
  expect(screen.getByLabelText<HTMLInputElement>("What 1").value).toBe("bought");
});
