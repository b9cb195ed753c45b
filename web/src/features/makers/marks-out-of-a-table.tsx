import { useRef, useState } from "react";
import { useBook } from "../../api/book";
import { BringMarks } from "./bring-marks";

/** The way to a table of marks one has. */
export function MarksOutOfATable() {
  const book = useBook();
  const button = useRef<HTMLButtonElement>(null);
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <button ref={button} type="button" className="press" onClick={() => setOpen(true)}>
        Marks out of a table
      </button>
      {isOpen && book.data && <BringMarks book={book.data} from={button} onClose={() => setOpen(false)} />}
    </>
  );
}
