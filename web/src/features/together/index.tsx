import { useQuery } from "@tanstack/react-query";
import { useEffect, useMemo, useRef, useState } from "react";
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
import { Failed } from "../../ui/failed";
import { Key } from "../../ui/key";
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
  useEffect(() => {
    document.title = "Side by side \u2013 Snikra";
  }, []);
  if (tray.isError)
    return (
      <Failed what="The knives could not be laid out." error={tray.error} onAgain={() => tray.refetch()} />
    );
  if (tray.isPending) return <p className="voice p-6 text-ink3">Laying them out.</p>;
  return (
    <main className="px-4 pt-3 pb-8 lg:px-6">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-ink pb-1">
        <h1 className="text-[1.5625rem]/[1.75rem] tracking-tight">Side by side</h1>
        <BackOrPrint bench="/tray" to="To the tray" />
      </div>
      {knives.length === 0 ? (
        <p className="voice mt-4 text-ink3">
          None of these is in the tray. Choose some in the table of the tray, then lay them side by side.
        </p>
      ) : (
        <>
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
          <Drawing
            knives={knives}
            book={book}
            pose={pose}
            isOver={isOver && canLieOver}
            onTakeAway={(id) => setQuery({ of: ids.filter((i) => i !== id) }, { replace: true })}
          />
        </>
      )}
    </main>
  );
}

function Drawing({
  knives,
  book,
  pose,
  isOver,
  onTakeAway,
}: {
  knives: ReadableEntry[];
  book: Book;
  pose: Pose;
  isOver: boolean;
  onTakeAway: (id: string) => void;
}) {
  const { units } = usePreferences();
  const box = useRef<HTMLElement>(null);
  const sheet = useRef<SVGSVGElement>(null);
  const width = useWidth(box, 1200);
  const { laid, scale, height } = useMemo(
    () =>
      layTogether(
        knives.map((k) => k.sketch),
        book,
        width,
        pose,
        isOver,
      ),
    [knives, book, width, pose, isOver],
  );
  const ruler = 34;
  return (
    <figure ref={box} className="mt-3 min-w-0">
      <svg
        ref={sheet}
        viewBox={`0 0 ${width} ${height + ruler}`}
        width={width}
        height={height + ruler}
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
      <figcaption className="text-[0.8125rem] text-ink2">
        {(scale / PX_TO_MM).toFixed(1)} {"\u00d7"} life, mark side, as they are drawn from what was seen.
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
              onClick={() =>
                saveDrawing(
                  sheet.current,
                  "Side by side",
                  `${(scale / PX_TO_MM).toFixed(1)} times life`,
                  kind,
                )
              }
            >
              {kind.toUpperCase()}
            </button>
          ))}
        </span>
      </figcaption>
      <Named knives={knives} isOver={isOver} onTakeAway={onTakeAway} />
    </figure>
  );
}

function Named({
  knives,
  isOver,
  onTakeAway,
}: {
  knives: ReadableEntry[];
  isOver: boolean;
  onTakeAway: (id: string) => void;
}) {
  const { units, school } = usePreferences();
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
        {knives.map((k, i) => {
          const name = k.title ?? titleBy(school, k.summary);
          return (
            <tr key={k.id} className="border-b border-rule *:align-baseline">
              <td className="num py-1 pr-3 whitespace-nowrap">
                {isOver && <Line place={i} />}
                {k.number}
              </td>
              <td className="pr-3">
                <Link to={`/bench/${k.id}`} className="inline-block min-h-6 underline">
                  {name}
                </Link>
                {k.summary.maker && <span className="text-ink2">, {k.summary.maker}</span>}
              </td>
              <td className="num pr-3 text-right whitespace-nowrap">
                {k.sketch.measured ? lengthText(k.sketch.closedLengthMm, units) : "not measured"}
              </td>
              <td className="num pr-3 whitespace-nowrap">
                {k.summary.span ? yearsWhole(k.summary.span) : ""}
              </td>
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
        })}
      </tbody>
    </table>
  );
}
