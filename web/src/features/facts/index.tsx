import { useRef, useState } from "react";
import { api } from "../../api/client";
import { useOwnReferences } from "../../api/own";
import type { Book, FactOffered, FactSlip, OneMaker, OwnFact, Specimen, Verdict } from "../../api/types";
import { fromTo } from "../../format";
import { useToast } from "../../ui/toasts";
import { FactsOutOfATable } from "./bring-facts";
import { FactOnFile } from "./slip";
import { ShownByMine } from "./witness";

/** The ways to put a maker's fittings and models on file, and what one put there oneself. */
export function FactsOf({
  maker,
  own,
  book,
}: {
  maker: Pick<OneMaker, "id" | "name">;
  own: OwnFact[];
  book: Book | undefined;
}) {
  return (
    <section aria-label="Fittings and models of mine" className="mt-2">
      <p className="no-print flex flex-wrap gap-2">
        <NewFact kind="fitting" maker={maker} book={book} />
        <NewFact kind="model" maker={maker} book={book} />
        <NewFact kind="owner" maker={maker} book={book} />
        <NewFact kind="contract" maker={maker} book={book} />
        <FactsOutOfATable maker={maker} book={book} />
      </p>
      <ul>
        {own.map((fact) => (
          <MyFact key={fact.key} fact={fact} book={book} />
        ))}
      </ul>
      {book && <ShownByMine maker={maker} book={book} />}
    </section>
  );
}

const KINDS = {
  fitting: { press: "Put a fitting on file", title: "What it fitted, and when" },
  model: { press: "Put a model on file", title: "A model, and its years" },
  owner: { press: "Put an owner on file", title: "Whose it was, and when" },
  contract: { press: "Put a contract on file", title: "Who made its knives, and when" },
};

function NewFact({
  kind,
  maker,
  book,
}: {
  kind: keyof typeof KINDS;
  maker: Pick<OneMaker, "id" | "name">;
  book: Book | undefined;
}) {
  const button = useRef<HTMLButtonElement>(null);
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <button ref={button} type="button" className="press" onClick={() => setOpen(true)}>
        {KINDS[kind].press}
      </button>
      {isOpen && book && (
        <FactOnFile
          title={`${maker.name}: ${KINDS[kind].title.toLowerCase()}`}
          first={{ kind, maker: maker.id, give: kind === "fitting" ? 0 : undefined }}
          book={book}
          from={button}
          onClose={() => setOpen(false)}
        />
      )}
    </>
  );
}

/** A fact one put on file oneself can be written anew, and taken out again. */
function MyFact({ fact, book }: { fact: OwnFact; book: Book | undefined }) {
  return (
    <li className="no-print flex gap-x-4 border-t border-rule py-0.5">
      <span className="num shrink-0 text-blue">{fromTo(fact)}</span>
      <span className="grow">
        {fact.what} <span className="voice text-ink2">put on file by me</span>
      </span>
      {book && <ChangeFact fact={fact} book={book} />}
      <TakeOutFact fact={fact} />
    </li>
  );
}

type Named = Pick<OwnFact, "maker" | "key" | "what">;

/** Takes a fact one put on file oneself out again. */
export function TakeOutFact({ fact }: { fact: Named }) {
  const { turn, undo } = useOwnReferences();
  return (
    <button
      type="button"
      className="min-h-6 shrink-0 underline"
      aria-label={`Take out ${fact.what}`}
      onClick={() => turn(api.removeFact(fact.maker, fact.key), `${fact.what} is taken off the file.`, undo)}
    >
      Take out
    </button>
  );
}

/** Opens a fact one put on file oneself as a slip, to be written anew. */
export function ChangeFact({ fact, book }: { fact: Named; book: Book }) {
  const button = useRef<HTMLButtonElement>(null);
  const [slip, setSlip] = useState<FactSlip>();
  const toast = useToast();
  const open = async () => {
    try {
      setSlip(await api.ownFact(fact.maker, fact.key));
    } catch (e) {
      toast(`The slip could not be opened. ${(e as Error).message}`);
    }
  };
  return (
    <>
      <button
        ref={button}
        type="button"
        className="min-h-6 shrink-0 underline"
        aria-label={`Change ${fact.what}`}
        onClick={open}
      >
        Change
      </button>
      {slip && (
        <FactOnFile
          title="Change what is on file"
          first={slip}
          instead={fact.key}
          book={book}
          from={button}
          onClose={() => setSlip(undefined)}
        />
      )}
    </>
  );
}

interface OfKnife {
  verdict: Verdict | undefined;
  specimen: Specimen;
  station: string;
  book: Book;
}

/** Puts on file what the knife in hand shows at a station and its likeliest maker is not known for. */
export function FactsOfKnife({ verdict, ...knife }: OfKnife) {
  const likeliest = verdict?.dating.makers[0];
  return likeliest?.maker ? <OfMaker name={likeliest.label} {...knife} /> : null;
}

function OfMaker({ name, specimen, station, book }: Omit<OfKnife, "verdict"> & { name: string }) {
  const button = useRef<HTMLButtonElement>(null);
  const [offered, setOffered] = useState<FactOffered[]>();
  const toast = useToast();
  const open = async () => {
    try {
      const all = (await api.factsOffered(specimen)).filter((o) => o.station === station);
      if (all.length === 0) toast(`Nothing seen here is new of ${name}.`);
      else setOffered(all);
    } catch (e) {
      toast(`No slip could be made out. ${(e as Error).message}`);
    }
  };
  return (
    <p className="no-print mt-2">
      <button ref={button} type="button" className="press" onClick={open}>
        Put on file for {name}
      </button>
      {offered?.[0] && (
        <FactOnFile
          title={`On file for ${name}`}
          first={offered[0].slip}
          offered={offered}
          specimen={specimen}
          book={book}
          from={button}
          onClose={() => setOffered(undefined)}
        />
      )}
    </p>
  );
}
