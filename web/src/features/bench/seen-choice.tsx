import { useState } from "react";
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
  /** Other answers it may be, with their shares. */
  or?: Record<string, number>;
}

const SHARES: Option[] = [
  { id: "0.5", label: "as likely" },
  { id: "0.33", label: "less likely" },
  { id: "0.1", label: "hardly" },
];

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
  mayBeEither,
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
  /** Whether a second answer can be given beside the first. */
  mayBeEither?: boolean;
}) {
  const [asksOther, setAsksOther] = useState(false);
  const [other, share] = Object.entries(seen?.or ?? {})[0] ?? [];
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
  const orElse = (id: string | undefined, much = share ?? 0.5) =>
    onChange({
      value: value as T,
      sureness: seen?.sureness ?? "sure",
      ...(id ? { or: { [id]: much } } : {}),
    });
  const isEither = mayBeEither && seen?.value && (other || asksOther);
  const first = (
    <div className={`flex min-w-0 items-end gap-1 self-start ${isEither ? "" : (className ?? "")}`}>
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
          title={`${seen.sureness}; press for less sure${mayBeEither ? ", O for another answer it may be" : ""}`}
          onKeyDown={(e) => mayBeEither && e.key === "o" && !e.ctrlKey && !e.metaKey && setAsksOther(true)}
          aria-label={`${label}: ${seen.sureness}. Change how sure`}
          className="flex h-6 min-w-6 items-center gap-[2px] px-1 hover:bg-bone"
          onClick={() => onChange({ ...seen, sureness: nextSureness(seen.sureness) })}
        >
          {ORDER.map((s, i) => (
            <span
              key={s}
              className={`size-[6px] border border-ink ${i < 3 - ORDER.indexOf(seen.sureness as "sure") ? "bg-ink" : ""}`}
            />
          ))}
        </button>
      )}
      {mayBeEither && seen?.value && !other && !asksOther && (
        <button
          type="button"
          aria-label={`${label}: or another answer`}
          title="It may be one of two (O on how sure)"
          tabIndex={-1}
          className="voice h-6 px-1 text-[0.78125rem] text-ink2 hover:bg-bone"
          onClick={() => setAsksOther(true)}
        >
          or
        </button>
      )}
    </div>
  );
  if (!isEither) return first;
  return (
    <div className={`min-w-0 self-start ${className ?? ""}`}>
      {first}
      <div className="mt-1 flex min-w-0 items-center gap-1">
        <span className="voice text-[0.78125rem] text-ink2">or</span>
        <div className="min-w-0 flex-1">
          <Select
            aria-label={`${label}: or else`}
            value={other}
            nothing="nothing else"
            options={options
              .map(({ id, label: name }) => ({ id, label: name }))
              .filter((o) => o.id !== value)}
            onChange={(id) => {
              setAsksOther(Boolean(id));
              orElse(id);
            }}
          />
        </div>
        {other && (
          <Select
            aria-label={`${label}: how likely the other`}
            value={SHARES.find((s) => Number(s.id) === share)?.id}
            nothing={`${Math.round(100 * (share ?? 0))}%`}
            options={SHARES}
            onChange={(id) => orElse(other, Number(id ?? share))}
          />
        )}
      </div>
    </div>
  );
}

const nextSureness = (now: Seen["sureness"]): Seen["sureness"] =>
  ORDER[(ORDER.indexOf(now as "sure") + 1) % ORDER.length] as Seen["sureness"];
