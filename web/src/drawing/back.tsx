import type { Sketch } from "../api/types";

const WIDE = 320;
const COVER = 9;
const LANE = 16;
const GAP = 5;
const TANG = 24;
const EDGE = 4;

type Back = Sketch["back"];
type Tang = Back["tangs"][number];

const top = (spring: number) => COVER + GAP + (spring - 1) * (LANE + GAP);

const list = (springs: number[]) => springs.join(" and ");

function told({ springs, counted, tangs }: Back): string {
  const count = springs === 1 ? "one spring" : `${springs} springs`;
  const each = tangs.map((t, i) =>
    t.against.length === 0
      ? `blade ${i + 1} without a spring`
      : `blade ${i + 1} against ${t.against.length > 1 ? "springs" : "spring"} ${list(t.against)}${t.seen ? "" : " perhaps"}`,
  );
  return `From the back: ${count}${counted ? "" : ", not counted"}; ${each.join(", ")}.`;
}

/** The knife from its back: springs, what stands between them, and the tangs that work against them. */
export function BackView({ back }: { back: Back }) {
  const lanes = Math.max(1, back.springs);
  const high = 2 * COVER + GAP + lanes * (LANE + GAP);
  const all = Array.from({ length: back.springs }, (_, i) => i + 1);
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${high}`}
      width={WIDE}
      height={high}
      role="img"
      aria-label={told(back)}
      className="ml-auto block max-w-full text-ink"
    >
      {[0, high - COVER].map((y) => (
        <rect
          key={y}
          x="0.5"
          y={y + 0.5}
          width={WIDE - 1}
          height={COVER - 1}
          rx="2"
          fill="var(--color-bone)"
          stroke="currentColor"
        />
      ))}
      {all.map((spring) => (
        <SpringDrawn key={spring} spring={spring} back={back} />
      ))}
      {all.slice(1).map((spring) => (
        <Divider key={spring} kind={back.divider} y={top(spring) - GAP / 2} />
      ))}
      {back.tangs.map((tang, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a blade is known by its place
        <TangDrawn key={i} tang={tang} place={i} back={back} />
      ))}
    </svg>
  );
}

/** A spring ends where a tang presses it, else at the end of the handle. */
function SpringDrawn({ spring, back }: { spring: number; back: Back }) {
  const edge = (end: Tang["end"]) =>
    back.tangs.some((t) => t.end === end && t.against.includes(spring)) ? EDGE + TANG + 1 : EDGE;
  const from = edge("B");
  return (
    <rect
      x={from}
      y={top(spring)}
      width={WIDE - edge("A") - from}
      height={LANE}
      fill="var(--color-lit)"
      stroke="currentColor"
      strokeDasharray={back.counted ? undefined : "3.2 2.4"}
    />
  );
}

function Divider({ kind, y }: { kind?: string; y: number }) {
  if (kind === "full")
    return <path d={`M${EDGE} ${y}H${WIDE - EDGE}`} stroke="currentColor" strokeWidth="2.4" />;
  // It parts the small blades and thins out towards the main.
  if (kind === "wedge")
    return <path d={`M${EDGE} ${y - 1.8}L${WIDE * 0.62} ${y}L${EDGE} ${y + 1.8}Z`} fill="currentColor" />;
  return null;
}

// Blades of one end on one spring lie side by side on it.
function TangDrawn({ tang, place, back }: { tang: Tang; place: number; back: Back }) {
  const same = back.tangs.filter((t) => t.end === tang.end && list(t.against) === list(tang.against));
  const from = top(tang.against[0] ?? 1);
  const whole = top(tang.against.at(-1) ?? 1) + LANE - from;
  const high = whole / same.length;
  const y = from + same.indexOf(tang) * high;
  const x = tang.end === "A" ? WIDE - EDGE - TANG : EDGE;
  return (
    <g>
      <rect
        x={x}
        y={y}
        width={TANG}
        height={high}
        fill={tang.seen ? "currentColor" : "var(--color-paper)"}
        stroke={tang.seen ? "var(--color-paper)" : "currentColor"}
        strokeDasharray={tang.seen ? undefined : "3.2 2.4"}
      />
      <text
        x={x + TANG / 2}
        y={y + high / 2}
        dominantBaseline="central"
        textAnchor="middle"
        fontSize={Math.min(11, high)}
        className="num"
        fill={tang.seen ? "var(--color-paper)" : "currentColor"}
      >
        {place + 1}
      </text>
    </g>
  );
}
