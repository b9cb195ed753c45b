import type { SeenFace } from "../../api/types";
import { asRead, cellsOf } from "../../letters";

const WIDE = 26;
const HIGH = 34;
const PAD = 12;

/** A mark as it stands on the tang, worn: letters that are lost are a scar, doubtful ones faint. */
export function Strike({ faces }: { faces: SeenFace[] }) {
  return faces.map((face) => (
    <div key={`${face.blade} ${face.face}`} className="mt-1">
      {face.lines.length > 0 ? (
        <Struck lines={face.lines} isEtched={face.technique !== undefined && face.technique !== "struck"} />
      ) : (
        <p className="voice text-ink2">
          {face.state === "bare" ? "The tang is bare." : "The mark is worn away: no letter is left."}
        </p>
      )}
    </div>
  ));
}

function Struck({ lines, isEtched }: { lines: string[]; isEtched: boolean }) {
  const rows = lines.map(cellsOf);
  const most = Math.max(...rows.map((r) => r.length));
  const width = most * WIDE + 2 * PAD;
  return (
    <svg
      viewBox={`0 0 ${width} ${rows.length * HIGH + 2 * PAD - 4}`}
      className="block h-auto max-h-32 max-w-full font-steel font-semibold"
      style={{ width: `${width / 16}rem` }}
      role="img"
      aria-label={`The mark: ${lines.map(asRead).join(", ")}`}
    >
      <rect width="100%" height="100%" rx="3" className="fill-bone stroke-rule" />
      {rows.map((row, i) =>
        row.map((cell, k) => {
          const x = width / 2 + (k - row.length / 2 + 0.5) * WIDE;
          const y = PAD + i * HIGH + HIGH / 2;
          const at = `${i} ${k}`;
          if (cell.letter === "_" || cell.letter === "*")
            return <Scar key={at} x={x} y={y} seed={i * 31 + k} />;
          return (
            <text
              key={at}
              x={x}
              y={y + 8}
              textAnchor="middle"
              fontSize="25"
              className={isEtched ? "fill-ink2" : "fill-ink"}
              opacity={cell.doubtful ? 0.35 : 0.9}
            >
              {cell.letter}
            </text>
          );
        }),
      )}
    </svg>
  );
}

/** Where a letter was: some strokes of wear, laid by its place so that it looks the same each time. */
function Scar({ x, y, seed }: { x: number; y: number; seed: number }) {
  const at = (n: number) => (((seed * 7 + n * 13) % 11) - 5) / 5;
  return (
    <path
      d={[0, 1, 2]
        .map(
          (n) =>
            `M${x - 7 + 2 * at(n)} ${y - 6 + 6 * n + 2 * at(n + 3)}l${9 + 3 * at(n + 1)} ${2 * at(n + 2)}`,
        )
        .join("")}
      fill="none"
      strokeWidth="1.2"
      className="stroke-edge"
    />
  );
}
