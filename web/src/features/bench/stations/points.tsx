import { useMemo } from "react";
import type { Book, Seen } from "../../../api/types";
import { findingOptions } from "../../../drawing/pictures";
import { Answers, type Asked } from "../answers";
import type { StationProps } from "../panel";
import { SeenChoice } from "../seen-choice";
import { useAsking } from "../use-asking";

const askedAt = (book: Book, station: string): Asked[] =>
  book.condition.points
    .filter((p) => p.station === station)
    .map((p) => ({ id: p.id, label: p.label, answers: findingOptions(book, p) ?? p.findings }));

/** The points of condition that are looked at in one station, and the one in hand with its answers. */
export function usePoints({ knife, book, station }: StationProps & { station: string }) {
  const questions = useMemo(() => askedAt(book, station), [book, station]);
  const given = knife.specimen.condition;
  const asking = useAsking(questions, given);
  const tell = (point: string, seen: Seen | undefined) =>
    knife.change((s) => {
      const { [point]: _, ...rest } = s.condition;
      return { ...s, condition: seen ? { ...rest, [point]: seen } : rest };
    });
  return {
    fields: questions.map((q) => (
      <SeenChoice
        key={q.id}
        label={q.label}
        title={book.condition.points.find((p) => p.id === q.id)?.ask}
        seen={given[q.id]}
        options={q.answers}
        onFocus={() => asking?.onAsk(q.id)}
        onChange={(seen) => tell(q.id, seen)}
      />
    )),
    answers: asking && <Answers {...asking} questions={questions} given={given} onAnswer={tell} />,
  };
}
