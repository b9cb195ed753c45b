import { useRef } from "react";
import type { StoryTold } from "../../api/types";
import { years } from "../../format";
import { useWidth } from "../../ui/use-width";

const HIGH = 18;
const EDGE = 6;

type Tenure = StoryTold["chain"]["tenures"][number];
type X = (year: number) => number;

/** Who had it, under the years of the knife on one axis, so that what cannot be is seen before it is read. */
export function StoryAxis({ story }: { story: StoryTold }) {
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box, 640);
  const to = Math.max(story.to, story.from + 10);
  const x: X = (year) => EDGE + ((year - story.from) * (width - 2 * EDGE)) / (to - story.from);
  const rows = inOrder(story);
  if (rows.length === 0) return null;
  return (
    <section aria-label="Who had it" className="my-2">
      <ol ref={box as never}>
        <Made width={width} x={x} story={story} />
        {rows.map((row) => (
          <li key={row.key} className="border-t border-rule">
            <p className="flex justify-between gap-3">
              <span className={row.tenure ? "min-w-0 break-words" : "voice text-ink3"}>{row.label}</span>
              {row.tenure && (
                <span className="num whitespace-nowrap text-ink2">{span(row.tenure, story.to)}</span>
              )}
            </p>
            <Row width={width} x={x} story={story}>
              {row.tenure ? (
                <Bar tenure={row.tenure} x={x} isDoubted={isDoubted(story, row.tenure)} />
              ) : (
                <Gap from={x(row.from)} to={x(row.to)} />
              )}
            </Row>
          </li>
        ))}
      </ol>
      <Years width={width} x={x} from={story.from} to={to} />
    </section>
  );
}

function Gap({ from, to }: { from: number; to: number }) {
  return (
    <path
      d={`M${from} ${HIGH / 2 - 3}v6m0 -3H${to}m0 -3v6`}
      stroke="var(--color-ink3)"
      strokeWidth="1"
      strokeDasharray="1 4"
    />
  );
}

function Made({ width, x, story }: { width: number; x: X; story: StoryTold }) {
  const { made } = story;
  if (!made) return null;
  return (
    <li>
      <p className="flex justify-between gap-3">
        <span>The knife, by all but its story</span>
        <span className="num text-blue">{years(made)}</span>
      </p>
      <Row width={width} x={x} story={story}>
        {made.pieces.map((p) => (
          <path
            key={p.from}
            d={`M${x(p.from)} ${HIGH / 2}H${Math.max(x(p.to), x(p.from) + 3)}`}
            stroke="var(--color-blue)"
            strokeWidth="7"
          />
        ))}
      </Row>
    </li>
  );
}

interface OnAxis {
  key: string;
  label: string | undefined;
  from: number;
  to: number;
  tenure?: Tenure;
}

/** Holders and gaps in the order of time. */
function inOrder({ chain, holders, toldGaps }: StoryTold): OnAxis[] {
  const held = chain.tenures.map((tenure, i) => ({
    key: `${i} held`,
    label: holders[i],
    from: tenure.from,
    to: tenure.to,
    tenure,
  }));
  const gaps = chain.gaps.map((g, i) => ({ key: `${i} gap`, label: toldGaps[i], from: g.from, to: g.to }));
  return [...held, ...gaps].sort((a, b) => a.from - b.from || a.to - b.to);
}

const span = ({ from, to }: Tenure, today: number) =>
  from === to ? `${from}` : `${from}\u2013${to === today ? "today" : to}`;

const isDoubted = (story: StoryTold, tenure: Tenure) => tenure.events.some((e) => story.links[e]?.doubted);

function Row({
  width,
  x,
  story,
  children,
}: {
  width: number;
  x: X;
  story: StoryTold;
  children: React.ReactNode;
}) {
  return (
    <svg
      width={width}
      height={HIGH}
      viewBox={`0 0 ${width} ${HIGH}`}
      className="block print:h-auto print:w-full"
      aria-hidden="true"
    >
      {story.made?.pieces.map((p) => (
        <rect
          key={p.from}
          x={x(p.from)}
          y="0"
          width={Math.max(3, x(p.to) - x(p.from))}
          height={HIGH}
          fill="var(--color-blue-wash)"
        />
      ))}
      {children}
    </svg>
  );
}

// Sure years are solid, those it may also have been are dashed.
function Bar({ tenure, x, isDoubted }: { tenure: Tenure; x: X; isDoubted: boolean }) {
  const { surely } = tenure;
  const wide = (from: number, to: number) => `M${x(from)} ${HIGH / 2}H${Math.max(x(to), x(from) + 3)}`;
  return (
    <g stroke={isDoubted ? "var(--color-lead)" : "var(--color-ink)"}>
      <path d={wide(tenure.from, tenure.to)} strokeWidth="1.5" strokeDasharray="4 3" />
      {surely && <path d={wide(surely.from, surely.to)} strokeWidth="5" />}
    </g>
  );
}

function Years({ width, x, from, to }: { width: number; x: X; from: number; to: number }) {
  const every = [10, 20, 50].find((years) => ((to - from) / years) * 52 < width) ?? 100;
  const first = Math.ceil(from / every) * every;
  const at = Array.from({ length: Math.floor((to - first) / every) + 1 }, (_, i) => first + i * every);
  return (
    <svg
      width={width}
      height="18"
      viewBox={`0 0 ${width} 18`}
      className="num block border-t border-ink print:h-auto print:w-full"
      aria-hidden="true"
    >
      {at.map((y) => (
        <text
          key={y}
          x={Math.min(width - 16, Math.max(16, x(y)))}
          y="13"
          fontSize="12"
          textAnchor="middle"
          fill="var(--color-ink2)"
        >
          {y}
        </text>
      ))}
    </svg>
  );
}
