import { type KeyboardEvent, type PointerEvent, useState } from "react";
import { api } from "../../../api/client";
import type { Photo } from "../../../api/types";
import { lengthText } from "../../../format";
import { usePreferences } from "../../../preferences";
import { Dialog } from "../../../ui/dialog";
import { Select } from "../../../ui/select";
import { TextField } from "../../../ui/text-field";
import type { Knife } from "../use-knife";
import { type Clicks, clicked, EMPTY, type Mode, type Point, toMeasure } from "./clicks";

type Answer = Awaited<ReturnType<typeof api.measurePhoto>>;

const MODES: Record<Mode, string> = {
  scale: "Set the scale: two places of known length, such as marks of a rule",
  distance: "Measure a length: two places",
  outline: "Trace a blade: first its tang shoulder, then round it; the point is the place furthest away",
};

/** What was clicked, and what the server makes of it. */
function useMeasuring() {
  const [mode, setMode] = useState<Mode>("scale");
  const [clicks, setClicks] = useState<Clicks>(EMPTY);
  const [length, setLength] = useState("10 mm");
  const { answer, problem, measure } = useAnswer();
  return {
    mode,
    setMode,
    clicks,
    length,
    answer,
    problem,
    setLength: (text: string) => {
      setLength(text);
      measure(clicks, text);
    },
    place: (p: Point) => {
      const next = clicked(clicks, mode, p);
      setClicks(next);
      if (mode === "scale" && next.known.length > 0 && !next.half) setMode("distance");
      measure(next, length);
    },
    beginAnew: () => {
      setClicks(EMPTY);
      measure(EMPTY, length);
      setMode("scale");
    },
  };
}

/** What the server makes of the clicks, or what is amiss with them. */
function useAnswer() {
  const [answer, setAnswer] = useState<Answer>();
  const [problem, setProblem] = useState<string>();
  const measure = async (clicks: Clicks, known: string) => {
    const asked = toMeasure(clicks, known);
    if (!asked) return setAnswer(undefined);
    try {
      setAnswer(await api.measurePhoto(asked));
      setProblem(undefined);
    } catch (e) {
      const [first] = (e as { problems?: { given: string; accepted: string }[] }).problems ?? [];
      setProblem(first ? `${first.given}: ${first.accepted}.` : (e as Error).message);
    }
  };
  return { answer, problem, measure };
}

type Measuring = ReturnType<typeof useMeasuring>;

/** A photograph to measure on. Clicks are places on it; what they amount to is worked out by the server. */
export function MeasureDialog({
  photo,
  knife,
  onClose,
}: {
  photo: Photo;
  knife: Knife;
  onClose: () => void;
}) {
  const measuring = useMeasuring();
  return (
    <Dialog open onClose={onClose} title={`Measuring on ${photo.fileName}`}>
      <Modes measuring={measuring} />
      <p className="voice mt-1 text-ink2">{MODES[measuring.mode]}.</p>
      <Sheet photo={photo} measuring={measuring} />
      <div className="mt-2 min-h-16" role="status">
        {measuring.problem && <p className="text-lead">{measuring.problem}</p>}
        {measuring.answer ? (
          <Told answer={measuring.answer} knife={knife} onDone={onClose} />
        ) : (
          !measuring.problem && <p className="voice text-ink3">No scale yet.</p>
        )}
      </div>
    </Dialog>
  );
}

function Modes({ measuring: { mode, setMode, length, setLength, beginAnew } }: { measuring: Measuring }) {
  return (
    <div className="mt-3 flex flex-wrap items-end gap-x-4 gap-y-2">
      {(Object.keys(MODES) as Mode[]).map((m) => (
        <button key={m} type="button" className="press" aria-pressed={mode === m} onClick={() => setMode(m)}>
          {{ scale: "Scale", distance: "Length", outline: "Outline" }[m]}
        </button>
      ))}
      <TextField
        label="Known length"
        className="w-28"
        value={length}
        onCommit={(text) => setLength(text ?? "")}
      />
      <button type="button" className="press" onClick={beginAnew}>
        Begin anew
      </button>
    </div>
  );
}

/** By how much an arrow key moves the cross. */
const step = (key: string, by: number): [number, number] | undefined =>
  (
    ({
      ArrowLeft: [-by, 0],
      ArrowRight: [by, 0],
      ArrowUp: [0, -by],
      ArrowDown: [0, by],
    }) as Record<string, [number, number]>
  )[key];

/** The photograph itself: a press or Enter sets a place. */
function Sheet({ photo, measuring: { mode, clicks, place } }: { photo: Photo; measuring: Measuring }) {
  const [cursor, setCursor] = useState<Point>({ x: photo.width / 2, y: photo.height / 2 });
  const thin = photo.width / 500;
  const onPointerDown = (e: PointerEvent<SVGSVGElement>) => {
    const box = e.currentTarget.getBoundingClientRect();
    place({
      x: ((e.clientX - box.left) / box.width) * photo.width,
      y: ((e.clientY - box.top) / box.height) * photo.height,
    });
  };
  const onKeyDown = (e: KeyboardEvent) => {
    const moved = step(e.key, e.shiftKey ? 20 : 2);
    if (moved) setCursor((c) => ({ x: c.x + moved[0], y: c.y + moved[1] }));
    else if (e.key === "Enter" || e.key === " ") place(cursor);
    else return;
    e.preventDefault();
  };
  return (
    <svg
      role="application"
      aria-label={`${MODES[mode]}. Arrow keys move the cross, Enter sets a place.`}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: places are set with the keyboard too
      tabIndex={0}
      viewBox={`0 0 ${photo.width} ${photo.height}`}
      className="mt-2 w-full cursor-crosshair touch-none border border-ink"
      onPointerDown={onPointerDown}
      onKeyDown={onKeyDown}
    >
      <image href={`/api/photos/${photo.id}/view`} width={photo.width} height={photo.height} />
      <Marks clicks={clicks} thin={thin} />
      <path
        d={`M${cursor.x - 9 * thin} ${cursor.y}h${18 * thin}M${cursor.x} ${cursor.y - 9 * thin}v${18 * thin}`}
        stroke="#f7f6f0"
        strokeWidth={thin}
      />
    </svg>
  );
}

