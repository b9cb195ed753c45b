import type { Dating } from "../../api/types";
import { sentence } from "../../format";

/** What a look takes, in words. */
export const TROUBLE = {
  glance: "",
  loupe: "with a loupe",
  measure: "to be measured",
  open: "opened",
  book: "with a book",
};

/** What would tell most for its trouble; each is a way to its station. */
export function NextLooks({
  looks,
  onGo,
  most = 4,
}: {
  looks: Dating["lookNext"];
  onGo: (station: string) => void;
  most?: number;
}) {
  if (looks.length === 0) return null;
  const top = Math.max(...looks.map((l) => l.bits));
  return (
    <section className="mt-2" aria-label="What would tell most" data-testid="look-next">
      <p className="voice text-[0.8125rem] text-ink2">What would tell most</p>
      <ul>
        {looks.slice(0, most).map((l) => (
          <li key={l.feature}>
            <button
              type="button"
              className="grid min-h-6 w-full grid-cols-[minmax(0,1fr)_6rem] items-center gap-x-2 text-left hover:bg-bone"
              title={`${l.bits.toFixed(2)} bits expected`}
              onClick={() => onGo(l.station)}
            >
              <span>
                {sentence(l.label)} <span className="voice text-ink2">{TROUBLE[l.trouble]}</span>
              </span>
              <svg width="100%" height="5" viewBox="0 0 100 5" preserveAspectRatio="none" aria-hidden="true">
                <path d={`M0 2.5H${(100 * l.bits) / top}`} stroke="var(--color-blue)" strokeWidth="5" />
              </svg>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
