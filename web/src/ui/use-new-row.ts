import { useLayoutEffect, useRef } from "react";

const CONTROLS = "input, select, textarea, [role=combobox]";

/**
 * Keeps the focus where the work is when a list grows or shrinks: in the first field of a new row, and
 * at the button that adds once one was removed.
 */
export function useNewRow<L extends HTMLElement>(count: number) {
  const list = useRef<L>(null);
  const adder = useRef<HTMLButtonElement>(null);
  const before = useRef(count);
  const isOurs = useRef(false);
  useLayoutEffect(() => {
    if (isOurs.current && count > before.current)
      list.current?.lastElementChild?.querySelector<HTMLElement>(CONTROLS)?.focus();
    if (isOurs.current && count < before.current) adder.current?.focus();
    if (count !== before.current) isOurs.current = false;
    before.current = count;
  }, [count]);
  const ours = (change: () => void) => () => {
    isOurs.current = true;
    change();
  };
  return { list, adder, ours };
}
