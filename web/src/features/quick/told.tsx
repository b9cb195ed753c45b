import { useState } from "react";
import { Link } from "react-router";
import type { QuickBook, QuickTold } from "../../api/types";
import { money } from "../../format";
import { Failed } from "../../ui/failed";
import { nameOf } from "../wanted/name-of";

/** What to do, why, and what to look at next; it stays in sight. */
export function Told({ told, error, isAskedWrong, onAgain, checks, onBench }: OfTold) {
  if (error) return <Failed what="That could not be worked out." error={error} onAgain={onAgain} />;
  if (!told)
    return (
      <p className="voice py-2 text-ink3" role="status">
        {isAskedWrong ? "What they ask cannot be compared yet." : "Nothing looked at yet."}
      </p>
    );
  const { verdict, currency, ordinary } = told;
  const next = checks.find((c) => c.id === verdict.next);
  return (
    <section aria-label="What to do" className="py-2 lg:sticky lg:top-2" role="status">
      <Call verdict={verdict} currency={currency} />
      <p>{verdict.reason ?? "Nothing looked at yet."}</p>
      {next && (
        <p className="text-ink2">
          <span className="voice">Next: </span>
          {next.label.toLowerCase()}
        </p>
      )}
      <p className="mt-1 text-[0.8125rem] text-ink2 max-lg:hidden">
        {ordinary !== undefined && currency
          ? `An ordinary one brings about ${money(Math.round(ordinary), currency)} by your sales book.`
          : "The sales book says nothing of such knives yet: so no price is told."}
      </p>
      <OnWantedList wanted={told.wanted} />
      <ToTheBench onBench={onBench} />
    </section>
  );
}

interface OfTold {
  told: QuickTold | undefined;
  error: Error | null;
  isAskedWrong: boolean;
  onAgain: () => void;
  checks: QuickBook["checks"];
  onBench: () => Promise<void>;
}

const TONES = { "put-down": "text-lead", buy: "text-blue" } as Partial<Record<keyof typeof SAYS, string>>;

function Call({ verdict, currency }: Pick<QuickTold, "verdict" | "currency">) {
  return (
    <p
      className={`font-serif text-[1.5625rem]/[1.875rem] font-medium tracking-tight ${TONES[verdict.call] ?? ""}`}
    >
      {SAYS[verdict.call]}
      {verdict.pay !== undefined && currency && verdict.call !== "put-down" && (
        <span className="num">
          {verdict.call === "buy" ? ", up to " : "; at most "}
          {money(verdict.pay, currency)}
        </span>
      )}
    </p>
  );
}

function OnWantedList({ wanted }: Pick<QuickTold, "wanted">) {
  if (wanted.length === 0) return null;
  return (
    <div className="mt-1 lg:mt-3">
      <p className="voice">On the wanted list:</p>
      <ul>
        {wanted.map((w) => (
          <li key={w.id} className="leading-6">
            <Link to="/wanted" className="underline">
              {nameOf(w)}
            </Link>
            {w.want.most !== undefined && w.want.currency && (
              <span className="num">, up to {money(w.want.most, w.want.currency)}</span>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}

function ToTheBench({ onBench }: Pick<OfTold, "onBench">) {
  const [isBusy, setBusy] = useState(false);
  return (
    <button
      type="button"
      className="press mt-2 max-lg:hidden"
      disabled={isBusy}
      onClick={async () => {
        setBusy(true);
        await onBench();
        setBusy(false);
      }}
    >
      To the bench with it
    </button>
  );
}

const SAYS: Record<string, string> = {
  "put-down": "Put it down",
  "look-closer": "Look closer",
  buy: "Buy",
};
