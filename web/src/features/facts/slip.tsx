import { type RefObject, useRef, useState } from "react";
import { api } from "../../api/client";
import type { Book, FactOffered, Specimen } from "../../api/types";
import { Dialog } from "../../ui/dialog";
import { SelectField } from "../../ui/select-field";
import { useToWhatIsAmiss } from "../../ui/to-what-is-amiss";
import { WhatItDoes } from "../../ui/what-it-does";
import { KeepIt } from "../by-example/known-from";
import { TryOut } from "../makers/try-out";
import { FactFields } from "./fact-fields";
import { type FactDraft, useFact } from "./use-fact";

/** A slip that puts what a maker fitted or listed on file. */
export function FactOnFile({ title, offered = [], specimen, ...of }: OfFact) {
  const { first, instead, book, from, onClose } = of;
  const fact = useFact(first, specimen, onClose, instead);
  const fields = useRef<HTMLDivElement>(null);
  useToWhatIsAmiss(fields, fact.problems.length > 0);
  return (
    <Dialog open onClose={onClose} from={from} title={title}>
      <div ref={fields}>
        {offered.length > 1 && (
          <WhichOfThese
            offered={offered}
            onChange={(chosen) => fact.startWith(chosen ?? { kind: first.kind, maker: first.maker })}
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

interface OfFact {
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
}

function WhichOfThese({
  offered,
  onChange,
}: {
  offered: FactOffered[];
  onChange: (chosen: FactDraft | undefined) => void;
}) {
  const [which, setWhich] = useState<string | undefined>("0");
  return (
    <SelectField
      label="What this knife shows, and is not on file"
      className="mt-3"
      value={which}
      nothing="something else"
      options={offered.map((o, i) => ({ id: `${i}`, label: o.what }))}
      onChange={(now) => {
        setWhich(now);
        onChange(now === undefined ? undefined : offered[Number(now)]?.slip);
      }}
    />
  );
}
