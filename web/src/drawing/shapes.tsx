import type { Shape } from "./handle";

const FILL = { paper: "var(--color-paper)", bone: "var(--color-bone)", ink: "currentColor" };

/** Drawn shapes as SVG paths; ink takes the colour of the text around it. */
export function Shapes({ shapes }: { shapes: Shape[] }) {
  return shapes.map((s, i) => (
    <path
      // biome-ignore lint/suspicious/noArrayIndexKey: shapes have no life of their own, only an order
      key={i}
      d={s.d}
      fill={s.fill ? FILL[s.fill] : "none"}
      stroke={s.stroke ? "currentColor" : undefined}
      strokeWidth={s.stroke}
      strokeLinejoin="round"
      strokeDasharray={s.dashed ? "3.2 2.4" : undefined}
    />
  ));
}
