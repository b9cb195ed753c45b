import { useRef, useState } from "react";
import { api, Refused } from "../../api/client";
import type { KeptSale, Problem, Sale } from "../../api/types";
import { usualCurrency } from "../../format";
import { useFormEntries } from "../../ui/form-entries";
import { useToast } from "../../ui/toasts";

const UNSAID = { field: "knife.described", given: "nothing", accepted: "must say what was sold" };

/** A sale as it is filled in, and the press that keeps it; a new one is in the currency of the last. */
export function useSale(
  kept: KeptSale | undefined,
  like: Sale | undefined,
  onClose: () => void,
  onKept: () => Promise<void>,
) {
  const form = useFormEntries<Sale>(
    kept?.sale ?? { knife: { described: "", price: 0, currency: usualCurrency(like?.knife.currency) } },
  );
  const [problems, setProblems] = useState<Problem[]>([]);
  // The same until it was kept: sent twice because no answer came, it is kept once.
  const newId = useRef(crypto.randomUUID());
  const toast = useToast();
  const keep = async () => {
    const whole = await form.settled();
    if (!whole) return;
    if (!whole.knife.described) return setProblems([UNSAID]);
    try {
      await (kept ? api.changeSale(kept.id, whole) : api.addSale(newId.current, whole));
      const back = kept && (() => api.changeSale(kept.id, kept.sale).then(onKept));
      toast(`${whole.knife.described} is in the sales book.`, back);
      onClose();
      await onKept();
    } catch (e) {
      const told = e instanceof Refused ? e.problems : [];
      setProblems(told.length > 0 ? told : [{ field: "", given: "", accepted: (e as Error).message }]);
    }
  };
  return { sale: form.holds, change: form.change, entries: form.entries, problems, keep };
}
