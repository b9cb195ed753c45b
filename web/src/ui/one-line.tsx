import { useEffect, useId, useRef, useState } from "react";

/** A line to type or choose, and the button that does it; Enter does it too. */
export function OneLine({ button, onDone, start = "", ...line }: OfLine) {
  const [typed, setTyped] = useState(start);
  const text = typed.trim();
  return (
    <form
      className="flex items-end gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        if (text === "") return;
        setTyped("");
        onDone(text);
      }}
    >
      <Line typed={typed} onType={setTyped} {...line} />
      <button type="submit" className="press shrink-0" disabled={text === ""}>
        {button}
      </button>
    </form>
  );
}

interface Asked {
  label: string;
  placeholder?: string;
  maxLength: number;
  known?: string[];
  /** It stands where the button was that asked for it: the keys are in it at once. */
  isAskedFor?: boolean;
}

interface OfLine extends Asked {
  /** What stands there to begin with. */
  start?: string;
  button: string;
  onDone: (text: string) => void;
}

function Line({
  label,
  known = [],
  isAskedFor = false,
  typed,
  onType,
  ...entry
}: Asked & { typed: string; onType: (text: string) => void }) {
  const id = useId();
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (!isAskedFor) return;
    input.current?.focus();
    input.current?.select();
  }, [isAskedFor]);
  return (
    <div className="min-w-0 flex-1">
      <label htmlFor={id} className="block text-[0.78125rem]/4 text-ink2">
        {label}
      </label>
      <input
        {...entry}
        ref={input}
        id={id}
        list={`${id}-known`}
        className="entry w-full"
        autoComplete="off"
        value={typed}
        onChange={(e) => onType(e.target.value)}
      />
      <datalist id={`${id}-known`}>
        {known.map((k) => (
          <option key={k} value={k} />
        ))}
      </datalist>
    </div>
  );
}
