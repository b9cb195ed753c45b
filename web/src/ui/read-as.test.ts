import { expect, test } from "vitest";
import { readAs } from "./read-as";

test("a report says how a table was read, of one row as of many", () => {
  const read = { separator: "tab", encoding: "UTF-8", headed: true };
  expect(readAs(1, read)).toBe("1 row, parted by tab, read as UTF-8");
  expect(readAs(2000, { ...read, headed: false })).toBe(
    `${(2000).toLocaleString()} rows, parted by tab, read as UTF-8, without headings`,
  );
});
