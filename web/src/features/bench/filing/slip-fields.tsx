import type { ReactNode } from "react";
import type { Book, Problem } from "../../../api/types";
import { sentence } from "../../../format";
import { Field } from "../../../ui/field";
import { SelectField } from "../../../ui/select-field";
import { TextField } from "../../../ui/text-field";
import { whole } from "../../../ui/whole";
import { Lines } from "../stations/lines";
import type { Draft } from "./use-slip";

/** All that a slip asks: whose the mark is, what is struck where, its years, and how one knows. */
export function SlipFields({
  slip,
  set,
  book,
  problems,
  isFilledIn = false,
}: {
  slip: Draft;
  set: (what: Draft) => void;
  book: Book;
  problems: Problem[];
  /** Whether its years are still those that were worked out from a knife. */
  isFilledIn?: boolean;
}) {
  const problem = (field: string) => problems.find((p) => p.field === field);
  const lettersAmiss = (side: Side) =>
    problems.find((p) => p.field === side || p.field.startsWith(`${side}[`));
  const fields = { slip, set, book, problem, lettersAmiss };
  return (
    <>
      <Whose {...fields} />
      <Struck {...fields} />
      <InUse {...fields} isFilledIn={isFilledIn} />
      <Known {...fields} />
    </>
  );
}

type Side = "lines" | "pile" | "etch";

interface Part {
  slip: Draft;
  set: (what: Draft) => void;
  book: Book;
  problem: (field: string) => Problem | undefined;
  /** What is amiss with the letters of a side, whichever line it is. */
  lettersAmiss: (side: Side) => Problem | undefined;
}

/** Whose mark it is; of a maker not on file yet, also where it worked. */
function Whose({ slip, set, book, problem }: Part) {
  const isKnown = book.makers.some((m) => m.name.toLowerCase() === slip.maker?.trim().toLowerCase());
  return (
    <div className="mt-3 grid gap-x-5 gap-y-1 sm:grid-cols-3">
      <Field
        label="Maker"
        problem={problem("maker")}
        hint={!slip.maker || isKnown ? undefined : "not on file yet"}
      >
        {(ids) => <MakerEntry ids={ids} slip={slip} set={set} book={book} />}
      </Field>
      {!isKnown && (
        <>
          <SelectField
            label="Country"
            problem={problem("region")}
            value={slip.region}
            nothing="choose"
            options={book.regions.map((r) => ({ id: r.id, label: sentence(r.name) }))}
            onChange={(region) => set({ region })}
          />
          <TextField label="Town" value={slip.place} onCommit={(place) => set({ place })} />
        </>
      )}
    </div>
  );
}

function MakerEntry({ ids, slip, set, book }: Pick<Part, "slip" | "set" | "book"> & { ids: object }) {
  return (
    <>
      <input
        {...ids}
        className="entry"
        // biome-ignore lint/a11y/noAutofocus: one opened the slip to write, and a space on Close would close it
        autoFocus
        list="slip-makers"
        autoComplete="off"
        maxLength={120}
        value={slip.maker ?? ""}
        data-empty={!slip.maker}
        onChange={(e) => set({ maker: e.target.value || undefined })}
      />
      <datalist id="slip-makers">
        {book.makers.map((m) => (
          <option key={m.id} value={m.name} />
        ))}
      </datalist>
    </>
  );
}

/** What is struck where, with every letter. */
function Struck(part: Part) {
  const { slip, set, lettersAmiss } = part;
  const letters = (face: Side) => lettersAmiss(face)?.accepted;
  return (
    <div className="mt-3 grid gap-x-5 gap-y-2 sm:grid-cols-2">
      <Letters name="Mark side" told={letters("lines")}>
        <Lines of="of the mark side" lines={slip.lines ?? []} onChange={(lines) => set({ lines })} />
      </Letters>
      <Letters name="Pile side" told={letters("pile")}>
        <Lines of="of the pile side" lines={slip.pile ?? []} onChange={(pile) => set({ pile })} />
      </Letters>
      {/* Read on the knife, it may have lost letters like the others. */}
      {(slip.etch ?? []).length > 0 && (
        <Letters name="Flat of the blade" told={letters("etch")}>
          <Lines of="of the etch" lines={slip.etch ?? []} onChange={(etch) => set({ etch })} />
        </Letters>
      )}
      <HowStruck {...part} />
    </div>
  );
}

function HowStruck({ slip, set, book, problem }: Part) {
  return (
    <>
      <SelectField
        label="How it was marked"
        problem={problem("technique")}
        value={slip.technique}
        nothing="choose"
        options={book.choices.technique}
        onChange={(t) => set({ technique: t as Draft["technique"] })}
      />
      <SelectField
        label="Shape of the lettering"
        problem={problem("layout")}
        value={slip.layout}
        nothing="not looked at"
        options={book.choices.layout}
        onChange={(l) => set({ layout: l as Draft["layout"] })}
      />
      <label className="flex min-h-6 items-center gap-2">
        <input
          type="checkbox"
          checked={slip.everyBlade ?? false}
          onChange={(e) => set({ everyBlade: e.target.checked })}
        />
        The small blades carry it too
      </label>
    </>
  );
}

function Letters({ name, told, children }: { name: string; told: string | undefined; children: ReactNode }) {
  return (
    <div className="min-w-0">
      <p className="text-[0.78125rem]/4 text-ink2">{name}</p>
      {children}
      {told && <p className="text-[0.78125rem]/4 text-lead">{sentence(told)}.</p>}
    </div>
  );
}

/** Its years, as all else on the knife has them until one knows better. */
function InUse({ slip, set, problem, isFilledIn }: Part & { isFilledIn: boolean }) {
  return (
    <div className="mt-3 grid grid-cols-3 gap-x-5">
      {(["from", "to", "give"] as const).map((field) => (
        <TextField
          key={field}
          label={YEARS[field]}
          maxLength={4}
          entryClassName="num"
          value={slip[field] === undefined ? undefined : `${slip[field]}`}
          problem={problem(field)}
          onCommit={(text) => set({ [field]: whole(text) })}
        />
      ))}
      {isFilledIn && (
        <p className="voice col-span-3 text-xs text-ink3">
          The years this knife may be of, by all else on it: better ones go in their place.
        </p>
      )}
    </div>
  );
}

const YEARS = { from: "In use from", to: "until", give: "give or take, years" };

/** How one knows. */
function Known({ slip, set, book, problem }: Part) {
  return (
    <div className="mt-3 grid gap-x-5 gap-y-1 sm:grid-cols-2">
      <SelectField
        label="Known from"
        problem={problem("sourceKind")}
        value={slip.sourceKind}
        nothing="choose"
        options={book.choices.sourceKind}
        onChange={(sourceKind) => set({ sourceKind })}
      />
      <TextField
        label="Which, by name"
        maxLength={200}
        value={slip.source}
        problem={problem("source")}
        onCommit={(source) => set({ source })}
      />
      <TextField
        label="Note"
        className="sm:col-span-2"
        maxLength={1000}
        value={slip.note}
        onCommit={(note) => set({ note })}
      />
    </div>
  );
}
