import type { Verdict } from "../../../api/types";
import { sentence } from "../../../format";

/** How well it was made, whatever became of it: not its condition, so it stands apart from the grades. */
export function Built({ built }: { built: Verdict["built"] }) {
  if (!built || built.looked === 0) return null;
  return (
    <section aria-label="How well it was made" className="mt-2">
      <p>
        <span className="voice text-ink2">How well it was made: </span>
        {built.label ?? "too little looked at"}
        <span className="text-ink2">
          , {built.looked} of {built.of} looks
        </span>
      </p>
      {built.well.length > 0 && <p className="text-[0.78125rem]/4 text-ink2">Well: {listed(built.well)}.</p>}
      {built.poorly.length > 0 && (
        <p className="text-[0.78125rem]/4 text-ink2">Cheaply: {listed(built.poorly)}.</p>
      )}
      {built.because.map((say) => (
        <p key={say} className="text-[0.78125rem]/4 text-ink2">
          {say}
        </p>
      ))}
    </section>
  );
}

/** What came with it: its box, its papers, its sheath. A grade of its own. */
export function Boxed({ box }: { box: Verdict["box"] }) {
  if (!box) return null;
  return (
    <section aria-label="Box and papers" className="mt-2">
      <p>
        <span className="voice text-ink2">Box and papers: </span>
        {box.label}
      </p>
      <p className="text-[0.78125rem]/4 text-ink2">
        {box.why} {box.beside.length > 0 && `${sentence(listed(box.beside))}.`}
      </p>
    </section>
  );
}

const listed = (told: string[]) => told.map((t) => t.toLowerCase()).join("; ");
