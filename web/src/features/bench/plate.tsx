import { type ReactNode, type RefObject, useLayoutEffect, useMemo, useRef, useState } from "react";
import type { Book, SeenFace, Sketch, Verdict } from "../../api/types";
import { drawOpen, type OpenKnife, type Pose } from "../../drawing/open";
import { saveDrawing } from "../../drawing/save";
import { Shapes } from "../../drawing/shapes";
import { eased, type Laid, onItsWay, SWING_MS } from "../../drawing/swing";
import { LengthFigure, lengthText, titleBy } from "../../format";
import { usePreferences } from "../../preferences";
import { Key } from "../../ui/key";
import { TextEntry } from "../../ui/text-entry";
import { useWidth } from "../../ui/use-width";
import { FaultMarks, type PointedAt } from "./fault-marks";
import { useSchools } from "./grading/use-schools";
import { HotSpots } from "./hot-spots";
import type { Knife } from "./use-knife";

const LARGEST = 4.6;

/**
 * The sheet and the room around the knife for labels, large or small; on a narrow one the discs stand
 * without them, and the small one goes without its measure.
 */
export const WIDE = { height: 284, left: 214, right: 84, top: 14, below: 88, labelled: true };
export const WIDE_SMALL = { ...WIDE, height: 186, below: 68 };
export const NARROW = { height: 206, left: 30, right: 30, top: 14, below: 54, labelled: false };
export const NARROW_SMALL = { ...NARROW, height: 132, below: 34 };
export type Room = typeof WIDE;

const POSES: Record<Pose, string> = { open: "open", half: "half open", closed: "closed" };

const scaleWords = (scale: number) => `${(scale / 3.78).toFixed(2)} times life size at 96 pixels to the inch`;

export interface FaceOf {
  blade: number;
  side: SeenFace["face"];
}

/** The knife to scale, its parts numbered; each is a way to its station. */
export function Plate({ isLarge, onResize, ...plate }: OfPlate) {
  const { knife, book } = plate;
  const { school } = usePreferences();
  const { verdict } = knife;
  const [pose, setPose] = useState<Pose>("open");
  const [isPile, setPile] = useState(false);
  const sheet = useRef<SVGSVGElement>(null);
  const { box, width, room, drawn } = useDrawn({ sketch: verdict?.sketch, book, isLarge, pose, isPile });
  const title = verdict ? titleBy(school, verdict.pattern) : "\u00a0";
  return (
    <section aria-label="Drawing" ref={box} className="relative border-b border-ink">
      {drawn && verdict ? (
        <Sheet
          {...plate}
          {...{ sheet, width, room, drawn, verdict, isLarge, pose }}
          side={`${title}, ${isPile ? "pile" : "mark"} side, blades ${POSES[pose]}`}
        />
      ) : (
        <div style={{ height: room.height }} />
      )}
      <Named knife={knife} title={title}>
        {drawn && <HowDrawn {...{ drawn, isPile, isLarge }} sketch={verdict?.sketch} />}
      </Named>
      <Turns
        {...{ pose, setPose, isPile, setPile, isLarge, onResize }}
        onSave={drawn && ((kind) => saveDrawing(sheet.current, title, scaleWords(drawn.scale), kind))}
      />
    </section>
  );
}

interface Parts {
  knife: Knife;
  book: Book;
  station: string;
  onGo: (station: string) => void;
  face: FaceOf;
  onFace: (face: FaceOf) => void;
  /** The point of condition in hand: at such stations faults are shown on the knife. */
  asked: PointedAt | undefined;
}

interface OfPlate extends Parts {
  isLarge: boolean;
  onResize: () => void;
}

/** The knife drawn as large as the room around it lets it be. */
function useDrawn({
  sketch,
  book,
  isLarge,
  pose,
  isPile,
}: {
  sketch: Sketch | undefined;
  book: Book;
  isLarge: boolean;
  pose: Pose;
  isPile: boolean;
}) {
  const box = useRef<HTMLElement>(null);
  const width = useWidth(box, 836);
  const isNarrow = width < 620;
  const room = isNarrow ? (isLarge ? NARROW : NARROW_SMALL) : isLarge ? WIDE : WIDE_SMALL;
  const drawn = useMemo(() => {
    const [wide, high] = [width - room.left - room.right, room.height - room.top - room.below];
    return sketch && drawOpen(sketch, book, wide, high, LARGEST, pose, isPile);
  }, [sketch, book, width, room, pose, isPile]);
  return { box, width, room, drawn };
}

