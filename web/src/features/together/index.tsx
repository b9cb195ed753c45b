import { useQuery } from "@tanstack/react-query";
import type { RefObject } from "react";
import { useMemo, useRef, useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import { api } from "../../api/client";
import type { Book, ReadableEntry } from "../../api/types";
import type { Pose } from "../../drawing/open";
import { saveDrawing } from "../../drawing/save";
import { layTogether } from "../../drawing/together";
import { lengthText, titleBy, yearsWhole } from "../../format";
import { useKeys } from "../../keys";
import { usePreferences } from "../../preferences";
import { BackOrPrint } from "../../ui/back-or-print";
import { Key } from "../../ui/key";
import { Opened } from "../../ui/opened";
import { Page, PageHead } from "../../ui/page";
import { usePageTitle } from "../../ui/page-title";
import { useWidth } from "../../ui/use-width";
import { Line, MOST_OVER, Outlined, Ruler, Whole } from "./drawn";

const POSES: Pose[] = ["closed", "half", "open"];
const POSE_NAMES = { closed: "closed", half: "half open", open: "open" } as const;
const PX_TO_MM = 3.78;

/** Several knives at one scale, to compare sizes and forms. */
export function TogetherPage({ book }: { book: Book }) {
  const navigate = useNavigate();
  const [query, setQuery] = useSearchParams();
  const ids = useMemo(() => query.getAll("of"), [query]);
  const tray = useQuery({ queryKey: ["tray"], queryFn: () => api.tray() });
  const knives = useMemo(
    () =>
      ids
        .map((id) => tray.data?.find((k) => k.id === id))
        .filter((k): k is ReadableEntry => Boolean(k?.summary && k.sketch)),
    [tray.data, ids],
  );
  const [pose, setPose] = useState<Pose>("closed");
  const [isOver, setOver] = useState(false);
  const canLieOver = knives.length > 1 && knives.length <= MOST_OVER;
  useKeys({
    escape: () => navigate("/tray"),
    p: () => window.print(),
    d: () => setPose((now) => POSES[(POSES.indexOf(now) + 1) % POSES.length] as Pose),
    o: () => canLieOver && setOver((on) => !on),
  });
  usePageTitle("Side by side");
  return (
    <Opened of={tray} failed="The knives could not be laid out." meanwhile="Laying them out.">
      {() => (
        <Page>
          <PageHead title="Side by side">
            <BackOrPrint bench="/tray" to="To the tray" />
          </PageHead>
          {knives.length === 0 ? (
            <NoneOfThese />
          ) : (
            <>
              <HowLaid {...{ pose, setPose, isOver, setOver, canLieOver }} />
              <Drawing
                {...{ knives, book, pose }}
                isOver={isOver && canLieOver}
                onTakeAway={(id) => setQuery({ of: ids.filter((i) => i !== id) }, { replace: true })}
              />
            </>
          )}
        </Page>
      )}
    </Opened>
  );
}

function NoneOfThese() {
  return (
    <p className="voice mt-4 text-ink3">
      None of these is in the tray. Choose some in the table of the tray, then lay them side by side.
    </p>
  );
}

function HowLaid({
  pose,
  setPose,
  isOver,
  setOver,
  canLieOver,
}: {
  pose: Pose;
  setPose: (pose: Pose) => void;
  isOver: boolean;
  setOver: (isOver: boolean) => void;
  canLieOver: boolean;
}) {
  return (
    <div className="no-print mt-2 flex flex-wrap items-center gap-x-5 gap-y-2">
      <fieldset className="flex items-center">
        <legend className="sr-only">Blades</legend>
        {POSES.map((p) => (
          <button
            key={p}
            type="button"
            className="press -ml-px"
            aria-pressed={pose === p}
            onClick={() => setPose(p)}
          >
            {POSE_NAMES[p]}
          </button>
        ))}
        <span className="ml-2">
          <Key>D</Key>
        </span>
      </fieldset>
      {canLieOver && (
        <button type="button" className="press" aria-pressed={isOver} onClick={() => setOver(!isOver)}>
          One over the other <Key>O</Key>
        </button>
      )}
    </div>
  );
}

function Drawing({ book, pose, ...of }: OfThem & { book: Book; pose: Pose }) {
  const { knives, isOver } = of;
  const { units } = usePreferences();
  const box = useRef<HTMLElement>(null);
  const sheet = useRef<SVGSVGElement>(null);
  const width = useWidth(box, 1200);
  const { laid, scale, height } = useMemo(() => {
    const sketches = knives.map((k) => k.sketch);
    return layTogether(sketches, book, width, pose, isOver);
  }, [knives, book, width, pose, isOver]);
  const whole = height + RULER;
  return (
    <figure ref={box} className="mt-3 min-w-0">
      <svg
        ref={sheet}
        viewBox={`0 0 ${width} ${whole}`}
        width={width}
        height={whole}
        className="max-w-full text-ink"
        role="img"
        aria-label={`${knives.map((k) => `number ${k.number}`).join(", ")}, ${POSE_NAMES[pose]}, at one scale${isOver ? ", one over the other" : ""}`}
      >
        {laid.map((l, i) => {
          const knife = knives[i] as ReadableEntry;
          return isOver ? (
            <Outlined key={knife.id} laid={l} place={i} />
          ) : (
            <Whole key={knife.id} laid={l} knife={knife} units={units} />
          );
        })}
        <Ruler scale={scale} units={units} width={width} y={height} />
      </svg>
      <Caption knives={knives} scale={scale} sheet={sheet} />
      <Named {...of} />
    </figure>
  );
}

const RULER = 34;

interface OfThem {
  knives: ReadableEntry[];
  isOver: boolean;
  onTakeAway: (id: string) => void;
}

function Caption({
  knives,
  scale,
  sheet,
}: {
  knives: ReadableEntry[];
  scale: number;
  sheet: RefObject<SVGSVGElement | null>;
}) {
  const times = (scale / PX_TO_MM).toFixed(1);
  return (
    <figcaption className="text-[0.8125rem] text-ink2">
      {times} {"\u00d7"} life, mark side, as they are drawn from what was seen.
      {knives.some((k) => !k.sketch.measured) &&
        " One that was not measured is drawn at the usual length of its kind."}
      <span className="no-print">
        {" "}
        Save as{" "}
        {(["svg", "png"] as const).map((kind) => (
          <button
            key={kind}
            type="button"
            className="mr-2 min-h-6 underline"
            onClick={() => saveDrawing(sheet.current, "Side by side", `${times} times life`, kind)}
          >
            {kind.toUpperCase()}
          </button>
        ))}
      </span>
    </figcaption>
  );
}

function Named(of: OfThem) {
  return (
    <table className="mt-3 w-full max-w-[52rem]">
      <thead className="text-left text-ink2">
        <tr className="border-b border-ink">
          <th className="py-1 pr-3 font-normal whitespace-nowrap">No.</th>
          <th className="pr-3 font-normal">Knife</th>
          <th className="pr-3 text-right font-normal">Closed</th>
          <th className="pr-3 font-normal max-sm:hidden">Years</th>
          <th className="font-normal max-sm:hidden">Grade</th>
          <td className="no-print" />
        </tr>
      </thead>
      <tbody>
        {of.knives.map((k, i) => (
          <OneNamed key={k.id} knife={k} place={i} {...of} />
        ))}
      </tbody>
    </table>
  );
}

function OneNamed({
  knife: k,
  place,
  knives,
  isOver,
  onTakeAway,
}: OfThem & { knife: ReadableEntry; place: number }) {
  const { units, school } = usePreferences();
  return (
    <tr className="border-b border-rule *:align-baseline">
      <td className="num py-1 pr-3 whitespace-nowrap">
        {isOver && <Line place={place} />}
        {k.number}
      </td>
      <td className="pr-3">
        <Link to={`/bench/${k.id}`} className="inline-block min-h-6 underline">
          {k.title ?? titleBy(school, k.summary)}
        </Link>
        {k.summary.maker && <span className="text-ink2">, {k.summary.maker}</span>}
      </td>
      <td className="num pr-3 text-right whitespace-nowrap">
        {k.sketch.measured ? lengthText(k.sketch.closedLengthMm, units) : "not measured"}
      </td>
      <td className="num pr-3 whitespace-nowrap">{k.summary.span ? yearsWhole(k.summary.span) : ""}</td>
      <td className="max-sm:hidden">{k.summary.grade.best?.label}</td>
      <td className="no-print text-right whitespace-nowrap">
        {knives.length > 1 && (
          <button
            type="button"
            className="min-h-6 underline"
            aria-label={`Take number ${k.number} away from here`}
            onClick={() => onTakeAway(k.id)}
          >
            Away
          </button>
        )}
      </td>
    </tr>
  );
}
