import { type RefObject, useEffect, useRef, useState } from "react";
import { api } from "../../api/client";
import type { Book, FactOffered, Specimen } from "../../api/types";
import { Dialog } from "../../ui/dialog";
import { SelectField } from "../../ui/select-field";
import { WhatItDoes } from "../../ui/what-it-does";
import { KeepIt } from "../by-example/known-from";
import { TryOut } from "../makers/try-out";
import { FactFields } from "./fact-fields";
import { type FactDraft, useFact } from "./use-fact";

/** A slip that puts what a maker fitted or listed on file. */
export function FactOnFile({
  title,
  first,
  offered = [],
  specimen,
  instead,
  book,
  from,
  onClose,
}: {
  title: string;
  first: FactDraft;
  /** What the knife in hand shows that may be put on file. */
  offered?: FactOffered[];
  specimen?: Specimen;
  /** Key of a fact of one's own that is written anew. */
  instead?: string;
  book: Book;
  from: RefObject<HTMLElement | null>;
  onClose: () => void;
}) {
  const fact = useFact(first, specimen, onClose, instead);
  const [which, setWhich] = useState("0");
  const fields = useRef<HTMLDivElement>(null);
  const isAmiss = fact.problems.length > 0;
  // On a small screen what is missing may be out of sight.
  useEffect(() => {
    if (isAmiss) fields.current?.querySelector<HTMLElement>("[aria-invalid=true]")?.focus();
  }, [isAmiss]);
  return (
    <Dialog open onClose={onClose} from={from} title={title}>
      <div ref={fields}>
        {offered.length > 1 && (
          <SelectField
            label="What this knife shows, and is not on file"
            className="mt-3"
            value={which}
            nothing="something else"
            options={offered.map((o, i) => ({ id: `${i}`, label: o.what }))}
            onChange={(now) => {
              setWhich(now ?? "");
              const chosen = now === undefined ? undefined : offered[Number(now)];
              fact.startWith(chosen?.slip ?? { kind: first.kind, maker: first.maker });
            }}
          />
        )}
        <FactFields draft={fact.draft} set={fact.set} book={book} problems={fact.problems} />
        {fact.does?.before && <WhatItDoes before={fact.does.before} after={fact.does.after} />}
        <TryOut of={fact.slip} begin={() => api.tryFact(fact.slip, instead)} />
        <KeepIt
          press={instead === undefined ? undefined : "Keep it so"}
          known={fact.known}
          onChange={fact.setKnown}
          book={book}
          problems={fact.problems}
          failed={fact.failed}
          onKeep={fact.file}
          onClose={onClose}
        />
      </div>
    </Dialog>
  );
}