function Sheet({
  sheet,
  width,
  room,
  drawn,
  verdict,
  isLarge,
  pose,
  side,
  knife: _,
  asked,
  ...parts
}: Parts & {
  sheet: RefObject<SVGSVGElement | null>;
  width: number;
  room: Room;
  drawn: OpenKnife;
  verdict: Verdict;
  isLarge: boolean;
  pose: Pose;
  side: string;
}) {
  const { units } = usePreferences();
  const { heads } = useSchools(verdict);
  const { sketch } = verdict;
  return (
    <svg
      ref={sheet}
      viewBox={`0 0 ${width} ${room.height}`}
      width={width}
      height={room.height}
      className="text-ink"
      aria-label={`${side}, ${lengthText(sketch.closedLengthMm, units)} closed`}
    >
      <g transform={`translate(${room.left} ${room.top})`}>
        <Drawn drawn={drawn} pose={pose} />
        {isLarge && <Dimension drawn={drawn} sketch={sketch} />}
        <HotSpots drawn={drawn} room={room} verdict={verdict} {...parts} />
        {asked && <FaultMarks drawn={drawn} book={parts.book} school={heads} asked={asked} />}
      </g>
      <ScaleBar scale={drawn.scale} right={width - 6} base={room.height - 12} />
    </svg>
  );
}

function HowDrawn({
  drawn,
  sketch,
  isPile,
  isLarge,
}: {
  drawn: OpenKnife;
  sketch: Sketch | undefined;
  isPile: boolean;
  isLarge: boolean;
}) {
  const { units } = usePreferences();
  return (
    <p className="text-[0.78125rem]/[1.0625rem] text-ink2">
      {isPile ? "Pile" : "Mark"} side,{" "}
      {isLarge || !sketch?.measured ? "slot up" : `${lengthText(sketch.closedLengthMm, units)} closed`},{" "}
      {(drawn.scale / 3.78).toFixed(1)} {"\u00d7"} life
      {sketch?.measured ? "" : ", not measured"}
    </p>
  );
}

/** What the knife is, and the name its collector gave it. */
function Named({ knife, title, children }: { knife: Knife; title: string; children: ReactNode }) {
  return (
    <div className="bottom-1.5 left-0 w-full pb-2 md:absolute md:w-[13rem] md:pb-0">
      <p className="font-serif text-[1.5625rem]/[1.6875rem] tracking-tight" data-testid="pattern-title">
        {title}
      </p>
      <div className="mt-1 flex items-baseline gap-1.5 text-[0.78125rem]/[1.0625rem] text-ink2">
        <span className="num shrink-0 whitespace-nowrap">{knife.number}</span>
        <TextEntry
          aria-label="Your name for it"
          placeholder="give it a name"
          className="!border-transparent hover:!border-edge focus:!border-edge !px-0"
          value={knife.specimen.title ?? ""}
          maxLength={120}
          onCommit={(text) => knife.change((s) => ({ ...s, title: text.trim() || undefined }))}
        />
      </div>
      {children}
    </div>
  );
}

/** The ways to look at the drawing, and to save it. */
function Turns({
  pose,
  setPose,
  isPile,
  setPile,
  isLarge,
  onResize,
  onSave,
}: {
  pose: Pose;
  setPose: (pose: Pose) => void;
  isPile: boolean;
  setPile: (isPile: boolean) => void;
  isLarge: boolean;
  onResize: () => void;
  onSave: ((kind: "svg" | "png") => void) | undefined;
}) {
  return (
    <div className="no-print flex flex-wrap items-center gap-x-3 pb-1 text-[0.78125rem] text-ink2 md:absolute md:bottom-0.5 md:left-[13.5rem]">
      {(Object.keys(POSES) as Pose[]).map((p) => (
        <Turn key={p} isSo={pose === p} onPress={() => setPose(p)}>
          {POSES[p]}
        </Turn>
      ))}
      <Turn onPress={() => setPile(!isPile)}>{isPile ? "see mark side" : "see pile side"}</Turn>
      <Turn onPress={onResize}>
        {isLarge ? "smaller" : "larger"}{" "}
        <span className="max-sm:hidden">
          <Key>D</Key>
        </span>
      </Turn>
      {onSave &&
        (["svg", "png"] as const).map((kind) => (
          <Turn key={kind} onPress={() => onSave(kind)}>
            {kind.toUpperCase()}
          </Turn>
        ))}
    </div>
  );
}

