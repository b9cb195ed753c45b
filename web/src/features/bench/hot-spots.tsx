import type { Book, Verdict } from "../../api/types";
import type { Point } from "../../drawing/geometry";
import type { OpenKnife } from "../../drawing/open";
import { onPressed } from "../../ui/pressed";
import type { FaceOf, Room } from "./plate";

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

/** The parts of the drawn knife by number; each is a way to its station. */
export function HotSpots({
  onGo,
  onFace,
  ...of
}: Pointed & {
  onGo: (station: string) => void;
  onFace: (face: FaceOf) => void;
}) {
  return spotsOf(of).map((s) => (
    <SpotDrawn
      key={s.number}
      spot={s}
      isLabelled={of.room.labelled}
      onPress={() => {
        if (s.face) onFace(s.face);
        onGo(s.station);
      }}
    />
  ));
}

function SpotDrawn({
  spot: s,
  isLabelled,
  onPress,
}: {
  spot: Spot;
  isLabelled: boolean;
  onPress: () => void;
}) {
  const colour = COLOUR[s.state];
  return (
    // biome-ignore lint/a11y/useSemanticElements: a button cannot stand inside a drawing
    <g
      role="button"
      tabIndex={0}
      aria-label={[s.label, s.quiet].filter(Boolean).join(", ")}
      onClick={onPress}
      onKeyDown={onPressed(onPress)}
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
      <Disc spot={s} colour={colour} />
      {isLabelled && <SpotLabel spot={s} colour={colour} />}
    </g>
  );
}

const COLOUR: Record<Spot["state"], string> = {
  conflict: "var(--color-lead)",
  now: "var(--color-blue)",
  seen: "currentColor",
  open: "currentColor",
};

function Disc({ spot: { disc, state, number }, colour }: { spot: Spot; colour: string }) {
  const isOpen = state === "open";
  const [cx, cy] = disc;
  return (
    <>
      <circle cx={cx} cy={cy} r="12" fill="transparent" />
      {state === "now" && <circle cx={cx} cy={cy} r="11.6" fill="none" stroke={colour} strokeWidth="1.2" />}
      <circle
        cx={cx}
        cy={cy}
        r="8.6"
        fill={isOpen ? "var(--color-paper)" : colour}
        stroke={isOpen ? "var(--color-edge)" : colour}
        strokeWidth="1.1"
        strokeDasharray={isOpen ? "3 2.2" : undefined}
      />
      <text
        aria-hidden="true"
        x={cx}
        y={cy + 4}
        textAnchor="middle"
        fontSize="11.5"
        fontWeight="600"
        fill={isOpen ? "currentColor" : "var(--color-paper)"}
      >
        {number}
      </text>
    </>
  );
}

const LABEL_BESIDE = { start: 15, end: -15, middle: 0 };

function SpotLabel({ spot: s, colour }: { spot: Spot; colour: string }) {
  return (
    <text
      x={s.disc[0] + LABEL_BESIDE[s.side]}
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
        <tspan className="voice" fontSize="12" fill={s.state === "now" ? colour : "var(--color-ink3)"}>
          {`, ${s.quiet}`}
        </tspan>
      )}
    </text>
  );
}

function leader({ at, disc }: Spot): string {
  const l = Math.hypot(at[0] - disc[0], at[1] - disc[1]) || 1;
  const from = [disc[0] + ((at[0] - disc[0]) / l) * 9, disc[1] + ((at[1] - disc[1]) / l) * 9];
  return `M${from[0]} ${from[1]}L${at[0]} ${at[1]}`;
}

/** What there is to point at. */
interface Pointed {
  drawn: OpenKnife;
  room: Room;
  verdict: Verdict;
  book: Book;
  station: string;
  face: FaceOf;
}

type Unnumbered = Omit<Spot, "number">;

/** Discs stand beyond the points of the blades, beside the tangs and under the handle: none crosses another. */
export function spotsOf(of: Pointed): Spot[] {
  return [...bladeSpots(of), ...tangSpots(of), ...handleSpots(of)].map((s, i) => ({
    ...s,
    number: i + 1,
  }));
}

