import type { Seen } from "../../api/types";
import { Field } from "../../ui/field";
import { Picker, type PictureOption } from "../../ui/picker";
import { type Option, Select } from "../../ui/select";

const ORDER = ["sure", "likely", "unsure"] as const;
const CANNOT_TELL = "cannot-tell";

const isPictures = (options: Option[] | PictureOption[]): options is PictureOption[] =>
  options.length > 0 && "picture" in (options[0] as Option);

/** What was seen, of any kind; without a value it could not be told. */
export interface SeenOf<T> {
  value?: T;
  sureness: Seen["sureness"];
}

/** A choice among answers, with how well it was seen; not looked at and not to be told are apart. */
export function SeenChoice<T extends string = string>({
  label,
  isBare,
  nothing = "not yet looked",
  seen,
  options,
  onChange,
  onFocus,
  title,
  className,
}: {
  label: string;
  /** Among others in a row that say what they are: the label is heard, not seen. */
  isBare?: boolean;
  nothing?: string;
  seen: SeenOf<T> | undefined;
  options: Option[] | PictureOption[];
  onChange: (seen: SeenOf<T> | undefined) => void;
  onFocus?: () => void;
  title?: string;
  className?: string;
}) {
  const value = seen?.sureness === CANNOT_TELL ? CANNOT_TELL : seen?.value;
  const choose = (id: string | undefined) => {
    if (!id) onChange(undefined);
    else if (id === CANNOT_TELL) onChange({ sureness: CANNOT_TELL });
    else
      onChange({ value: id as T, sureness: seen && seen.sureness !== CANNOT_TELL ? seen.sureness : "sure" });
  };
  const common = { value, nothing, title, onChange: choose, onFocus };
  const choice = (ids: object) =>
    isPictures(options) ? (
      <Picker
        {...ids}
        {...common}
        aria-label={label}
        options={[...options, { id: CANNOT_TELL, label: "cannot tell", picture: null }]}
      />
    ) : (
      <Select
        {...ids}
        {...common}
        aria-label={isBare ? label : undefined}
        options={[...options, { id: CANNOT_TELL, label: "cannot tell" }]}
      />
    );
  return (
    <div className={`flex min-w-0 items-end gap-1 self-start ${className ?? ""}`}>
      {isBare ? (
        <div className="min-w-0 flex-1">{choice({})}</div>
      ) : (
        <Field label={label} className="min-w-0 flex-1">
          {choice}
        </Field>
      )}
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
