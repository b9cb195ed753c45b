import type { RefObject } from "react";
import type { Book, KeptSale, Problem, Sale } from "../../api/types";
import { Dialog } from "../../ui/dialog";
import { FigureField, perCent } from "../../ui/figure-field";
import { FormEntries } from "../../ui/form-entries";
import { TextField } from "../../ui/text-field";
import { SaleFields } from "./fields";
import { PicturesOfSale } from "./pictures";
import { useSale } from "./use-sale";

/** A sale to be entered or changed. */
export function SaleForm({
  kept,
  like,
  book,
  from,
  onClose,
  onKept,
  onRemove,
}: {
  kept: KeptSale | undefined;
  like: Sale | undefined;
  book: Book;
  from: RefObject<HTMLElement | null>;
  onClose: () => void;
  onKept: () => Promise<void>;
  onRemove: (sale: KeptSale) => void;
}) {
  const form = useSale(kept, like, onClose, onKept);
  return (
    <Dialog open onClose={onClose} title={kept ? "A sale" : "Add a sale"} from={from}>
      <FormEntries value={form.entries}>
        <form
          onSubmit={(e) => {
            e.preventDefault();
            form.keep();
          }}
        >
          <Elsewhere problems={form.problems} />
          <Asked form={form} book={book} />
          <PicturesOfSale sale={kept?.id} chosen={form.pictures} onChosen={form.setPictures} />
          <div className="mt-4 flex gap-3 border-t border-ink pt-3">
            <button type="submit" className="press">
              Keep it
            </button>
            {kept && (
              <button
                type="button"
                className="press"
                onClick={() => {
                  onClose();
                  onRemove(kept);
                }}
              >
                Take it out
              </button>
            )}
          </div>
        </form>
      </FormEntries>
    </Dialog>
  );
}

/** What is amiss and is told at no field of its own. */
function Elsewhere({ problems }: { problems: Problem[] }) {
  const elsewhere = problems.filter((p) => !p.field.startsWith("knife.") || p.field === "knife.described");
  return (
    <div role="alert">
      {elsewhere.map((p) => (
        <p key={p.field} className="mt-2 text-lead">
          {p.field === "premium" ? "On top: " : ""}
          {p.accepted}.
        </p>
      ))}
    </div>
  );
}

function Asked({ form, book }: { form: ReturnType<typeof useSale>; book: Book }) {
  const { sale, change, problems } = form;
  const problem = (field: string) => problems.find((p) => p.field === field);
  const set = (what: Partial<Sale>) => change((now) => ({ ...now, ...what }));
  return (
    <div className="mt-3 grid grid-cols-2 items-start gap-x-5 gap-y-2">
      <SaleFields
        sale={sale.knife}
        set={(changed) => change((now) => ({ ...now, knife: { ...now.knife, ...changed } }))}
        book={book}
        problem={(field) => problem(`knife.${field}`)}
      />
      <FigureField
        label="On top, per cent"
        hint="what a sale room takes from the buyer"
        value={sale.premium}
        read={perCent}
        accepted="a share of the price, as 20 or 12.5"
        onFigure={(premium) => set({ premium })}
        problem={problem("premium")}
      />
      <TextField
        label="Where it is told"
        hint="which room, list or letter"
        maxLength={300}
        value={sale.source}
        onCommit={(source) => set({ source })}
      />
      <TextField
        label="Note"
        className="col-span-2"
        maxLength={2000}
        value={sale.note}
        onCommit={(note) => set({ note })}
      />
    </div>
  );
}
