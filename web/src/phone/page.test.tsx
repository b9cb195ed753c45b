// @vitest-environment happy-dom
import { act, cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { Asked } from "./line";
import { PhonePage } from "./page";

const asked: Asked = {
  knife: "The worn one",
  role: "tang",
  roles: [
    { id: "tang", label: "a tang" },
    { id: "shield", label: "the shield" },
  ],
  tang: "Tang 1, mark side",
  lines: ["V_L?DR"],
  wouldTell: ["Letter 2: O, not A."],
  secondsLeft: 61,
  taken: 0,
};

/** Requests that went out, and what answers them. */
let requests: { path: string; body?: unknown }[] = [];
let answer: () => Response;
let uploads: FakeUpload[] = [];

class FakeUpload {
  upload: { onprogress?: (e: object) => void } = {};
  onload = () => {};
  onerror = () => {};
  status = 0;
  responseText = "";
  path = "";
  body: unknown;
  open(_: string, path: string) {
    this.path = path;
  }
  setRequestHeader() {}
  send(body: unknown) {
    this.body = body;
    uploads.push(this);
  }
  answers(status: number, text = "{}") {
    this.status = status;
    this.responseText = text;
    act(() => this.onload());
  }
}

const json = (body: unknown, status = 200) => new Response(JSON.stringify(body), { status });

beforeEach(() => {
  requests = [];
  uploads = [];
  answer = () => json(asked);
  vi.stubGlobal("fetch", async (path: string, init: { body?: unknown }) => {
    requests.push({ path, body: init.body });
    return answer();
  });
  vi.stubGlobal("XMLHttpRequest", FakeUpload);
  location.hash = "#the-code";
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const photograph = (name: string) => {
  const input = screen.getByLabelText("Photograph", { selector: "input" });
  fireEvent.change(input, { target: { files: [new File(["x"], name, { type: "image/jpeg" })] } });
};

test("the code lets it in, and is gone from the address", async () => {
  render(<PhonePage />);
  await screen.findByText("Tang 1, mark side");
  expect(requests[0]).toEqual({ path: "/in", body: "the-code" });
  expect(location.hash).toBe("");
  screen.getByText("Letter 2: O, not A.");
  const letters = screen.getByLabelText("Letters to read");
  expect(letters.querySelector("p")?.textContent).toBe("V\u00b7L doubtfulDR");
  expect([...letters.querySelectorAll(".text-lead")].map((l) => l.textContent)).toEqual([
    "\u00b7",
    "L doubtful",
  ]);
  screen.getByText("2");
});

test("loaded again it asks with what it was let in by", async () => {
  location.hash = "";
  render(<PhonePage />);
  await screen.findByText("Tang 1, mark side");
  expect(requests[0]).toEqual({ path: "/now", body: undefined });
});

test("a code that is not taken is told, and there is nothing to press", async () => {
  answer = () => json({ detail: "This code was used already." }, 403);
  render(<PhonePage />);
  await screen.findByText("This code was used already.");
  expect(screen.queryByText("Take a photograph")).toBeNull();
});

test("a bench that did not answer is asked once more with the code", async () => {
  vi.useFakeTimers();
  answer = () => {
    throw new TypeError("no network");
  };
  render(<PhonePage />);
  await act(() => vi.advanceTimersByTimeAsync(10));
  screen.getByText(/does not answer/);
  answer = () => json(asked);
  await act(() => vi.advanceTimersByTimeAsync(4100));
  vi.useRealTimers();
  await screen.findByText("Tang 1, mark side");
  expect(requests.map((r) => r.body)).toEqual(["the-code", "the-code"]);
});

test("photographs go one after the other, as what they show, and tell how far they are", async () => {
  render(<PhonePage />);
  await screen.findByText("Tang 1, mark side");
  photograph("one.jpg");
  fireEvent.click(screen.getByText("the shield"));
  photograph("two.jpg");
  await waitFor(() => expect(uploads).toHaveLength(1));
  expect(uploads[0]?.path).toBe("/photos?role=tang");
  screen.getByText("Waits for its turn.");
  act(() => uploads[0]?.upload.onprogress?.({ lengthComputable: true, loaded: 3, total: 4 }));
  screen.getByText("75%");
  uploads[0]?.answers(201);
  await waitFor(() => expect(uploads).toHaveLength(2));
  expect(uploads[1]?.path).toBe("/photos?role=shield");
  screen.getByText("On file with the knife.");
});

test("one that was refused says why and is sent again", async () => {
  render(<PhonePage />);
  await screen.findByText("Tang 1, mark side");
  photograph("one.jpg");
  await waitFor(() => expect(uploads).toHaveLength(1));
  uploads[0]?.answers(507, JSON.stringify({ detail: "The disk is full." }));
  await screen.findByText("Not kept. The disk is full.");
  fireEvent.click(screen.getByText("Send again"));
  await waitFor(() => expect(uploads).toHaveLength(2));
  expect(uploads[1]?.body).toBe(uploads[0]?.body);
  uploads[1]?.answers(201);
  await screen.findByText("On file with the knife.");
});

test("what has ended keeps what was taken in sight", async () => {
  vi.useFakeTimers();
  render(<PhonePage />);
  await act(() => vi.advanceTimersByTimeAsync(10));
  photograph("one.jpg");
  await act(() => vi.advanceTimersByTimeAsync(10));
  uploads[0]?.answers(201);
  await act(() => vi.advanceTimersByTimeAsync(10));
  answer = () => json({ detail: "This has ended. Begin anew at the bench." }, 410);
  await act(() => vi.advanceTimersByTimeAsync(4100));
  vi.useRealTimers();
  screen.getByText("This has ended. Begin anew at the bench.");
  screen.getByText("On file with the knife.");
  expect(screen.queryByText("Take a photograph")).toBeNull();
});
