import type { Dating } from "../api/types";
import { percent, years } from "../format";

type Opinion = Dating["opinion"];

/** What is said of the knife in hand without what is being put on file, and with it. */
export function WhatItDoes({ before, after }: { before: Opinion; after: Opinion | undefined }) {
  return (
    <section aria-label="What it does to this knife" className="mt-4 border-t border-ink pt-2">
      <dl className="grid grid-cols-[auto_minmax(0,1fr)] gap-x-4 gap-y-1" data-testid="what-it-does">
        <dt className="voice text-ink2">Now</dt>
        <dd>
          <Said of={before} />
        </dd>
        <dt className="voice text-ink2">On file</dt>
        <dd>{after ? <Said of={after} /> : <span className="voice text-ink3">not yet</span>}</dd>
      </dl>
    </section>
  );
}

function Said({ of }: { of: Opinion }) {
  return (
    <>
      <span className="font-serif">{of.headline}</span>
      {of.held !== undefined && <span className="num text-blue"> {percent(of.held)}%</span>}
      <span className="num text-ink2">, {years(of.years)}</span>
    </>
  );
}
