import { useStationName } from "../../api/book";
import type { Verdict } from "../../api/types";
import { money, percent } from "../../format";

const TOLD_FROM = 0.05;
const MOST = 5;

type Finding = Verdict["originality"]["findings"][number];

/** What may have been done to the knife, why one thinks so, and what it takes from grade and value. */
export function Originality({ verdict, onGo }: { verdict: Verdict; onGo: (station: string) => void }) {
  const { originality, dating } = verdict;
  const told = originality.findings.filter((f) => f.probability >= TOLD_FROM).slice(0, MOST);
  const asMade = dating.states.find((s) => s.state.kind === "as-made")?.probability ?? 1;
  const { grade, low, high } = originality;
  const { currency } = verdict.value;
  return (
    <section aria-labelledby="originality-name" className="mt-2" data-testid="originality">
      <h3 id="originality-name" className="voice text-[0.8125rem] text-ink2">
        All of a piece?
      </h3>
      <Row label="As made" share={asMade} />
      <ul>
        {told.map((f) => (
          <li key={f.id}>
            <Row label={f.label} share={f.probability} />
            <Why finding={f} onGo={onGo} />
          </li>
        ))}
      </ul>
      {percent(originality.worth) < 100 && (
        <p className="mt-1 border-t border-rule pt-1">
          With that counted: {grade && `${grade.label} at best, `}
          <span className="num">{percent(originality.worth)}%</span> of what an untouched one brings
          {low !== undefined && high !== undefined && currency && (
            <span className="num">
              : {money(low, currency)}&ndash;{money(high, currency)}
            </span>
          )}
          .
        </p>
      )}
    </section>
  );
}

function Row({ label, share }: { label: string; share: number }) {
  return (
    <p className="grid grid-cols-[minmax(0,1fr)_6rem_2.25rem] items-center gap-x-2 leading-[1.1875rem]">
      <span className="truncate">{label}</span>
      <span className="h-[5px] border-b border-rule">
        <svg width="100%" height="5" viewBox="0 0 100 5" preserveAspectRatio="none" aria-hidden="true">
          <path d={`M0 2.5H${100 * share}`} stroke="currentColor" strokeWidth="5" />
        </svg>
      </span>
      <span className="num text-right">{percent(share)}%</span>
    </p>
  );
}

function Why({ finding, onGo }: { finding: Finding; onGo: (station: string) => void }) {
  const cost = [
    finding.cap && `${finding.cap.label} at best`,
    finding.worth < 1 && `leaves ${percent(finding.worth)}% of the value`,
  ].filter(Boolean);
  return (
    <details className="no-print pl-3 text-[0.8125rem]/5">
      <summary className="min-h-6 cursor-pointer text-ink2">
        Why do you think so
        <span className="sr-only">: {finding.label}</span>
        {cost.length > 0 && `? If so: ${cost.join(", ")}`}
      </summary>
      <ul>
        {finding.tells.map((t) => (
          <OneTell key={t.text} tell={t} onGo={() => onGo(t.station)} />
        ))}
      </ul>
      {finding.tells.length === 0 && (
        <p>Nothing on this knife speaks for it; this is how often it is met at all.</p>
      )}
      <p>
        <span className="voice text-ink2">Look for: </span>
        {finding.look}
      </p>
      <p className="text-ink2">{finding.why}</p>
    </details>
  );
}

function OneTell({ tell, onGo }: { tell: Finding["tells"][number]; onGo: () => void }) {
  const stationName = useStationName();
  return (
    <li>
      <button type="button" className="min-h-6 text-left hover:underline" onClick={onGo}>
        {tell.text}{" "}
        <span className="voice text-ink2">
          {stationName(tell.station)}
          {tell.source && `; ${tell.source}`}
        </span>
      </button>
    </li>
  );
}
