const QUIET = 4;

/** A code to scan, out of rows of light and dark squares; black on white whatever the ground is. */
export function Code({ rows }: { rows: string[] }) {
  const size = rows.length + 2 * QUIET;
  const path = rows
    .flatMap((row, y) => [...row].map((c, x) => (c === "1" ? `M${x + QUIET} ${y + QUIET}h1v1h-1z` : "")))
    .join("");
  return (
    <svg viewBox={`0 0 ${size} ${size}`} role="img" aria-label="Code to scan" className="w-full">
      <rect width={size} height={size} fill="#fff" />
      <path d={path} fill="#000" shapeRendering="crispEdges" />
    </svg>
  );
}
