import { type RefObject, useEffect } from "react";

/** On a small screen what is missing may be out of sight: the keys go there as soon as something is. */
export function useToWhatIsAmiss(form: RefObject<HTMLElement | null>, isAmiss: boolean) {
  useEffect(() => {
    if (isAmiss) form.current?.querySelector<HTMLElement>("[aria-invalid=true]")?.focus();
  }, [form, isAmiss]);
}
