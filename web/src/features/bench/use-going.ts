import { useLayoutEffect, useRef } from "react";
import { isStillAt } from "../../ui/focus";

// The page of the station takes the focus, so that Tab goes to its first field and the keys to the next.
const toStation = () => document.getElementById("station")?.focus({ preventScroll: true });

/**
 * Goes to another station with the focus. It follows with the station itself: a moment later the next key
 * may be on its way to a field already. On a slow machine it may be so before, and who has gone on to
 * another control meanwhile is not fetched back from it.
 */
export function useGoing(station: string, show: (station: string) => void) {
  const going = useRef<{ to: string; from: Element | null }>(undefined);
  useLayoutEffect(() => {
    if (going.current?.to === station && isStillAt(going.current.from)) toStation();
    going.current = undefined;
  }, [station]);
  return (to: string) => {
    if (to === station) return toStation();
    going.current = { to, from: document.activeElement };
    show(to);
  };
}
