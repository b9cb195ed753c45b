import { useState } from "react";
import { Link } from "react-router";
import type { Portrait } from "../../api/types";
import { within } from "./asked";

const AT_FIRST = 7;

/** By maker, country, form and so on: a bar for each, the most frequent first. */
export function Kinds({ portrait, asked }: { portrait: Portrait; asked: URLSearchParams }) {
  return (
    <div className="mt-6 grid gap-x-8 gap-y-6 sm:grid-cols-2 lg:grid-cols-3">
      {portrait.kinds.map((kind) => (
        <Kind key={kind.facet} kind={kind} all={portrait.knives} asked={asked} />
      ))}
    </div>
  );
}

function Kind({ kind, all, asked }: OfKind) {
  const [isOpen, setOpen] = useState(false);
  const most = kind.counts[0]?.knives ?? 1;
  const shown = isOpen ? kind.counts : kind.counts.slice(0, AT_FIRST);
  const more = kind.counts.length - shown.length;
  const open = all - kind.of;
  return (
    <section aria-label={kind.label} className="min-w-0 break-inside-avoid">
      <h2 className="flex items-baseline justify-between border-b border-ink">
        <span className="font-semibold">{kind.label}</span>
        {open > 0 && (
          <span className="voice text-[0.8125rem] text-ink2">of {open.toLocaleString()} not known</span>
        )}
      </h2>
      <ul>
        {shown.map((c) => (
          <OneCount
            key={c.value}
            count={c}
            to={within(asked, { tick: `${kind.facet}:${c.value}` })}
            wide={(100 * c.knives) / most}
          />
        ))}
      </ul>
      {more > 0 && (
        <button type="button" className="min-h-6 text-ink2 underline" onClick={() => setOpen(true)}>
          {more.toLocaleString()} more
        </button>
      )}
    </section>
  );
}

interface OfKind {
  kind: Portrait["kinds"][number];
  all: number;
  asked: URLSearchParams;
}

function OneCount({
  count,
  to,
  wide,
}: {
  count: OfKind["kind"]["counts"][number];
  to: string;
  /** In a hundred of the longest. */
  wide: number;
}) {
  return (
    <li className="border-b border-rule">
      <Link to={to} className="relative flex min-h-6 items-baseline justify-between gap-3 hover:underline">
        <span
          aria-hidden="true"
          className="absolute bottom-0 left-0 h-[3px] bg-ink"
          style={{ width: `${wide}%` }}
        />
        <span className="truncate">{count.value}</span>
        <span className="num">{count.knives.toLocaleString()}</span>
      </Link>
    </li>
  );
}
