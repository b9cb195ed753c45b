import type { MouseEvent } from "react";
import type { MakersPack } from "../../api/types";
import { Remarks } from "./remarks";

/** A pack on the shelf: whether it is in use, what it holds, and what can be done with it. */
export function PackRow({ pack: p, onSwitch, onTry, onRemove }: OfPack) {
  return (
    <li className="border-t border-rule py-1.5">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <label className="flex min-h-6 grow items-baseline gap-2">
          <input
            type="checkbox"
            checked={p.on}
            disabled={!p.readable}
            onChange={(e) => onSwitch(e.target.checked)}
          />
          <span>
            <span className="font-semibold">{p.title}</span>{" "}
            <span className="text-ink2">
              {holds(p)}
              {p.shipped ? ", made up as an example" : ""}
            </span>
          </span>
        </label>
        <Ways pack={p} onTry={onTry} onRemove={onRemove} />
      </div>
      <p className="text-[0.78125rem]/4 text-ink2">{p.note}</p>
      <Remarks remarks={p.remarks} />
    </li>
  );
}

interface OfPack {
  pack: MakersPack;
  onSwitch: (on: boolean) => void;
  onTry: (e: MouseEvent<HTMLButtonElement>) => void;
  onRemove: () => void;
}

function Ways({ pack: p, onTry, onRemove }: Omit<OfPack, "onSwitch">) {
  const move = `What would move ${p.on ? "without" : "with"} it`;
  return (
    <>
      <a href={`/api/packs/${p.id}`} download className="inline-block min-h-6 underline">
        Save as a file
      </a>
      {p.readable && (
        <button
          type="button"
          className="min-h-6 underline"
          aria-label={`${move}: ${p.title}`}
          onClick={onTry}
        >
          {move}
        </button>
      )}
      {!p.shipped && (
        <button type="button" className="min-h-6 underline" onClick={onRemove}>
          Remove
        </button>
      )}
    </>
  );
}

const counted = (n: number, one: string) => `${n} ${one}${n === 1 ? "" : "s"}`;

/** How much a pack tells. */
const holds = ({ makers, added }: MakersPack) =>
  [
    counted(makers.length, "maker"),
    counted(
      makers.reduce((n, m) => n + m.marks.length, 0),
      "mark",
    ),
    ...(added > 0 ? [`${counted(added, "fact")} more of makers of other packs`] : []),
  ].join(", ");
