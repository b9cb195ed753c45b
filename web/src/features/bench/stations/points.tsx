import { findingOptions } from "../../../drawing/pictures";
import type { StationProps } from "../panel";
import { SeenChoice } from "../seen-choice";

/** The points of condition that are looked at in one station. */
export function Points({ knife, book, station }: StationProps & { station: string }) {
  return book.condition.points
    .filter((p) => p.station === station)
    .map((p) => (
      <SeenChoice
        key={p.id}
        label={p.label}
        title={p.ask}
        seen={knife.specimen.condition[p.id]}
        options={findingOptions(book, p) ?? p.findings}
        onChange={(seen) =>
          knife.change((s) => {
            const { [p.id]: _, ...rest } = s.condition;
            return { ...s, condition: seen ? { ...rest, [p.id]: seen } : rest };
          })
        }
      />
    ));
}
