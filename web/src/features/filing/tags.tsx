import { type KeyboardEvent, useId, useState } from "react";

const BETWEEN = /[,;\n]/;

/** What was typed as tags: parted by commas, none empty. */
export const tagsOf = (typed: string) =>
  typed
    .split(BETWEEN)
    .map((t) => t.trim())
    .filter((t) => t !== "");

/** Words to sort by: each can be taken away, and one more typed or chosen from those in use. */
export function Tags({ label, tags, known, onChange }: OfTags) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="block text-[0.78125rem]/4 text-ink2">
        {label}
      </label>
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
        {tags.map((t) => (
          <span key={t} className="inline-flex items-center border border-edge pl-1.5">
            {t}
            <button
              type="button"
              className="min-h-6 min-w-6 text-ink2 hover:text-lead"
              aria-label={`Take away ${t}`}
              onClick={() => onChange(tags.filter((other) => other !== t))}
            >
              {"\u00d7"}
            </button>
          </span>
        ))}
        <OneMore id={id} tags={tags} known={known} onChange={onChange} />
      </div>
    </div>
  );
}

interface Tagged {
  tags: string[];
  known: string[];
  onChange: (tags: string[]) => void;
}

type OfTags = Tagged & { label: string };

function OneMore({ id, tags, known, onChange }: Tagged & { id: string }) {
  const [typed, setTyped] = useState("");
  const has = (tag: string) => tags.some((t) => t.toLowerCase() === tag.toLowerCase());
  const add = () => {
    const fresh = tagsOf(typed).filter((t) => !has(t));
    setTyped("");
    if (fresh.length > 0) onChange([...tags, ...fresh]);
  };
  const onKeyDown = (e: KeyboardEvent) => {
    if (e.key === "Enter" || e.key === ",") {
      e.preventDefault();
      add();
    }
    if (e.key === "Backspace" && typed === "" && tags.length > 0) onChange(tags.slice(0, -1));
  };
  return (
    <>
      <input
        id={id}
        list={`${id}-known`}
        className="entry min-w-24 flex-1"
        placeholder="carried, to sell"
        autoComplete="off"
        maxLength={40}
        value={typed}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={add}
        onKeyDown={onKeyDown}
      />
      <datalist id={`${id}-known`}>{known.map((t) => !has(t) && <option key={t} value={t} />)}</datalist>
    </>
  );
}
