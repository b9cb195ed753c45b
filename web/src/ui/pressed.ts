import type { KeyboardEvent } from "react";

/** For what is drawn and pressed like a button: what Enter and Space do. */
export const onPressed = (press: () => void) => (e: KeyboardEvent) => {
  if (e.key !== "Enter" && e.key !== " ") return;
  e.preventDefault();
  press();
};
