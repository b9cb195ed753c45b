import type { ReactNode } from "react";
import type { Span } from "../api/types";

/** Years as a bar on an axis that others share; what else belongs on the axis is drawn over it. */
export function SpanBar({
  span,
  axis,
  height,
  color = "var(--color-blue)",
  children,
}: {
  span: Span;
  axis: { from: number; to: number };
  height: number;
  color?: string;
  children?: (x: (year: number) => number) => ReactNode;
}) {
  const x = (year: number) => (100 * (year - axis.from)) / (axis.to - axis.from);
  return (
    <svg
      width="100%"
      height={height}
      viewBox={`0 0 100 ${height}`}
      preserveAspectRatio="none"
      aria-hidden="true"
      className="block"
    >
      {span.pieces.map((p) => (
        <path
          key={p.from}
          d={`M${x(p.from)} ${height / 2}H${x(p.to + 1)}`}
          stroke={color}
          strokeWidth="4"
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {children?.(x)}
    </svg>
  );
}
