// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { type ReactNode, useState } from "react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { api } from "../../api/client";
import type { ReadableEntry, SearchTold } from "../../api/types";
import { pressUndo } from "../../ui/press-undo";
import { ToastProvider } from "../../ui/toasts";
import { KeptSearches } from "../tray/kept-searches";
import { useSearch } from "../tray/use-search";
import { Several } from "./several";
import { Tags, tagsOf } from "./tags";

const shown = (what: ReactNode, at = "/tray") =>
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter initialEntries={[at]}>
        <ToastProvider>{what}</ToastProvider>
      </MemoryRouter>
    </QueryClientProvider>,
  );

const FOUND = {
  phrases: [],
  hits: [],
  left: 0,
  facets: [
    { id: "lies", label: "Where it lies", values: [{ value: "Drawer 1", of: 1, found: 1 }] },
    { id: "tag", label: "Tag", values: [{ value: "carried", of: 1, found: 1 }] },
  ],
} as unknown as SearchTold;

beforeEach(() => {
  vi.spyOn(api, "search").mockResolvedValue(FOUND);
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

it("parts what is typed by commas", () => {
  expect(tagsOf(" carried,to sell ;; ")).toEqual(["carried", "to sell"]);
});

function Holder({ told }: { told: (tags: string[]) => void }) {
  const [tags, setTags] = useState(["Carried"]);
  told(tags);
  return <Tags label="Tags" tags={tags} known={["carried", "gift"]} onChange={setTags} />;
}

it("adds tags by Enter, comma and on leaving, none twice, and takes the last back with Backspace", async () => {
  const user = userEvent.setup();
  const told = vi.fn();
  shown(<Holder told={told} />);
  const field = screen.getByLabelText("Tags");
  await user.type(field, "to sell{Enter}carried,gift");
  await user.tab();
  expect(told).toHaveBeenLastCalledWith(["Carried", "to sell", "gift"]);
  await user.type(field, "{Backspace}");
  expect(told).toHaveBeenLastCalledWith(["Carried", "to sell"]);
  await user.click(screen.getByLabelText("Take away Carried"));
  expect(told).toHaveBeenLastCalledWith(["to sell"]);
});

const knife = (id: string, place: string | undefined, tags: string[]) =>
  ({ id, place, tags }) as unknown as ReadableEntry;

it("moves and tags several at once, and undoes exactly that", async () => {
  const user = userEvent.setup();
  const before = [{ id: "a", place: "Drawer 1", tags: ["old"] }];
  const file = vi.spyOn(api, "file").mockResolvedValue(before);
  const back = vi.spyOn(api, "setFiling").mockResolvedValue([]);
  shown(<Several knives={[knife("a", "Drawer 1", ["old"]), knife("b", undefined, ["old", "gift"])]} />);
  await user.click(screen.getByRole("button", { name: "Place and tags" }));
  await user.type(screen.getByLabelText("Where they lie"), "Case 2{Enter}");
  expect(file).toHaveBeenLastCalledWith({ ids: ["a", "b"], place: "Case 2" });
  await user.type(screen.getByLabelText("Tag them"), "sold, gone{Enter}");
  expect(file).toHaveBeenLastCalledWith({ ids: ["a", "b"], tagged: ["sold", "gone"] });
  await user.click(screen.getByLabelText("Take gift away from 1 knife"));
  expect(file).toHaveBeenLastCalledWith({ ids: ["a", "b"], untagged: ["gift"] });
  await pressUndo(user);
  expect(back).toHaveBeenCalledWith(before);
});

it("tells why nothing was changed", async () => {
  const user = userEvent.setup();
  vi.spyOn(api, "file").mockRejectedValue(new Error("The disk is full."));
  shown(<Several knives={[knife("a", "Drawer 1", [])]} />);
  await user.click(screen.getByRole("button", { name: "Place and tags" }));
  await user.click(screen.getByText("No longer told"));
  expect(await screen.findByText("Nothing was changed. The disk is full.")).toBeTruthy();
  expect(screen.queryByText("Undo")).toBeNull();
});

function Searches() {
  const search = useSearch(true, 0);
  return (
    <>
      <p data-testid="asked">{search.asked}</p>
      <KeptSearches search={search} left={0} />
    </>
  );
}

it("keeps a search by a name that stands there already, comes back to it, and lets it go with a way back", async () => {
  const user = userEvent.setup();
  const kept: Awaited<ReturnType<typeof api.searches>> = [
    { id: "1", name: "For sale", q: "", in: ["tag:to sell"], found: 3 },
  ];
  vi.spyOn(api, "searches").mockImplementation(async () => [...kept]);
  const keep = vi.spyOn(api, "keepSearch").mockImplementation(async (id, s) => {
    const one = { id, name: s.name, q: s.q ?? "", in: s.in ?? [], found: 1 };
    kept.push(one);
    return one;
  });
  const gone = vi.spyOn(api, "removeSearch").mockImplementation(async (id) => {
    kept.splice(
      kept.findIndex((k) => k.id === id),
      1,
    );
    return undefined as never;
  });
  shown(<Searches />, "/tray?q=jack&in=lies%3ADrawer+1");
  await user.click(await screen.findByText("Keep this search"));
  expect((screen.getByLabelText("Its name") as HTMLInputElement).value).toBe("jack, Drawer 1");
  await user.keyboard("{Enter}");
  const named = { name: "jack, Drawer 1", q: "jack", in: ["lies:Drawer 1"] };
  expect(keep).toHaveBeenCalledWith(expect.any(String), named);
  await waitFor(() => expect(screen.queryByText("Keep this search")).toBeNull());
  await user.click(await screen.findByRole("button", { name: /For sale/ }));
  expect(screen.getByTestId("asked").textContent).toBe("in=tag%3Ato+sell");
  await user.click(await screen.findByLabelText("Remove For sale"));
  expect(gone).toHaveBeenCalledWith("1");
  await pressUndo(user);
  expect(keep).toHaveBeenLastCalledWith("1", { name: "For sale", q: "", in: ["tag:to sell"] });
});
