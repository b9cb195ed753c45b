import type { Seen } from "../../api/types";
import { Field } from "../../ui/field";
import { Picker, type PictureOption } from "../../ui/picker";
import { type Option, Select } from "../../ui/select";

const ORDER = ["sure", "likely", "unsure"] as const;
const CANNOT_TELL = "cannot-tell";

const isPictures = (options: Option[] | PictureOption[]): options is PictureOption[] =>
  options.length > 0 && "picture" in (options[0] as Option);

/** A choice among answers, with how well it was seen; not looked at and not to be told are apart. */
export function SeenChoice({
  label,
  seen,
  options,
  onChange,
  onFocus,
  className,
}: {
  label: string;
  seen: Seen | undefined;
  options: Option[] | PictureOption[];
  onChange: (seen: Seen | undefined) => void;
  onFocus?: () => void;
  className?: string;
}) {
  const value = seen?.sureness === CANNOT_TELL ? CANNOT_TELL : seen?.value;
  const choose = (id: string | undefined) => {
    if (!id) onChange(undefined);
    else if (id === CANNOT_TELL) onChange({ sureness: CANNOT_TELL });
    else onChange({ value: id, sureness: seen && seen.sureness !== CANNOT_TELL ? seen.sureness : "sure" });
  };
  return (
    <div className={`flex items-end gap-1 self-start ${className ?? ""}`}>
      <Field label={label} className="min-w-0 flex-1">
        {(ids) =>
          isPictures(options) ? (
            <Picker
              {...ids}
              aria-label={label}
              value={value}
              nothing="not yet looked"
              options={[...options, { id: CANNOT_TELL, label: "cannot tell", picture: null }]}
              onChange={choose}
              onFocus={onFocus}
            />
          ) : (
            <Select
              {...ids}
              value={value}
              nothing="not yet looked"
              options={[...options, { id: CANNOT_TELL, label: "cannot tell" }]}
              onChange={choose}
              onFocus={onFocus}
            />
          )
        }
      </Field>
      {seen?.value && (
        <button
          type="button"
          title={`${seen.sureness}; press for less sure`}
          aria-label={`${label}: ${seen.sureness}. Change how sure`}
          className="flex h-6 min-w-6 items-center gap-[2px] px-1 hover:bg-bone"
          onClick={() => onChange({ value: seen.value, sureness: nextSureness(seen.sureness) })}
        >
          {ORDER.map((s, i) => (
            <span
              key={s}
              className={`size-[6px] border border-ink ${i < 3 - ORDER.indexOf(seen.sureness as "sure") ? "bg-ink" : ""}`}
            />
          ))}
        </button>
      )}
    </div>
  );
}

const nextSureness = (now: Seen["sureness"]): Seen["sureness"] =>
  ORDER[(ORDER.indexOf(now as "sure") + 1) % ORDER.length] as Seen["sureness"];