/** What was measured, and where it can go. */
function Told({ answer, knife, onDone }: { answer: Answer; knife: Knife; onDone: () => void }) {
  const { units, parts } = usePreferences();
  const last = answer.distances.at(-1);
  return (
    <>
      {!last && !answer.area && (
        <p>
          Scale set: <span className="num">{(1 / answer.scale.mmPerPixel).toFixed(2)}</span> pixels to the
          millimetre.
        </p>
      )}
      {answer.aslant && (
        <p className="font-semibold text-lead">
          The known lengths disagree by {(100 * answer.scale.tilt).toFixed(1)}%: the camera was not square to
          the knife. Measures are as doubtful as that.
        </p>
      )}
      {last && (
        <p>
          Length <Within mm={last.mm} spread={last.spread} digits={2} unit="mm" />
          {units === "in" && <span className="text-ink2">, {lengthText(last.mm, "in", Number(parts))}</span>}
          <Into knife={knife} mm={last.mm} onDone={onDone} />
        </p>
      )}
      {answer.area && (
        <p>
          Outline <Within mm={answer.area.mm} spread={answer.area.spread} digits={0} unit={"mm\u00b2"} />
          <OutlineInto knife={knife} answer={answer} area={answer.area} onDone={onDone} />
        </p>
      )}
    </>
  );
}

/** Nine times in ten a measure with this spread lies so far from the truth at most. */
const NINE_IN_TEN = 1.645;

function Within({ mm, spread, digits, unit }: { mm: number; spread: number; digits: number; unit: string }) {
  return (
    <span className="num">
      {mm.toFixed(digits)} {unit} {"\u00b1"} {(NINE_IN_TEN * spread).toFixed(digits)}
    </span>
  );
}

function Marks({ clicks, thin }: { clicks: Clicks; thin: number }) {
  const line = (a: Point, b: Point) => `M${a.x} ${a.y}L${b.x} ${b.y}`;
  const dots = [
    ...clicks.known.flatMap((k) => [k.from, k.to]),
    ...clicks.distances.flatMap((d) => [d.from, d.to]),
    ...clicks.outline,
    ...(clicks.half ? [clicks.half] : []),
  ];
  return (
    <g fill="none" stroke="#f7f6f0" strokeWidth={1.6 * thin}>
      <path
        d={clicks.known.map((k) => line(k.from, k.to)).join("")}
        strokeDasharray={`${5 * thin} ${3 * thin}`}
      />
      <path d={clicks.distances.map((d) => line(d.from, d.to)).join("")} />
      <path
        d={clicks.outline.length > 0 ? `M${clicks.outline.map((p) => `${p.x} ${p.y}`).join("L")}Z` : ""}
      />
      {dots.map((p) => (
        <circle key={`${p.x} ${p.y}`} cx={p.x} cy={p.y} r={2.6 * thin} fill="#a93a16" />
      ))}
    </g>
  );
}

function Into({ knife, mm, onDone }: { knife: Knife; mm: number; onDone: () => void }) {
  const places = [
    { id: "closed", label: "the closed length" },
    ...knife.specimen.blades.map((_, i) => ({ id: `${i}`, label: `the length of blade ${i + 1}` })),
  ];
  return (
    <span className="ml-3 inline-block w-48">
      <Select
        aria-label="Put this length into"
        value={undefined}
        nothing="put it into"
        options={places}
        onChange={(to) => {
          if (!to) return;
          const written = `${mm.toFixed(1)} mm`;
          knife.change((s) =>
            to === "closed"
              ? { ...s, closedLength: written }
              : { ...s, blades: s.blades.map((b, i) => (`${i}` === to ? { ...b, length: written } : b)) },
          );
          onDone();
        }}
      />
    </span>
  );
}

/** A traced outline goes to its blade as area and heights, and as its length where none was measured. */
function OutlineInto({
  knife,
  answer,
  area,
  onDone,
}: {
  knife: Knife;
  answer: Answer;
  area: NonNullable<Answer["area"]>;
  onDone: () => void;
}) {
  const written = (mm: number) => `${mm.toFixed(1)} mm`;
  return (
    <span className="ml-3 inline-block w-56">
      <Select
        aria-label="Put this outline into"
        value={undefined}
        nothing="put its outline into"
        options={knife.specimen.blades.map((_, i) => ({ id: `${i}`, label: `blade ${i + 1}` }))}
        onChange={(to) => {
          if (!to) return;
          const heights = answer.heights
            .filter((h) => h.height.mm > 0.05)
            .map((h) => ({ at: written(h.atMm), height: written(h.height.mm) }));
          const traced = { mm2: Number(area.mm.toFixed(1)), spread: Number(area.spread.toFixed(1)) };
          const length = answer.length && written(answer.length.mm);
          knife.change((s) => ({
            ...s,
            blades: s.blades.map((b, i) =>
              `${i}` === to ? { ...b, heights, area: traced, length: b.length ?? length } : b,
            ),
          }));
          onDone();
        }}
      />
    </span>
  );
}
