/** A whole number as it was typed. What is none goes on as it stands, so that it is told at its field. */
export const whole = (text: string | undefined): number | undefined =>
  text !== undefined && /^\d+$/.test(text) ? Number(text) : (text as number | undefined);
