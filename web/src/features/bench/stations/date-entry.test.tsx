// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, test, vi } from "vitest";
import { api, Refused } from "../../../api/client";
import { DateEntry } from "./date-entry";

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

function type(text: string) {
  const field = screen.getByLabelText("When");
  fireEvent.change(field, { target: { value: text } });
  fireEvent.blur(field);
}

test("what people write is kept as the server reads it; nothing is nothing", async () => {
  const onChange = vi.fn();
  const read = vi.spyOn(api, "date").mockResolvedValue({ edtf: "1936~", from: 1931, to: 1941 });
  const { rerender } = render(
    <DateEntry label="When" value={undefined} placeholder="" problem={undefined} onChange={onChange} />,
  );
  type("c. 1936");
  await waitFor(() => expect(onChange).toHaveBeenCalledWith("1936~"));
  expect(read).toHaveBeenCalledWith("c. 1936");
  rerender(<DateEntry label="When" value="1936~" placeholder="" problem={undefined} onChange={onChange} />);
  type("");
  expect(onChange).toHaveBeenLastCalledWith(undefined);
});

test("what may be two dates stays typed, with the question", async () => {
  const onChange = vi.fn();
  vi.spyOn(api, "date").mockRejectedValue(
    new Refused(400, "no", [
      { field: "written", given: "4/5/1936", accepted: "must say which is the month" },
    ]),
  );
  render(<DateEntry label="When" value="1935" placeholder="" problem={undefined} onChange={onChange} />);
  type("4/5/1936");
  await screen.findByText(/must say which is the month/);
  expect((screen.getByLabelText("When") as HTMLInputElement).value).toBe("4/5/1936");
  expect(onChange).not.toHaveBeenCalled();
});
