import { Command } from "cmdk";
import { Popover } from "radix-ui";
import { type FocusEvent, type KeyboardEvent, type ReactNode, useRef, useState } from "react";
import { isStillAt } from "./focus";
import { Opens, type Option } from "./select";

/** A choice that is made by looking. */
export interface PictureOption extends Option {
  picture: ReactNode;
  /** Other names it is found by. */
  also?: string[];
  /** How to know it, and what it is mistaken for; shown for the one in hand. */
  tell?: string;
}

/** A list of pictures that is opened, searched and closed, and the keys that do it. */
function usePicking(value: string | undefined, onChange: (id: string | undefined) => void) {
  const [open, setOpen] = useState(false);
  const [search, setSearch] = useState("");
  const [inHand, setInHand] = useState("");
  const button = useRef<HTMLButtonElement>(null);
  const show = (now: boolean, typed = "") => {
    setSearch(typed);
    setInHand(value ?? "");
    setOpen(now);
  };
  return {
    open,
    show,
    search,
    setSearch,
    inHand,
    setInHand,
    button,
    choose: (next: string | undefined) => {
      // At once: what is typed while the list closes is meant for this control and is no command.
      button.current?.focus();
      onChange(next);
      setOpen(false);
    },
    onKeyDown: (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey) return;
      // Figures stay commands: no name begins with one.
      // Letters typed before the list has taken the focus belong to the same name.
      if (/^\p{L}$/u.test(e.key)) open ? setSearch((typed) => typed + e.key) : show(true, e.key);
      else if (e.key === "Backspace" || e.key === "Delete") onChange(undefined);
      else if (e.key === "ArrowDown") show(true);
      else return;
      e.preventDefault();
    },
  };
}

type Picking = ReturnType<typeof usePicking>;

/**
 * A choice among pictures, found by any name: typing on the closed control opens it with what was typed.
 * Nothing chosen is shown as such and never as a value.
 */
export function Picker({
  value,
  options,
  nothing,
  onChange,
  onFocus,
  id,
  ...rest
}: {
  value: string | undefined;
  options: PictureOption[];
  nothing: string;
  onChange: (id: string | undefined) => void;
  onFocus?: (e: FocusEvent<HTMLElement>) => void;
  id?: string;
  "aria-label"?: string;
  "aria-describedby"?: string;
}) {
  const picking = usePicking(value, onChange);
  const chosen = options.find((o) => o.id === value);
  return (
    <Popover.Root open={picking.open} onOpenChange={(now) => picking.show(now)}>
      <Popover.Trigger asChild>
        <button
          {...rest}
          id={id}
          ref={picking.button}
          type="button"
          role="combobox"
          aria-expanded={picking.open}
          data-typing
          data-empty={!chosen}
          className="entry flex items-center gap-2 text-left"
          onKeyDown={picking.onKeyDown}
          onFocus={onFocus}
        >
          {chosen?.picture && <span className="shrink-0">{chosen.picture}</span>}
          <span className="min-w-0 flex-1 truncate">{chosen?.label ?? nothing}</span>
          <Opens className="shrink-0" />
        </button>
      </Popover.Trigger>
      <Choices
        label={rest["aria-label"] ?? "Choices"}
        picking={picking}
        chosen={chosen}
        options={options}
        nothing={nothing}
      />
    </Popover.Root>
  );
}

function Choices({
  label,
  picking,
  chosen,
  options,
  nothing,
}: {
  label: string;
  picking: Picking;
  chosen: PictureOption | undefined;
  options: PictureOption[];
  nothing: string;
}) {
  const entry = useRef<HTMLInputElement>(null);
  return (
    <Popover.Portal>
      <Popover.Content
        aria-label={label}
        align="start"
        sideOffset={2}
        collisionPadding={8}
        className="z-30 w-[min(27rem,94vw)] border border-ink bg-paper"
        onOpenAutoFocus={(e) => {
          // Without the selection that would swallow what was typed so far.
          e.preventDefault();
          entry.current?.focus();
        }}
        onCloseAutoFocus={(e) => {
          // Called a moment after the list has gone: by then one may be in the next field.
          e.preventDefault();
          if (isStillAt(null)) picking.button.current?.focus();
        }}
      >
        <Command label={label} value={picking.inHand} onValueChange={picking.setInHand} filter={answers} loop>
          <Command.Input
            ref={entry}
            value={picking.search}
            onValueChange={picking.setSearch}
            placeholder="type any name"
            className="entry !border-ink px-2 py-1"
          />
          <Pictures picking={picking} chosen={chosen} options={options} nothing={nothing} />
          <p className="min-h-[3.4rem] border-t border-rule px-2 py-1.5 text-[0.78125rem]/4 text-ink2">
            {options.find((o) => o.id === picking.inHand)?.tell}
          </p>
        </Command>
      </Popover.Content>
    </Popover.Portal>
  );
}

function Pictures({ picking, chosen, options, nothing }: Omit<Parameters<typeof Choices>[0], "label">) {
  return (
    <Command.List className="max-h-72 overflow-y-auto">
      <Command.Empty className="voice px-2 py-2 text-ink2">No such name in the book.</Command.Empty>
      {chosen && (
        <Command.Item
          value="-"
          keywords={[nothing]}
          className={ITEM}
          onSelect={() => picking.choose(undefined)}
        >
          <span className="w-[5.25rem]" />
          <span className="voice text-ink2">{nothing}</span>
        </Command.Item>
      )}
      {options.map((o) => (
        <Command.Item
          key={o.id}
          value={o.id}
          keywords={[o.label, ...(o.also ?? [])]}
          className={ITEM}
          onSelect={() => picking.choose(o.id)}
        >
          <span className="flex w-[5.25rem] shrink-0 justify-center">{o.picture}</span>
          <span className="min-w-0">
            <span className={o.id === chosen?.id ? "font-semibold" : ""}>{o.label}</span>
            {o.also && o.also.length > 0 && (
              <span className="voice block truncate text-xs text-ink2">{o.also.join(", ")}</span>
            )}
          </span>
        </Command.Item>
      ))}
    </Command.List>
  );
}

/** Each word typed must begin a word of one of the names. */
function answers(_: string, search: string, keywords: string[] = []): number {
  const apart = (text: string) =>
    text
      .toLowerCase()
      .split(/[^\p{L}\d]+/u)
      .filter(Boolean);
  const words = apart(keywords.join(" "));
  return apart(search).every((a) => words.some((w) => w.startsWith(a))) ? 1 : 0;
}

const ITEM =
  "flex min-h-8 cursor-pointer items-center gap-3 border-b border-rule px-2 py-1 data-[selected=true]:bg-blue-wash";
