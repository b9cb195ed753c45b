import { type KeyboardEvent, useLayoutEffect, useMemo, useRef, useState } from "react";
import type { Book, SeenFace, Sketch, Verdict } from "../../api/types";
import type { Point } from "../../drawing/geometry";
import { drawOpen, type OpenKnife, type Pose } from "../../drawing/open";
import { saveDrawing } from "../../drawing/save";
import { Shapes } from "../../drawing/shapes";
import { eased, type Laid, onItsWay, SWING_MS } from "../../drawing/swing";
import { LengthFigure, lengthText, titleBy } from "../../format";
import { usePreferences } from "../../preferences";
import { TextEntry } from "../../ui/text-entry";
import { useWidth } from "../../ui/use-width";
import type { Knife } from "./use-knife";

const HEIGHT = 284;
const LARGEST = 4.6;

/** Room around the knife for labels; on a narrow sheet the discs stand without them. */
const WIDE = { left: 176, right: 84, top: 14, below: 88, labelled: true };
const NARROW = { left: 30, right: 30, top: 14, below: 54, labelled: false };
type Room = typeof WIDE;

const POSES: Record<Pose, string> = { open: "open", half: "half open", closed: "closed" };

const scaleWords = (scale: number) => `${(scale / 3.78).toFixed(2)} times life size at 96 pixels to the inch`;

export interface FaceOf {
  blade: number;
  side: SeenFace["face"];
}

