import { describe, expect, it } from "vitest";
import { cellsOf, doubted, edited, notation } from "./letters";

describe("a line of letters", () => {
  it("comes back from cells as it was written", () => {
    for (const line of ["QUILLFER", "QUILL_ER", "& D?A_", "SC*", "", "A? B"])
      expect(notation(cellsOf(line))).toBe(line);
  });

  it("takes a point for a lost letter and small letters for capitals", () => {
    expect(notation(edited([], "quill.er"))).toBe("QUILL_ER");
  });

  it("keeps the doubt of letters that were not touched", () => {
    const cells = cellsOf("QU?ILL");
    expect(notation(edited(cells, "QUXILL"))).toBe("QU?XILL");
    expect(notation(edited(cells, "QUIL"))).toBe("QU?IL");
    expect(notation(edited(cells, "UILL"))).toBe("U?ILL");
  });

  it("lets a letter be doubted and trusted again", () => {
    const once = doubted(cellsOf("DAX"), 2);
    expect(notation(once)).toBe("DAX?");
    expect(notation(doubted(once, 2))).toBe("DAX");
  });

  it("never doubts a lost letter: there is nothing to doubt", () => {
    expect(notation(doubted(cellsOf("D_"), 1))).toBe("D_");
  });
});
