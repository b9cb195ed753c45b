import { Field } from "../../../ui/field";
import { Select } from "../../../ui/select";
import type { StationProps } from "../panel";

/** The points of condition that are looked at in one station. */
export function Points({ knife, book, station }: StationProps & { station: string }) {
  return book.condition.points
    .filter((p) => p.station === station)
    .map((p) => (
      <Field key={p.id} label={p.label}>
        {(ids) => (
          <Select
            {...ids}
            title={p.ask}
            value={knife.specimen.condition[p.id]}
            nothing="not yet looked"
            options={p.findings}
            onChange={(finding) =>
              knife.change((s) => {
                const { [p.id]: _, ...rest } = s.condition;
                return { ...s, condition: finding ? { ...rest, [p.id]: finding } : rest };
              })
            }
          />
        )}
      </Field>
    ));
}
