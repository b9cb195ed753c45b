import { useEffect, useMemo } from "react";
import type { Book, Seen, Specimen } from "../../../api/types";
import { findingOptions } from "../../../drawing/pictures";
import { Answers, type Asked } from "../answers";
import { withAnswer } from "../edits";
import type { PointingProps } from "../panel";
import { SeenChoice } from "../seen-choice";
import { useAsking } from "../use-asking";

/** A point of the knife, or of one of its blades after the main one. */
interface AskedPoint extends Asked {
  point: string;
  /** From 0, the main blade and the knife itself. */
  blade: number;
  ask: string;
}

/** What is asked at a station: of the knife and its main blade first, then of each other blade. */
export function askedAt(book: Book, station: string, blades: number): AskedPoint[] {
  const points = book.condition.points.filter((p) => p.station === station);
  const asked = (blade: number) =>
    points
      .filter((p) => blade === 0 || p.eachBlade)
      .map((p) => ({
        id: blade === 0 ? p.id : `${blade + 1}.${p.id}`,
        point: p.id,
        blade,
        label: blade === 0 ? p.label : `${p.label} of blade ${blade + 1}`,
        ask: p.ask,
        answers: findingOptions(book, p) ?? p.findings,
      }));
  return Array.from({ length: Math.max(1, blades) }, (_, blade) => asked(blade)).flat();
}

/** All that was found, by question. */
export const givenOf = (specimen: Specimen): Record<string, Seen> => ({
  ...specimen.condition,
  ...Object.fromEntries(
    specimen.blades
      .slice(1)
      .flatMap((b, i) =>
        Object.entries(b.condition ?? {}).map(([point, seen]) => [`${i + 2}.${point}`, seen]),
      ),
  ),
});

/** The knife with something else found at a point. */
export const told = (s: Specimen, { point, blade }: AskedPoint, seen: Seen | undefined): Specimen =>
  blade === 0
    ? { ...s, condition: withAnswer(s.condition, point, seen) }
    : {
        ...s,
        blades: s.blades.map((b, i) =>
          i === blade ? { ...b, condition: withAnswer(b.condition ?? {}, point, seen) } : b,
        ),
      };

/** The points of condition that are looked at in one station, and the one in hand with its answers. */
export function usePoints({ knife, book, station, onPoint }: PointingProps & { station: string }) {
  const blades = knife.specimen.blades.length;
  const questions = useMemo(() => askedAt(book, station, blades), [book, station, blades]);
  const given = givenOf(knife.specimen);
  const tellsMost = (knife.verdict?.schools[0]?.narrows ?? []).map((n) =>
    n.blade > 1 ? `${n.blade}.${n.of}` : n.of,
  );
  const asking = useAsking(questions, given, tellsMost);
  const inHand = questions.find((q) => q.id === asking?.inHand.id);
  useEffect(() => {
    onPoint(inHand && { point: inHand.point, blade: inHand.blade });
    return () => onPoint(undefined);
  }, [inHand, onPoint]);
  const tell = (id: string, seen: Seen | undefined) => {
    const asked = questions.find((q) => q.id === id);
    if (asked) knife.change((s) => told(s, asked, seen));
  };
  const of: OfPoints = { given, tell, onAsk: (id) => asking?.onAsk(id) };
  return {
    fields: questions.filter((q) => q.blade === 0).map((q) => <Point key={q.id} asked={q} {...of} />),
    ofBlades: <OtherBlades asked={questions.filter((q) => q.blade > 0)} {...of} />,
    answers: asking && <Answers {...asking} questions={questions} given={given} onAnswer={tell} />,
  };
}

interface OfPoints {
  given: Record<string, Seen>;
  tell: (id: string, seen: Seen | undefined) => void;
  onAsk: (id: string) => void;
}

function Point({ asked: q, given, tell, onAsk }: OfPoints & { asked: AskedPoint }) {
  return (
    <SeenChoice
      label={q.label}
      title={q.ask}
      seen={given[q.id]}
      options={q.answers}
      onFocus={() => onAsk(q.id)}
      onChange={(seen) => tell(q.id, seen)}
    />
  );
}

function OtherBlades({ asked, ...of }: OfPoints & { asked: AskedPoint[] }) {
  if (asked.length === 0) return null;
  return (
    <details className="mt-2 border-t border-rule">
      <summary className="min-h-6 cursor-pointer py-1 text-ink2">
        The other blades, {asked.filter((q) => of.given[q.id]).length} of {asked.length} looked at
      </summary>
      <div className="grid gap-x-5 gap-y-1.5 min-[30rem]:grid-cols-2">
        {asked.map((q) => (
          <Point key={q.id} asked={q} {...of} />
        ))}
      </div>
    </details>
  );
}
