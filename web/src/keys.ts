import { useEffect, useRef } from "react";
import { usePreferences } from "./preferences";

const typing = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable || target.matches("input:not([type=checkbox]), textarea, select"));

const takesLetters = (target: EventTarget | null) =>
  typing(target) || (target instanceof HTMLElement && "typing" in target.dataset);

/**
 * Single-key commands. They pause while text is entered or a dialog is open, and can be turned off.
 * Names are the key itself, or `mod+key` for commands with Ctrl or Command, which always work.
 */
export function useKeys(commands: Record<string, () => void>): void {
  const { singleKeys } = usePreferences();
  const latest = useRef(commands);
  latest.current = commands;
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.defaultPrevented || event.altKey) return;
      const mod = event.ctrlKey || event.metaKey;
      const name = mod ? `mod+${event.shiftKey ? "shift+" : ""}${event.key.toLowerCase()}` : event.key;
      // Escape gives the keys back: the field is left, and Tab goes on from it.
      if (event.key === "Escape" && takesLetters(event.target) && !document.querySelector("[role=dialog]"))
        return (event.target as HTMLElement).blur();
      const command = latest.current[name] ?? latest.current[name.toLowerCase()];
      const quiet = !mod && (!singleKeys || typing(event.target) || document.querySelector("[role=dialog]"));
      if (!command || quiet) return;
      event.preventDefault();
      command();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [singleKeys]);
}