/** One of the ways to look at the drawing. */
function Turn({ isSo, onPress, children }: { isSo?: boolean; onPress: () => void; children: ReactNode }) {
  return (
    <button
      type="button"
      aria-pressed={isSo}
      className="min-h-6 aria-pressed:font-semibold aria-pressed:text-ink hover:underline"
      onClick={onPress}
    >
      {children}
    </button>
  );
}

function Drawn({ drawn, pose }: { drawn: OpenKnife; pose: string }) {
  const parts = useSwing(drawn, pose);
  return (
    <g aria-hidden="true" ref={parts}>
      {[...drawn.blades].reverse().map((b, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a blade is known by its place
        <g key={i}>
          <Shapes shapes={b.shapes} />
        </g>
      ))}
      <g>
        <Shapes shapes={drawn.handle} />
      </g>
    </g>
  );
}

const laid = (drawn: OpenKnife): Laid[] => [
  ...[...drawn.blades].reverse().map((b): Laid => [b.tang, b.tip]),
  [drawn.left, drawn.right],
];

/** Lets the blades swing when the pose changes, unless less motion is asked for. */
function useSwing(drawn: OpenKnife, pose: string) {
  const parts = useRef<SVGGElement>(null);
  const before = useRef({ drawn, pose });
  useLayoutEffect(() => {
    const [from, to] = [laid(before.current.drawn), laid(drawn)];
    const swings = before.current.pose !== pose && from.length === to.length;
    before.current = { drawn, pose };
    if (!swings || matchMedia("(prefers-reduced-motion: reduce)").matches) return;
    const groups = [...(parts.current?.children ?? [])];
    let frame = 0;
    const begun = performance.now();
    const step = (now: number) => {
      const t = Math.max(0, Math.min(1, (now - begun) / SWING_MS));
      groups.forEach((g, i) => {
        if (t < 1) g.setAttribute("transform", onItsWay(from[i] as Laid, to[i] as Laid, eased(t)));
        else g.removeAttribute("transform");
      });
      if (t < 1) frame = requestAnimationFrame(step);
    };
    step(begun);
    return () => {
      cancelAnimationFrame(frame);
      for (const g of groups) g.removeAttribute("transform");
    };
  }, [drawn, pose]);
  return parts;
}

function Dimension({ drawn, sketch }: { drawn: OpenKnife; sketch: Sketch }) {
  const { units } = usePreferences();
  const y = drawn.box.bottom + 42;
  const [x0, x1] = [drawn.left[0], drawn.right[0]];
  const mid = (x0 + x1) / 2;
  return (
    <g aria-hidden="true">
      <path
        d={`M${x0} ${drawn.left[1] - 6}V${y + 5}M${x1} ${drawn.right[1] - 6}V${y + 5}M${x0} ${y}H${mid - 52}M${mid + 52} ${y}H${x1}`}
        stroke="currentColor"
        strokeWidth=".7"
        strokeDasharray={sketch.measured ? undefined : "3 2.4"}
      />
      <path d={`M${x0} ${y}l9-2.4v4.8ZM${x1} ${y}l-9-2.4v4.8Z`} fill="currentColor" />
      <foreignObject x={mid - 52} y={y - 9} width="104" height="20">
        <p className={`text-center text-[0.9375rem]/5 ${sketch.measured ? "" : "voice text-ink3"}`}>
          {sketch.measured ? (
            <>
              <LengthFigure mm={sketch.closedLengthMm} units={units} /> closed
            </>
          ) : (
            "not measured"
          )}
        </p>
      </foreignObject>
    </g>
  );
}

function ScaleBar({ scale, right, base: y }: { scale: number; right: number; base: number }) {
  const { units } = usePreferences();
  const mm = units === "in" ? 25.4 : 20;
  const ticks = units === "in" ? 16 : 20;
  const wide = mm * scale;
  const x = right - wide;
  const every = units === "in" ? 4 : 5;
  return (
    <g aria-hidden="true" stroke="currentColor" strokeWidth=".9">
      <path d={`M${x} ${y}h${wide}`} />
      {Array.from({ length: ticks + 1 }, (_, i) => {
        const at = x + (wide * i) / ticks;
        return <path key={at} d={`M${at} ${y}v${i % every === 0 ? -8 : -4.5}`} />;
      })}
      <text
        x={x + wide / 2}
        y={y - 12}
        textAnchor="middle"
        className="num"
        fontSize="13"
        fill="currentColor"
        stroke="none"
      >
        {units === "in" ? "1 in" : "20 mm"}
      </text>
    </g>
  );
}
