import { type RefObject, useRef, useState } from "react";
import { api, Refused } from "../../api/client";
import type { Book, KeptSale, Problem, Sale } from "../../api/types";
import { usualCurrency } from "../../format";
import { Dialog } from "../../ui/dialog";
import { FigureField, perCent } from "../../ui/figure-field";
import { FormEntries, useFormEntries } from "../../ui/form-entries";
import { TextField } from "../../ui/text-field";
import { useToast } from "../../ui/toasts";
import { SaleFields } from "./fields";

/** A sale to be entered or changed; a new one begins in the currency of the last. */
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
  const {
    holds: sale,
    change,
    entries,
    settled,
  } = useFormEntries<Sale>(
    kept?.sale ?? { knife: { described: "", price: 0, currency: usualCurrency(like?.knife.currency) } },
  );
  const [problems, setProblems] = useState<Problem[]>([]);
  // The same until it was kept: sent twice because no answer came, it is kept once.
  const newId = useRef(crypto.randomUUID());
  const toast = useToast();
  const problem = (field: string) => problems.find((p) => p.field === field);
  const keep = async () => {
    const whole = await settled();
    if (!whole) return;
    if (!whole.knife.described)
      return setProblems([
        { field: "knife.described", given: "nothing", accepted: "must say what was sold" },
      ]);
    try {
      await (kept ? api.changeSale(kept.id, whole) : api.addSale(newId.current, whole));
      toast(
        `${whole.knife.described} is in the sales book.`,
        kept && (() => api.changeSale(kept.id, kept.sale).then(onKept)),
      );
      onClose();
      await onKept();
    } catch (e) {
      const told = e instanceof Refused ? e.problems : [];
      setProblems(told.length > 0 ? told : [{ field: "", given: "", accepted: (e as Error).message }]);
    }
  };
  const elsewhere = problems.filter((p) => !p.field.startsWith("knife.") || p.field === "knife.described");
  return (
    <Dialog open onClose={onClose} title={kept ? "A sale" : "Add a sale"} from={from}>
      <FormEntries value={entries}>
        <form
          onSubmit={(e) => {
            e.preventDefault();
            keep();
          }}
        >
          <div role="alert">
            {elsewhere.map((p) => (
              <p key={p.field} className="mt-2 text-lead">
                {p.field === "premium" ? "On top: " : ""}
                {p.accepted}.
              </p>
            ))}
          </div>
          <div className="mt-3 grid grid-cols-2 items-end gap-x-5 gap-y-2">
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
              onFigure={(premium) => change((now) => ({ ...now, premium }))}
              problem={problem("premium")}
            />
            <TextField
              label="Where it is told"
              maxLength={300}
              value={sale.source}
              onCommit={(source) => change((now) => ({ ...now, source }))}
            />
            <TextField
              label="Note"
              className="col-span-2"
              maxLength={2000}
              value={sale.note}
              onCommit={(note) => change((now) => ({ ...now, note }))}
            />
          </div>
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
