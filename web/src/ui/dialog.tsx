import { Dialog as Radix } from "radix-ui";
import { type ReactNode, type RefObject, useRef } from "react";

const FIELDS = "input:not([type=checkbox], [type=radio], [type=file]), select, textarea, [role=combobox]";

/** A field marked so is where one begins, whatever stands above it. */
const FIRST = "[data-first]";

/**
 * A sheet laid over the page. It opens at its first field, if it has one, and when it closes the focus goes
 * back to where it came from.
 */
export function Dialog({
  open,
  onClose,
  title,
  from,
  isWide = false,
  children,
}: {
  open: boolean;
  onClose: () => void;
  title: string;
  /** What opened it, where that had let go of the focus meanwhile. */
  from?: RefObject<HTMLElement | null>;
  /** For what stands side by side. */
  isWide?: boolean;
  children: ReactNode;
}) {
  const opener = useRef<Element>(null);
  return (
    <Radix.Root open={open} onOpenChange={(now) => !now && onClose()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-20 bg-ink/40" />
        <Radix.Content
          aria-describedby={undefined}
          onOpenAutoFocus={(e) => {
            opener.current = document.activeElement;
            const sheet = e.currentTarget as HTMLElement;
            const field = sheet.querySelector<HTMLElement>(FIRST) ?? sheet.querySelector<HTMLElement>(FIELDS);
            // Under a finger that would lay a keyboard over what nobody has read yet.
            if (!field || window.matchMedia("(pointer: coarse)").matches) return;
            e.preventDefault();
            field.focus();
          }}
          onCloseAutoFocus={(e) => {
            e.preventDefault();
            const back = from?.current ?? opener.current;
            if (back instanceof HTMLElement) back.focus();
          }}
          className={`fixed top-1/2 left-1/2 z-30 max-h-[90vh] ${isWide ? "w-[min(72rem,94vw)]" : "w-[min(44rem,94vw)]"} -translate-x-1/2 -translate-y-1/2 overflow-auto border border-ink bg-paper p-6`}
        >
          <div className="flex items-baseline justify-between gap-4 border-b border-ink pb-2">
            <Radix.Title className="text-[1.1875rem]/[1.375rem]">{title}</Radix.Title>
            <Radix.Close className="press shrink-0">Close</Radix.Close>
          </div>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
