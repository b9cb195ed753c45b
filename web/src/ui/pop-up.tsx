import { Popover } from "radix-ui";
import type { ReactNode } from "react";

/** A button within that does something and closes it. */
export const Closes = Popover.Close;

/** A button, and what opens beneath it. */
export function PopUp({
  name,
  align,
  children,
}: {
  name: string;
  align: "start" | "end";
  children: ReactNode;
}) {
  return (
    <Popover.Root>
      <Popover.Trigger className="press">{name}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={name}
          align={align}
          sideOffset={4}
          className="z-30 max-w-72 border border-ink bg-paper p-3"
        >
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
