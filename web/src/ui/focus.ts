/** Whether the focus has not gone elsewhere since it was there; what has left the page leaves it to nobody. */
export const isStillAt = (from: Element | null) =>
  document.activeElement === from || document.activeElement === document.body;
