import { findingOptions } from "../../../drawing/pictures";
import { Field } from "../../../ui/field";
import { Picker } from "../../../ui/picker";
import { Select } from "../../../ui/select";
import type { StationProps } from "../panel";

const CANNOT_TELL = { id: "cannot-tell", label: "cannot tell" };

/** The points of condition that are looked at in one station. */
export function Points({ knife, book, station }: StationProps & { station: string }) {
  return book.condition.points
    .filter((p) => p.station === station)
    .map((p) => {
      const pictures = findingOptions(book, p);
      const choice = {
        value: knife.specimen.condition[p.id],
        nothing: "not yet looked",
        onChange: (finding: string | undefined) =>
          knife.change((s) => {
            const { [p.id]: _, ...rest } = s.condition;
            return { ...s, condition: finding ? { ...rest, [p.id]: finding } : rest };
          }),
      };
      return (
        <Field key={p.id} label={p.label}>
          {(ids) =>
            pictures ? (
              <Picker
                {...ids}
                {...choice}
                aria-label={p.label}
                options={[...pictures, { ...CANNOT_TELL, picture: null }]}
              />
            ) : (
              <Select {...ids} {...choice} title={p.ask} options={[...p.findings, CANNOT_TELL]} />
            )
          }
        </Field>
      );
    });
}