/** The knife to scale, its parts numbered; each is a way to its station. */
export function Plate({
  knife,
  book,
  station,
  onGo,
  face,
  onFace,
}: {
  knife: Knife;
  book: Book;
  station: string;
  onGo: (station: string) => void;
  face: FaceOf;
  onFace: (face: FaceOf) => void;
}) {
  const { units, school } = usePreferences();
  const { verdict, specimen } = knife;
  const [pose, setPose] = useState<Pose>("open");
  const [isPile, setPile] = useState(false);
  const sheet = useRef<SVGSVGElement>(null);
  const sketch = verdict?.sketch;
  const box = useRef<HTMLElement>(null);
  const width = useWidth(box, 836);
  const room = width < 620 ? NARROW : WIDE;
  const height = room.labelled ? HEIGHT : 206;
  const drawn = useMemo(
    () =>
      sketch &&
      drawOpen(
        sketch,
        book,
        width - room.left - room.right,
        height - room.top - room.below,
        LARGEST,
        pose,
        isPile,
      ),
    [sketch, book, width, height, room, pose, isPile],
  );
  const title = verdict ? titleBy(school, verdict.pattern) : "\u00a0";
  return (
    <section aria-label="Drawing" ref={box} className="relative border-b border-ink">
      {sketch && drawn && verdict ? (
        <svg
          ref={sheet}
          viewBox={`0 0 ${width} ${height}`}
          width={width}
          height={height}
          className="text-ink"
          aria-label={`${title}, ${isPile ? "pile" : "mark"} side, blades ${POSES[pose]}, ${lengthText(sketch.closedLengthMm, units)} closed`}
        >
          <g transform={`translate(${room.left} ${room.top})`}>
            <Drawn drawn={drawn} pose={pose} />
            <Dimension drawn={drawn} sketch={sketch} />
            <HotSpots
              drawn={drawn}
              room={room}
              verdict={verdict}
              book={book}
              station={station}
              face={face}
              onGo={onGo}
              onFace={onFace}
            />
          </g>
          <ScaleBar scale={drawn.scale} right={width - 6} base={height - 12} />
        </svg>
      ) : (
        <div style={{ height }} />
      )}
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
            value={specimen.title ?? ""}
            maxLength={120}
            onCommit={(title) => knife.change((s) => ({ ...s, title: title.trim() || undefined }))}
          />
        </div>
        {drawn && (
          <p className="text-[0.78125rem]/[1.0625rem] text-ink2">
            {isPile ? "Pile" : "Mark"} side, slot up, {(drawn.scale / 3.78).toFixed(1)} {"\u00d7"} life
            {sketch?.measured ? "" : ", not measured"}
          </p>
        )}
      </div>
      <div className="no-print flex flex-wrap items-center gap-x-3 pb-1 text-[0.78125rem] text-ink2 md:absolute md:bottom-0.5 md:left-[13.5rem]">
        {(Object.keys(POSES) as Pose[]).map((p) => (
          <button
            key={p}
            type="button"
            aria-pressed={pose === p}
            className="min-h-6 aria-pressed:font-semibold aria-pressed:text-ink hover:underline"
            onClick={() => setPose(p)}
          >
            {POSES[p]}
          </button>
        ))}
        <button type="button" className="min-h-6 hover:underline" onClick={() => setPile(!isPile)}>
          {isPile ? "see mark side" : "see pile side"}
        </button>
        {drawn && (
          <>
            <button
              type="button"
              className="min-h-6 hover:underline"
              onClick={() => saveDrawing(sheet.current, title, scaleWords(drawn.scale), "svg")}
            >
              SVG
            </button>
            <button
              type="button"
              className="min-h-6 hover:underline"
              onClick={() => saveDrawing(sheet.current, title, scaleWords(drawn.scale), "png")}
            >
              PNG
            </button>
          </>
        )}
      </div>
    </section>
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

interface Spot {
  number: number;
  at: Point;
  disc: Point;
  label: string;
  quiet?: string;
  station: string;
  side: "start" | "end" | "middle";
  far?: boolean;
  face?: FaceOf;
  state: "seen" | "open" | "now" | "conflict";
}

function HotSpots({
  drawn,
  room,
  verdict,
  book,
  station,
  face,
  onGo,
  onFace,
}: {
  drawn: OpenKnife;
  room: Room;
  verdict: Verdict;
  book: Book;
  station: string;
  face: FaceOf;
  onGo: (station: string) => void;
  onFace: (face: FaceOf) => void;
}) {
  const spots = spotsOf(drawn, room, verdict, book, station, face);
  return (
    <>
      {spots.map((s) => {
        const colour =
          s.state === "conflict"
            ? "var(--color-lead)"
            : s.state === "now"
              ? "var(--color-blue)"
              : "currentColor";
        const go = () => {
          if (s.face) onFace(s.face);
          onGo(s.station);
        };
        return (
          // biome-ignore lint/a11y/useSemanticElements: a button cannot stand inside a drawing
          <g
            key={s.number}
            role="button"
            tabIndex={0}
            aria-label={[s.label, s.quiet].filter(Boolean).join(", ")}
            onClick={go}
            onKeyDown={(e: KeyboardEvent) => {
              if (e.key !== "Enter" && e.key !== " ") return;
              e.preventDefault();
              go();
            }}
            className="cursor-pointer"
          >
            <path d={leader(s)} stroke="var(--color-paper)" strokeWidth="3.2" opacity=".85" fill="none" />
            <path
              d={leader(s)}
              stroke={colour}
              strokeWidth=".9"
              fill="none"
              strokeDasharray={s.far ? "3 2.4" : undefined}
            />
            <circle
              cx={s.at[0]}
              cy={s.at[1]}
              r="2.1"
              fill={s.far ? "var(--color-paper)" : colour}
              stroke={colour}
            />
            <circle cx={s.disc[0]} cy={s.disc[1]} r="12" fill="transparent" />
            {s.state === "now" && (
              <circle cx={s.disc[0]} cy={s.disc[1]} r="11.6" fill="none" stroke={colour} strokeWidth="1.2" />
            )}
            <circle
              cx={s.disc[0]}
              cy={s.disc[1]}
              r="8.6"
              fill={s.state === "open" ? "var(--color-paper)" : colour}
              stroke={s.state === "open" ? "var(--color-edge)" : colour}
              strokeWidth="1.1"
              strokeDasharray={s.state === "open" ? "3 2.2" : undefined}
            />
            <text
              x={s.disc[0]}
              y={s.disc[1] + 4}
              textAnchor="middle"
              fontSize="11.5"
              fontWeight="600"
              fill={s.state === "open" ? "currentColor" : "var(--color-paper)"}
            >
              {s.number}
            </text>
            {room.labelled && (
              <text
                x={s.disc[0] + (s.side === "start" ? 15 : s.side === "end" ? -15 : 0)}
                y={s.disc[1] + (s.side === "middle" ? 22 : 4.3)}
                textAnchor={s.side}
                fontSize="13"
                fill={colour}
                paintOrder="stroke"
                stroke="var(--color-paper)"
                strokeWidth="3"
              >
                {s.label}
                {s.quiet && (
                  <tspan
                    className="voice"
                    fontSize="12"
                    fill={s.state === "now" ? colour : "var(--color-ink3)"}
                  >
                    {`, ${s.quiet}`}
                  </tspan>
                )}
              </text>
            )}
          </g>
        );
      })}
    </>
  );
}

function leader({ at, disc }: Spot): string {
  const l = Math.hypot(at[0] - disc[0], at[1] - disc[1]) || 1;
  const from = [disc[0] + ((at[0] - disc[0]) / l) * 9, disc[1] + ((at[1] - disc[1]) / l) * 9];
  return `M${from[0]} ${from[1]}L${at[0]} ${at[1]}`;
}

/** Discs stand beyond the points of the blades, beside the tangs and under the handle: none crosses another. */
function spotsOf(
  drawn: OpenKnife,
  room: Room,
  verdict: Verdict,
  book: Book,
  station: string,
  face: FaceOf,
): Spot[] {
  const spots: Spot[] = [];
  const progress = (name: string) => verdict.progress.find((p) => p.station === name);
  const stateOf = (name: string): Spot["state"] => {
    const p = progress(name);
    if (station === name) return "now";
    return p?.conflict ? "conflict" : (p?.looked ?? 0) > 0 ? "seen" : "open";
  };
  drawn.blades.forEach((b, i) => {
    const seen = verdict.sketch.blades[i];
    const type = book.blades.find((t) => t.id === seen?.type);
    const out: Point = [b.tip[0] - b.middle[0], b.tip[1] - b.middle[1]];
    const l = Math.hypot(...out) || 1;
    const name = type?.name.replace(" blade", "") ?? "Blade";
    const roomLeft = b.tip[0] + room.left - 34 > name.length * 6.4;
    const isSteep = Math.abs(out[0]) < Math.abs(out[1]) * 0.75;
    const rightwards = isSteep ? b.mirrored : out[0] > 0 || !roomLeft;
    spots.push({
      number: spots.length + 1,
      at: b.middle,
      disc: [b.tip[0] + (out[0] / l) * 17, Math.max(0, b.tip[1] + (out[1] / l) * 12)],
      label: name,
      quiet: type ? undefined : "not yet looked",
      station: "blades",
      side: rightwards ? "start" : "end",
      state: station === "blades" ? "now" : type ? "seen" : "open",
    });
  });
  drawn.blades.slice(0, 3).forEach((b, i) => {
    const low = i === 0 ? 0 : 24 * drawn.blades.slice(0, i).filter((o) => o.mirrored === b.mirrored).length;
    const edge = b.mirrored ? drawn.right[0] : drawn.left[0];
    const isNow = station === "marks" && face.blade === i + 1;
    spots.push({
      number: spots.length + 1,
      at: b.tang,
      disc: [edge + (b.mirrored ? 1 : -1) * (room.labelled ? 30 : 18), b.tang[1] + 4 + low],
      label: i === 0 ? "tang" : `tang ${i + 1}`,
      quiet: isNow ? `${face.side} side` : undefined,
      station: "marks",
      side: b.mirrored ? "start" : "end",
      face: { blade: i + 1, side: "mark" },
      state: isNow ? "now" : stateOf("marks") === "now" ? "seen" : stateOf("marks"),
    });
  });
  const under: [string, string, number, number][] = [
    ["frame", "Frame", 0.1, 0.3],
    ["shield", "Shield", 0.46, 0.35],
    ["handle", "Handle", 0.7, 0.45],
  ];
  const places = spaced(
    under.map(([, , t]) => drawn.at(t, 1)[0]),
    room.labelled ? LABEL_ROOM : DISC_ROOM,
  );
  under.forEach(([name, label, t, v], i) => {
    spots.push({
      number: spots.length + 1,
      at: drawn.at(t, v),
      disc: [places[i] as number, drawn.box.bottom + 20],
      label,
      station: name,
      side: "start",
      state: stateOf(name),
    });
  });
  return spots;
}

const LABEL_ROOM = 84;
const DISC_ROOM = 24;

/** The same places in the same order, moved apart as little as leaves room between them. */
function spaced(places: number[], room: number): number[] {
  const order = places.map((_, i) => i).sort((a, b) => (places[a] as number) - (places[b] as number));
  const out = [...places];
  for (let i = 1; i < order.length; i++) {
    const [before, after] = [order[i - 1] as number, order[i] as number];
    const short = room - ((out[after] as number) - (out[before] as number));
    if (short > 0) out[after] = (out[after] as number) + short;
  }
  return out;
}
