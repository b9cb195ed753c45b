import { useState } from "react";
import type { Seen } from "../../api/types";
import type { Asked } from "./answers";

/** Which question is in hand, and which comes to hand once it is answered. */
export interface Asking {
  inHand: Asked;
  next: Asked | undefined;
  onAsk: (question: string) => void;
}

/**
 * Puts to hand what one turns to, and before that what would tell most, else the first that is open.
 *
 * @param tellsMost questions by what they would tell, the most first
 */
export function useAsking(
  questions: Asked[],
  given: Record<string, Seen>,
  tellsMost: string[] = [],
): Asking | undefined {
  const [asked, onAsk] = useState<string>();
  const mostOf = (open: Asked[]) =>
    tellsMost.map((id) => open.find((q) => q.id === id)).find((q) => q !== undefined) ?? open[0];
  const open = questions.filter((q) => !given[q.id]);
  const inHand = questions.find((q) => q.id === asked) ?? mostOf(open) ?? questions[0];
  return inHand && { inHand, next: mostOf(open.filter((q) => q !== inHand)), onAsk };
}
