import { useWindowVirtualizer } from "@tanstack/react-virtual";
import {
  type ReactNode,
  type RefObject,
  useImperativeHandle,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
} from "react";
import type { ReadableEntry } from "../../api/types";
import { rowsOf } from "./rows";

/** What the keys need of the tray: to bring a knife into sight and give it the focus. */
export interface TrayHandle {
  focus: (place: number) => void;
}

const USUAL_HIGH = 176;
const BEYOND = 4;

/** Very many knives: only the rows in sight are drawn. */
export function ManyKnives({ knives, ref, children }: OfMany) {
  const list = useRef<HTMLOListElement>(null);
  const { room, top } = useRoom(list);
  const rows = useMemo(() => (room > 0 ? rowsOf(knives, room) : []), [knives, room]);
  const sight = useWindowVirtualizer({
    count: rows.length,
    estimateSize: () => USUAL_HIGH,
    overscan: BEYOND,
    scrollMargin: top,
  });
  useImperativeHandle(ref, () => ({
    focus: (place) => {
      const row = rows.findIndex((r) => place >= r.from && place < r.to);
      sight.scrollToIndex(row, { align: "auto" });
      focusWhenDrawn(list, knives[place]?.id, 20);
    },
  }));
  return (
    <ol
      ref={list}
      aria-label={`${knives.length} knives`}
      className="relative mt-2 border-t border-l border-ink"
      style={{ height: sight.getTotalSize() }}
    >
      {sight.getVirtualItems().map((row) => {
        const { from, to } = rows[row.index] as { from: number; to: number };
        return (
          <li
            key={row.key}
            ref={sight.measureElement}
            data-index={row.index}
            className="absolute top-0 left-0 w-full"
            style={{ transform: `translateY(${row.start - top}px)` }}
          >
            <ol className="flex">{knives.slice(from, to).map(children)}</ol>
          </li>
        );
      })}
    </ol>
  );
}

interface OfMany {
  knives: ReadableEntry[];
  ref: React.Ref<TrayHandle>;
  children: (knife: ReadableEntry) => ReactNode;
}

/** How wide the list is and where on the page it begins. */
function useRoom(list: RefObject<HTMLElement | null>) {
  const [room, setRoom] = useState(0);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => {
    const here = list.current;
    if (!here) return;
    const measure = () => {
      setRoom(here.clientWidth);
      setTop(here.getBoundingClientRect().top + window.scrollY);
    };
    measure();
    const watch = new ResizeObserver(measure);
    watch.observe(here);
    return () => watch.disconnect();
  }, [list]);
  return { room, top };
}

/** The row is drawn a moment after it comes into sight. */
function focusWhenDrawn(list: RefObject<HTMLElement | null>, id: string | undefined, left: number) {
  const link = list.current?.querySelector<HTMLElement>(`a[data-knife="${id}"]`);
  if (link) link.focus({ preventScroll: true });
  else if (left > 0) requestAnimationFrame(() => focusWhenDrawn(list, id, left - 1));
}
