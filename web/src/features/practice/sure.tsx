export const SURE_AT_FIRST = 70;

/** How sure one is, in a hundred. */
export function Sure({ of, value, onChange }: { of: string; value: number; onChange: (v: number) => void }) {
  return (
    <label className="mt-1 flex items-center gap-3 text-[0.8125rem] text-ink2">
      <span className="shrink-0">
        How sure<span className="sr-only"> of {of}</span>
      </span>
      <input
        type="range"
        min={5}
        max={99}
        value={value}
        className="min-h-6 min-w-0 flex-1 accent-blue"
        aria-valuetext={`${value} in 100`}
        onChange={(e) => onChange(Number(e.target.value))}
      />
      <span className="num w-16 text-right text-ink">{value} in 100</span>
    </label>
  );
}
