import { type FocusEvent, useState } from "react";
import type { Seen } from "../../api/types";
import { Field } from "../../ui/field";
import { Picker, type PictureOption } from "../../ui/picker";
import { type Option, Select } from "../../ui/select";

import { answered, CANNOT_TELL, type SeenOf } from "./seen";

const ORDER = ["sure", "likely", "unsure"] as const;

const isPictures = (options: Option[] | PictureOption[]): options is PictureOption[] =>
  options.length > 0 && "picture" in (options[0] as Option);

/** A choice among answers, with how well it was seen; not looked at and not to be told are apart. */
export function SeenChoice<T extends string = string>({
  className,
  ...of
}: OfSeen<T> & { className?: string }) {
  const { label, seen, options, onChange, orElse } = of;
  const [asksOther, setAsksOther] = useState(false);
  const isEither =
    orElse && seen?.value !== undefined && (Object.keys(seen.or ?? {}).length > 0 || asksOther);
  if (!seen || !isEither)
    return <First {...of} className={className} onAskOther={() => setAsksOther(true)} />;
  return (
    <div className={`min-w-0 self-start ${className ?? ""}`}>
      <First {...of} isEither onAskOther={() => setAsksOther(true)} />
      <OrElse
        label={label}
        options={options.filter((o) => o.id !== seen.value)}
        shares={orElse}
        or={seen.or}
        onChange={(or) => {
          setAsksOther(or !== undefined);
          onChange({ value: seen.value, sureness: seen.sureness, ...(or ? { or } : {}) });
        }}
      />
    </div>
  );
}

interface OfSeen<T extends string> {
  label: string;
  /** Among others in a row that say what they are: the label is heard, not seen. */
  isBare?: boolean;
  nothing?: string;
  seen: SeenOf<T> | undefined;
  options: Option[] | PictureOption[];
  onChange: (seen: SeenOf<T> | undefined) => void;
  /** Of a focus by keys alone: a press that moved what lies under the pointer would never become a click. */
  onFocus?: () => void;
  title?: string;
  /** Where a second answer can be given beside the first: how likely it may be. */
  orElse?: Option[];
}

/** The answer and how sure one is of it; where it may be one of two, the way to say so. */
function First<T extends string>({
  isEither,
  onAskOther,
  className,
  ...of
}: OfSeen<T> & { isEither?: boolean; onAskOther: () => void; className?: string }) {
  const { label, isBare, seen, onChange, orElse } = of;
  const isAnswered = seen?.value !== undefined;
  return (
    <div className={`flex min-w-0 items-end gap-1 self-start ${className ?? ""}`}>
      {isBare ? (
        <div className="min-w-0 flex-1">
          <Answer {...of} ids={{}} />
        </div>
      ) : (
        <Field label={label} className="min-w-0 flex-1">
          {(ids) => <Answer {...of} ids={ids} />}
        </Field>
      )}
      {seen && isAnswered && (
        <HowSure
          label={label}
          sureness={seen.sureness}
          onLessSure={() => onChange({ ...seen, sureness: nextSureness(seen.sureness) })}
          onAskOther={orElse ? onAskOther : undefined}
        />
      )}
      {orElse && isAnswered && !isEither && (
        <button
          type="button"
          aria-label={`${label}: or another answer`}
          title="It may be one of two (O on how sure)"
          tabIndex={-1}
          className="voice h-6 px-1 text-[0.78125rem] text-ink2 hover:bg-bone"
          onClick={onAskOther}
        >
          or
        </button>
      )}
    </div>
  );
}

function Answer<T extends string>({
  ids,
  label,
  isBare,
  nothing = "not yet looked",
  seen,
  options,
  onChange,
  onFocus,
  title,
}: OfSeen<T> & { ids: object }) {
  return (
    <Choice
      ids={ids}
      label={label}
      isBare={isBare}
      options={options}
      value={seen?.sureness === CANNOT_TELL.id ? CANNOT_TELL.id : seen?.value}
      nothing={nothing}
      title={title}
      onFocus={(e) => e.target.matches(":focus-visible") && onFocus?.()}
      onChange={(id) => onChange(id ? answered(id as T, seen) : undefined)}
    />
  );
}

/** A list, or a picker where the answers are pictures; not to be told is one of them. */
function Choice({
  ids,
  label,
  isBare,
  options,
  ...rest
}: {
  ids: object;
  label: string;
  isBare: boolean | undefined;
  options: Option[] | PictureOption[];
  value: string | undefined;
  nothing: string;
  title: string | undefined;
  onFocus: (e: FocusEvent<HTMLElement>) => void;
  onChange: (id: string | undefined) => void;
}) {
  return isPictures(options) ? (
    <Picker {...ids} {...rest} aria-label={label} options={[...options, { ...CANNOT_TELL, picture: null }]} />
  ) : (
    <Select {...ids} {...rest} aria-label={isBare ? label : undefined} options={[...options, CANNOT_TELL]} />
  );
}

/** How sure one is, as squares; each press is less sure, and from the least sure again. */
function HowSure({
  label,
  sureness,
  onLessSure,
  onAskOther,
}: {
  label: string;
  sureness: Seen["sureness"];
  onLessSure: () => void;
  onAskOther: (() => void) | undefined;
}) {
  return (
    <button
      type="button"
      title={`${sureness}; press for less sure${onAskOther ? ", O for another answer it may be" : ""}`}
      onKeyDown={(e) => e.key === "o" && !e.ctrlKey && !e.metaKey && onAskOther?.()}
      aria-label={`${label}: ${sureness}. Change how sure`}
      className="flex h-6 min-w-6 items-center gap-[2px] px-1 hover:bg-bone"
      onClick={onLessSure}
    >
      {ORDER.map((s, i) => (
        <span
          key={s}
          className={`size-[6px] border border-ink ${i < 3 - ORDER.indexOf(sureness as "sure") ? "bg-ink" : ""}`}
        />
      ))}
    </button>
  );
}

/** A second answer it may be, and how likely that is. */
function OrElse({ label, options, shares, or, onChange }: OfOther) {
  const [other, share] = Object.entries(or ?? {})[0] ?? [];
  return (
    <div className="mt-1 flex min-w-0 items-center gap-1">
      <span className="voice text-[0.78125rem] text-ink2">or</span>
      <div className="min-w-0 flex-1">
        <Select
          aria-label={`${label}: or else`}
          value={other}
          nothing="nothing else"
          options={options.map(({ id, label: name }) => ({ id, label: name }))}
          onChange={(id) => onChange(id ? { [id]: share ?? Number(shares[0]?.id) } : undefined)}
        />
      </div>
      {other && (
        <Select
          aria-label={`${label}: how likely the other`}
          value={shares.find((s) => Number(s.id) === share)?.id}
          nothing={`${Math.round(100 * (share ?? 0))}%`}
          options={shares}
          onChange={(id) => onChange({ [other]: Number(id ?? share) })}
        />
      )}
    </div>
  );
}

interface OfOther {
  label: string;
  options: Option[];
  /** How likely the other may be, the likeliest first. */
  shares: Option[];
  or: Record<string, number> | undefined;
  onChange: (or: Record<string, number> | undefined) => void;
}

const nextSureness = (now: Seen["sureness"]): Seen["sureness"] =>
  ORDER[(ORDER.indexOf(now as "sure") + 1) % ORDER.length] as Seen["sureness"];
