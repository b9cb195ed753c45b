import { type RefObject, useEffect, useState } from "react";

/** Width of an element as it is laid out, for drawings that fill it. */
export function useWidth(box: RefObject<HTMLElement | null>, initial: number): number {
  const [width, setWidth] = useState(initial);
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const measure = () => setWidth(Math.max(280, element.clientWidth));
    measure();
    const watch = new ResizeObserver(measure);
    watch.observe(element);
    return () => watch.disconnect();
  }, [box]);
  return width;
}
