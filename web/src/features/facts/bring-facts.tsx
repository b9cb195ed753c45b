import { type RefObject, useRef, useState } from "react";
import { api } from "../../api/client";
import type { Book, FactsTold, OneMaker } from "../../api/types";
import { fromTo } from "../../format";
import { BringTable, type Brought } from "../bring-table";
import { type KnownFromAll, KnownFromAllFields } from "../bring-table/known-from-all";

const FACTS: Brought = {
  title: "Models and fittings out of a table",
  says: "Any table with a row for each. With a number it is a model: what it was called, its pattern, its years. Without one it is a shield, handle or other fitting: which, and its years as people write them.",
  table: "Table of models and fittings",
  one: "fact",
  several: "facts",
};

type Whose = Pick<OneMaker, "id" | "name">;

/** The way to a list of a maker's models or fittings one has. */
export function FactsOutOfATable({ maker, book }: { maker: Whose; book: Book | undefined }) {
  const button = useRef<HTMLButtonElement>(null);
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <button ref={button} type="button" className="press" onClick={() => setOpen(true)}>
        Out of a table
      </button>
      {isOpen && book && (
        <BringFacts maker={maker} book={book} from={button} onClose={() => setOpen(false)} />
      )}
    </>
  );
}

/** Models and fittings of one maker, unless a column says whose they are. */
export function BringFacts({
  maker,
  book,
  from,
  onClose,
}: {
  maker: Whose;
  book: Book;
  from: RefObject<HTMLElement | null>;
  onClose: () => void;
}) {
  return (
    <BringTable
      what={{ ...FACTS, title: `${maker.name}: models and fittings out of a table` }}
      first={{ sourceKind: "catalogue" } as KnownFromAll}
      besides={(forAll, onChange) => <KnownFromAllFields forAll={forAll} book={book} onChange={onChange} />}
      ask={(file, forAll, columns, keep) =>
        api.factsTable(file, { ...forAll, maker: maker.name }, columns, keep)
      }
      shows={(row) => <Becomes row={row} />}
      from={from}
      onClose={onClose}
    />
  );
}

function Becomes({ row: { slip, what } }: { row: FactsTold["read"]["rows"][number] }) {
  if (!slip) return null;
  return (
    <>
      {what}, <span className="num text-blue">{fromTo(slip)}</span>
      {slip.give > 0 && <span className="text-ink2">, within {slip.give} years</span>}
    </>
  );
}
