import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import type { Eye, PracticeTold } from "../../api/types";
import { percent } from "../../format";
import { Failed } from "../../ui/failed";
import { ReliabilityDrawn } from "../../ui/reliability";
import { ASKED, inWords, UNIT } from "./words";

/** How well a player's eye holds what it says. */
export function EyeOf({ player, told, onForgotten }: OfEye) {
  const eye = useQuery({
    queryKey: ["practice", "eye", player],
    queryFn: () => api.eye(player),
    staleTime: 0,
  });
  if (eye.isError)
    return (
      <Failed what="What came of it could not be read." error={eye.error} onAgain={() => eye.refetch()} />
    );
  if (!eye.data || eye.data.rounds === 0) return null;
  const { rounds, choices, spans, lately } = eye.data;
  return (
    <section aria-label="Your eye" className="mt-6 border-t border-ink pt-2">
      <h2 className="text-[1.1875rem]/[1.375rem]">
        {player}, after <span className="num">{rounds}</span> {rounds === 1 ? "knife" : "knives"}
      </h2>
      {spans && <Spans spans={spans} />}
      <div className="mt-3 grid gap-8 sm:grid-cols-2 lg:grid-cols-4">
        {choices.map((c) => (
          <div key={c.question} className="min-w-0">
            <ReliabilityDrawn name={ASKED[c.question]} found={c.reliability} of="knives" />
            <p className="text-[0.8125rem] text-ink2">
              <span className="num">{c.own.toFixed(2)}</span> {UNIT[c.question]} lost in the mean, the model{" "}
              <span className="num">{c.models.toFixed(2)}</span>.
            </p>
          </div>
        ))}
        <Weak eye={eye.data} told={told} />
      </div>
      {lately.length > 1 && <Lately lately={lately} />}
      <Forget player={player} onForgotten={onForgotten} />
    </section>
  );
}

interface OfEye {
  player: string;
  told: PracticeTold;
  onForgotten: () => void;
}

/** Takes away all that is kept of a player, once more asked. */
function Forget({ player, onForgotten }: Omit<OfEye, "told">) {
  const [isAsked, setAsked] = useState(false);
  const forget = useMutation({ mutationFn: () => api.forgetPlayer(player), onSuccess: onForgotten });
  return (
    <div className="no-print mt-4">
      {isAsked ? (
        <p>
          All that is kept of {player} goes, for good.{" "}
          <button type="button" className="press" disabled={forget.isPending} onClick={() => forget.mutate()}>
            Let it go
          </button>{" "}
          <button type="button" className="press" onClick={() => setAsked(false)}>
            Keep it
          </button>
        </p>
      ) : (
        <button type="button" className="min-h-6 text-ink2 underline" onClick={() => setAsked(true)}>
          Remove {player}
        </button>
      )}
      {forget.isError && (
        <p role="alert" className="text-lead">
          Nothing was removed. {forget.error.message}
        </p>
      )}
    </div>
  );
}

function Spans({ spans }: { spans: NonNullable<Eye["spans"]> }) {
  return (
    <p className="mt-1 max-w-[46rem] text-ink2">
      Your years held <span className="num text-[1.1875rem] text-blue">{percent(spans.held)}</span> knives in
      a hundred, of ninety they should; the middle one is <span className="num">{spans.length}</span> years
      long, the model&rsquo;s <span className="num">{spans.models}</span>.
    </p>
  );
}

function Weak({ eye, told }: { eye: Eye; told: PracticeTold }) {
  if (eye.weakMakers.length + eye.weakDecades.length === 0) return null;
  return (
    <div className="min-w-0">
      <h3 className="text-[1.1875rem]/[1.375rem]">What you get wrong</h3>
      <ul className="mt-1">
        {eye.weakMakers.map((w) => (
          <li key={w.of} className="border-b border-rule py-0.5">
            {inWords("maker", w.of, told)}
            <span className="block text-[0.8125rem] text-ink2">
              <span className="num">{w.lost.toFixed(1)}</span> bits more than the model, on {w.count}
            </span>
          </li>
        ))}
        {eye.weakDecades.map((w) => (
          <li key={w.of} className="border-b border-rule py-0.5">
            The <span className="num">{w.of}s</span>
            <span className="block text-[0.8125rem] text-ink2">
              <span className="num">{Math.round(w.lost)}</span> years more than the model, on {w.count}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}

const HIGH = 90;
const STEP = 46;

/** Bits lost against the model, ten rounds after ten: down is better. */
function Lately({ lately }: { lately: Eye["lately"] }) {
  const known = lately.flatMap((l, i) =>
    l.bits === undefined ? [] : [{ x: (i + 0.5) * STEP, bits: l.bits }],
  );
  if (known.length < 2) return null;
  const most = Math.max(1, ...known.map((k) => Math.abs(k.bits)));
  const dots = known.map((k) => ({ ...k, y: HIGH / 2 - (k.bits / most) * (HIGH / 2 - 12) }));
  const wide = lately.length * STEP;
  return (
    <figure className="mt-4 overflow-x-auto">
      <figcaption className="text-ink2">
        Bits lost beside the model, ten knives after ten; on the line you see as much as it does.
      </figcaption>
      <svg
        viewBox={`0 0 ${wide} ${HIGH}`}
        style={{ width: `${wide / 16}rem` }}
        role="img"
        aria-label={known.map((k) => k.bits.toFixed(1)).join(", ")}
      >
        <path d={`M0 ${HIGH / 2}H${wide}`} stroke="var(--color-edge)" strokeDasharray="4 3" />
        <path
          d={dots.map((k, n) => `${n ? "L" : "M"}${k.x} ${k.y}`).join("")}
          fill="none"
          stroke="var(--color-blue)"
          strokeWidth="1.8"
        />
        {dots.map(({ x, y, bits }) => (
          <g key={x}>
            <circle cx={x} cy={y} r="3" fill="var(--color-blue)" />
            <text x={x} y={y - 6} textAnchor="middle" className="num fill-ink2 text-[0.6875rem]">
              {bits.toFixed(1)}
            </text>
          </g>
        ))}
      </svg>
    </figure>
  );
}
