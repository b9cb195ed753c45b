import type { Verdict } from "../../api/types";
import { percent, sentence, years, yearsWhole } from "../../format";
import { rivalsOf } from "../../opinion";

/** What is held, how firmly, against what rivals, and what speaks against it. */
export function Opinion({ verdict: { dating }, onGo }: { verdict: Verdict; onGo: OnGo }) {
  const { opinion } = dating;
  return (
    <section aria-label="Opinion" className="min-w-0">
      <p className="voice text-ink2">
        {sentence(opinion.strength.replaceAll("-", " "))}
        {opinion.held !== undefined && (
          <span className="num not-italic text-blue"> {percent(opinion.held)}%</span>
        )}
      </p>
      <h2 className="text-[1.375rem]/6" data-testid="headline">
        {opinion.headline}
      </h2>
      <p className="num text-[1.25rem]/7 text-blue">
        {years(opinion.years)}
        <span className="ml-3 text-[0.875rem] whitespace-nowrap text-ink2">
          all told, as likely as not {yearsWhole(dating.half)}
        </span>
      </p>
      <ul className="mt-1">
        {opinion.sentences.map((s) => (
          <li key={s}>{s}</li>
        ))}
      </ul>
      <Rivals dating={dating} onGo={onGo} />
      <Conflicts dating={dating} />
    </section>
  );
}

type Dating = Verdict["dating"];
type OnGo = (station: string) => void;

function Rivals({ dating, onGo }: { dating: Dating; onGo: OnGo }) {
  const rivals = rivalsOf(dating, MOST_RIVALS);
  if (rivals.length === 0) return null;
  return (
    <table className="mt-2 w-full text-left">
      <caption className="voice text-left text-[0.8125rem] text-ink2">
        {dating.opinion.held !== undefined ? "Or" : "How it may have come about"}
      </caption>
      <tbody>
        {rivals.map((e) => (
          <tr key={e.label + e.state.label} className="border-t border-rule align-baseline">
            <td className="num w-11">{percent(e.probability)}%</td>
            <td>
              {e.label}, {e.state.label}
              {e.decider && <Decides decider={e.decider} onGo={onGo} />}
            </td>
            <td className="num text-right whitespace-nowrap text-ink2">{yearsWhole(e.nineTenths)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Conflicts({ dating: { conflicts } }: { dating: Dating }) {
  if (conflicts.length === 0) return null;
  return (
    <section className="mt-2">
      <h3 className="voice text-[0.8125rem] text-ink2">What does not go together</h3>
      <ul>
        {conflicts.map((c) => (
          <li key={c.feature + c.rival} className="text-lead">
            {c.label} against {c.rivalLabel}
            {c.gap > 0 && `, about ${c.gap} years apart`}
          </li>
        ))}
      </ul>
    </section>
  );
}

const MOST_RIVALS = 5;

type Decider = NonNullable<Verdict["dating"]["explanations"][number]["decider"]>;

const lowered = (s: string) => s.charAt(0).toLowerCase() + s.slice(1);

/** The one look that would tell a rival from the opinion, and a way to its station. */
function Decides({ decider, onGo }: { decider: Decider; onGo: (station: string) => void }) {
  return (
    <button
      type="button"
      className="voice mb-1 block min-h-6 text-left text-[0.8125rem]/4 text-ink2 hover:underline print:min-h-0"
      onClick={() => onGo(decider.station)}
    >
      Would be told by {lowered(decider.label)}
      {decider.speaksFor && (
        <>
          : <q>{lowered(decider.speaksFor)}</q> for it, <q>{lowered(decider.speaksAgainst)}</q> against
        </>
      )}
    </button>
  );
}
