import { Slider } from "radix-ui";
import type { KeyboardEvent } from "react";
import { type Axis, across, place } from "./axis";
import type { Keyed, Moves, Years } from "./use-moves";

/** The stretch a bar lies in, with a stroke for each decade. */
export function Stretch({ axis, children }: { axis: Axis; children: React.ReactNode }) {
  return (
    <div
      className="relative h-6 bg-[linear-gradient(to_right,var(--color-rule)_1px,transparent_1px)]"
      style={{ backgroundSize: `${place(axis.first + 10, axis)}% 100%` }}
    >
      {children}
    </div>
  );
}

/** Dashed as far as either end may be out. */
function Give({ years, axis }: { years: Years; axis: Axis }) {
  if (years.give === 0) return null;
  return (
    <span
      aria-hidden="true"
      className="absolute top-[11px] border-t border-dashed border-ink2"
      style={across(years.from - years.give, years.to + years.give, axis)}
    />
  );
}

/** Of another's pack: it stays where it is. */
export function StillBar({ years, axis }: { years: Years; axis: Axis }) {
  return (
    <>
      <Give years={years} axis={axis} />
      <span
        aria-hidden="true"
        className="absolute top-[9px] h-1.5 min-w-1 bg-ink3"
        style={across(years.from, years.to, axis)}
      />
    </>
  );
}

/** Of one's own: its ends are dragged, or moved by the arrow keys. */
export function OwnBar({ bar, axis, moves }: OfBar) {
  const years = moves.at(bar);
  const isMoved = years.from !== bar.bar.from || years.to !== bar.bar.to || years.give !== bar.bar.give;
  const onKeyDown = (e: KeyboardEvent) => {
    if (e.key === "Enter") moves.keep();
    else if (e.key === "Escape" && isMoved) moves.putBack();
    else return;
    e.preventDefault();
  };
  return (
    <>
      {isMoved && (
        <span
          aria-hidden="true"
          className="absolute top-[19px] h-[3px] min-w-1 bg-edge"
          style={across(bar.bar.from, bar.bar.to, axis)}
        />
      )}
      <Give years={years} axis={axis} />
      <Slider.Root
        className="absolute inset-0 flex touch-none items-center"
        min={axis.first}
        max={axis.last}
        value={[years.from, years.to]}
        onValueChange={([from, to]) => moves.move(bar, { from, to })}
        onFocus={() => moves.take(bar)}
        onKeyDown={onKeyDown}
      >
        <Slider.Track className="relative h-full grow">
          <Slider.Range
            className={`absolute top-[7px] h-2.5 ${isMoved ? "border border-blue bg-blue-wash" : "bg-blue"}`}
          />
        </Slider.Track>
        <Ends what={bar.bar.what} isInHand={moves.inHand?.key === bar.key} />
      </Slider.Root>
    </>
  );
}

interface OfBar {
  bar: Keyed;
  axis: Axis;
  moves: Moves;
}

function Ends({ what, isInHand }: { what: string; isInHand: boolean }) {
  return (["first", "last"] as const).map((end) => (
    <Slider.Thumb
      key={end}
      aria-label={`${what}, ${end} year`}
      className={`relative block h-6 w-0 outline-none before:absolute before:-left-3 before:h-6 before:w-6 before:content-[''] after:absolute after:top-0.5 after:-left-[3px] after:h-5 after:w-1.5 after:border after:border-paper after:bg-blue after:content-[''] focus-visible:after:outline-2 focus-visible:after:outline-ink ${isInHand ? "after:bg-ink" : ""}`}
    />
  ));
}
