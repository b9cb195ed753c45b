import { useRef, useState } from "react";
import { api, Refused } from "../../api/client";
import type { KeptSale, Problem, Sale } from "../../api/types";
import { usualCurrency } from "../../format";
import { useFormEntries } from "../../ui/form-entries";
import { useToast } from "../../ui/toasts";

const UNSAID = { field: "knife.described", given: "nothing", accepted: "must say what was sold" };

/** Keeps a picture with a sale that is in the book; one that is refused stays to be let go or chosen anew. */
async function keepPicture(sale: string, file: File) {
  try {
    await api.addSalePicture(sale, file);
  } catch (e) {
    const why = (e instanceof Refused && e.problems[0]?.accepted) || (e as Error).message;
    throw new Error(`The sale is kept, a picture is not. ${file.name}: ${why}`);
  }
}

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
  const [pictures, setPictures] = useState<File[]>([]);
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
      for (const file of pictures) {
        await keepPicture(kept?.id ?? newId.current, file);
        setPictures((left) => left.filter((f) => f !== file));
      }
      const back = kept && (() => api.changeSale(kept.id, kept.sale).then(onKept));
      toast(`${whole.knife.described} is in the sales book.`, back);
      onClose();
      await onKept();
    } catch (e) {
      const told = e instanceof Refused ? e.problems : [];
      setProblems(told.length > 0 ? told : [{ field: "", given: "", accepted: (e as Error).message }]);
    }
  };
  return {
    pictures,
    setPictures,
    sale: form.holds,
    change: form.change,
    entries: form.entries,
    problems,
    keep,
  };
}