function stateOf({ station, verdict }: Pointed, name: string): Spot["state"] {
  if (station === name) return "now";
  const p = verdict.progress.find((o) => o.station === name);
  return p?.conflict ? "conflict" : (p?.looked ?? 0) > 0 ? "seen" : "open";
}

function bladeSpots({ drawn, room, verdict, book, station }: Pointed): Unnumbered[] {
  return drawn.blades.map((b, i) => {
    const seen = verdict.sketch.blades[i];
    const type = book.blades.find((t) => t.id === seen?.type);
    const out: Point = [b.tip[0] - b.middle[0], b.tip[1] - b.middle[1]];
    const l = Math.hypot(...out) || 1;
    const name = type?.name.replace(" blade", "") ?? "Blade";
    const roomLeft = b.tip[0] + room.left - 34 > name.length * 6.4;
    const isSteep = Math.abs(out[0]) < Math.abs(out[1]) * 0.75;
    const rightwards = isSteep ? b.mirrored : out[0] > 0 || !roomLeft;
    return {
      at: b.middle,
      disc: [b.tip[0] + (out[0] / l) * 17, Math.max(0, b.tip[1] + (out[1] / l) * 12)],
      label: name,
      quiet: type ? undefined : "not yet looked",
      station: "blades",
      side: rightwards ? "start" : "end",
      state: station === "blades" ? "now" : type ? "seen" : "open",
    };
  });
}

const MOST_TANGS = 3;

function tangSpots(of: Pointed): Unnumbered[] {
  const { drawn, room, station, face } = of;
  const state = stateOf(of, "marks");
  const shown = drawn.blades.slice(0, MOST_TANGS);
  return shown.map((b, i) => {
    const ofEnd = shown.filter((o) => o.mirrored === b.mirrored);
    const heights = below(ofEnd.map((o) => o.tang[1] + 4));
    const edge = b.mirrored ? drawn.right[0] : drawn.left[0];
    const isNow = station === "marks" && face.blade === i + 1;
    return {
      at: b.tang,
      disc: [edge + (b.mirrored ? 1 : -1) * (room.labelled ? 30 : 18), heights[ofEnd.indexOf(b)] as number],
      label: i === 0 ? "tang" : `tang ${i + 1}`,
      quiet: isNow ? `${face.side} side` : undefined,
      station: "marks",
      side: b.mirrored ? "start" : "end",
      face: { blade: i + 1, side: "mark" },
      state: isNow ? "now" : state === "now" ? "seen" : state,
    };
  });
}

// The first where it is, each further one below the one before, so that no leader crosses another.
function below(heights: number[]): number[] {
  let last = Number.NEGATIVE_INFINITY;
  return heights.map((y) => {
    last = Math.max(y, last + DISC_ROOM);
    return last;
  });
}

/** Stations of the handle, where along it and how far across they are pointed at. */
const ON_THE_HANDLE: [station: string, label: string, along: number, across: number][] = [
  ["frame", "Frame", 0.1, 0.3],
  ["shield", "Shield", 0.46, 0.35],
  ["handle", "Handle", 0.7, 0.45],
];

function handleSpots(of: Pointed): Unnumbered[] {
  const { drawn, room } = of;
  const places = spaced(
    ON_THE_HANDLE.map(([, , along]) => drawn.at(along, 1)[0]),
    room.labelled ? LABEL_ROOM : DISC_ROOM,
  );
  return ON_THE_HANDLE.map(([name, label, along, across], i) => ({
    at: drawn.at(along, across),
    disc: [places[i] as number, drawn.box.bottom + 20],
    label,
    station: name,
    side: "start",
    state: stateOf(of, name),
  }));
}

const LABEL_ROOM = 84;
const DISC_ROOM = 24;

/** The same places in the same order, moved apart as little as leaves room between them. */
export function spaced(places: number[], room: number): number[] {
  const order = places.map((_, i) => i).sort((a, b) => (places[a] as number) - (places[b] as number));
  const out = [...places];
  for (let i = 1; i < order.length; i++) {
    const [before, after] = [order[i - 1] as number, order[i] as number];
    const short = room - ((out[after] as number) - (out[before] as number));
    if (short > 0) out[after] = (out[after] as number) + short;
  }
  return out;
}
