import { Link } from "react-router";
import { useByNumber } from "../../api/by-number";
import type { Lookout } from "../../api/types";
import { sentence, titleBy } from "../../format";
import { usePreferences } from "../../preferences";
import { TROUBLE } from "../bench/next-looks";

/** The looks that would narrow these knives most, whichever they are at; each leads to its station. */
export function LookedAtNext({ looks }: { looks: Lookout[] }) {
  const knives = useByNumber();
  const top = Math.max(...looks.map((l) => l.look.bits));
  return (
    <section aria-labelledby="next-name" className="min-w-0">
      <h2 id="next-name" className="text-[1.1875rem]/[1.375rem]">
        What to look at next
      </h2>
      {looks.length === 0 ? (
        <p className="voice mt-1 text-ink3">Nothing more that can be seen would tell anything of these.</p>
      ) : (
        <p className="text-ink2">What would tell most for its trouble, over all of these.</p>
      )}
      <ul className="mt-1">
        {looks.map((l) => (
          <OneLook key={`${l.number} ${l.look.feature}`} lookout={l} knife={knives.get(l.number)} top={top} />
        ))}
      </ul>
    </section>
  );
}

function OneLook({
  lookout: { number, look },
  knife,
  top,
}: {
  lookout: Lookout;
  knife: ReturnType<ReturnType<typeof useByNumber>["get"]>;
  top: number;
}) {
  const { school } = usePreferences();
  return (
    <li className="border-b border-rule">
      <Link
        to={knife ? `/bench/${knife.id}?at=${look.station}` : "/tray"}
        className="grid min-h-6 grid-cols-[minmax(0,1fr)_5rem] items-center gap-x-2 py-1 hover:underline"
        title={`${look.bits.toFixed(2)} bits expected`}
      >
        <span className="min-w-0">
          <span className="block">
            {sentence(look.label)} <span className="voice text-ink2">{TROUBLE[look.trouble]}</span>
          </span>
          <span className="block truncate text-ink2">
            No. <span className="num">{number}</span>
            {knife && `, ${knife.title ?? titleBy(school, knife.summary)}`}
          </span>
        </span>
        <svg width="100%" height="5" viewBox="0 0 100 5" preserveAspectRatio="none" aria-hidden="true">
          <path d={`M0 2.5H${(100 * look.bits) / top}`} stroke="var(--color-blue)" strokeWidth="5" />
        </svg>
      </Link>
    </li>
  );
}
