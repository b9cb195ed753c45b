import type { JournalEntry } from "../../api/types";
import { percent, years } from "../../format";
import { SpanBar } from "../../ui/span-bar";

const MOST = 8;

const day = new Intl.DateTimeFormat(undefined, { dateStyle: "medium" });
const time = new Intl.DateTimeFormat(undefined, { timeStyle: "short" });

interface Axis {
  from: number;
  to: number;
}

/** One sitting at the bench, or what the collector wrote, with what Snikra held at the time. */
export function Entry({
  entry,
  axis,
  onQuestion,
  onTakeOut,
}: {
  entry: JournalEntry;
  axis: Axis;
  onQuestion: (open: boolean) => void;
  onTakeOut: () => void;
}) {
  const at = new Date(entry.at);
  const { own, opinion } = entry;
  return (
    <li className="grid gap-x-5 border-t border-rule py-2 first:border-0 first:pt-0 sm:grid-cols-[7.5rem_minmax(0,1fr)]">
      <p className="text-ink2">
        <time dateTime={entry.at}>{day.format(at)}</time>
        <span className="text-[0.78125rem] sm:block"> {time.format(at)}</span>
      </p>
      <div className="min-w-0">
        {own && <Own own={own} onQuestion={onQuestion} onTakeOut={onTakeOut} />}
        <p className={own ? "text-ink2" : ""}>
          {own && <span className="voice">Snikra held then: </span>}
          <span className={own ? "" : "font-serif text-[1.0625rem]/5"}>{opinion.headline}</span>
          {opinion.span && (
            <>
              , <span className="num">{percent(opinion.probability)}%</span>,{" "}
              <span className="num text-blue">{years(opinion.span)}</span>
            </>
          )}
        </p>
        <Bar entry={entry} axis={axis} />
        {entry.changes.length > 0 && <Changes changes={entry.changes} />}
        {entry.because.map((b) => (
          <p key={b}>{b}</p>
        ))}
        {entry.referencesMoved && (
          <p className="text-ink2">Other references had moved the opinion meanwhile.</p>
        )}
      </div>
    </li>
  );
}

function Own({
  own,
  onQuestion,
  onTakeOut,
}: {
  own: NonNullable<JournalEntry["own"]>;
  onQuestion: (open: boolean) => void;
  onTakeOut: () => void;
}) {
  return (
    <div className="mb-1 border-l-[3px] border-ink pl-2.5">
      {own.note && <p className="font-serif text-[1.0625rem]/6 whitespace-pre-wrap">{own.note}</p>}
      {own.held && (
        <p>
          You hold <span className="num font-semibold">{own.held}</span>. Snikra gave those years{" "}
          <span className="num">{percent(own.probability ?? 0)}%</span>.
        </p>
      )}
      <p className="no-print flex flex-wrap items-baseline gap-x-4 text-[0.78125rem] text-ink2">
        {own.question && <span className="font-semibold text-lead">Open question</span>}
        <button type="button" className="min-h-6 underline" onClick={() => onQuestion(!own.question)}>
          {own.question ? "It is answered" : "Mark as an open question"}
        </button>
        <button type="button" className="min-h-6 underline" onClick={onTakeOut}>
          Take out
        </button>
      </p>
    </div>
  );
}

function Changes({ changes }: { changes: JournalEntry["changes"] }) {
  const rows = (all: JournalEntry["changes"]) => (
    <ul className="gap-x-6 sm:columns-2">
      {all.map((c) => (
        <li key={c.label}>
          {c.label}: {c.before && <s className="text-ink3">{c.before}</s>}{" "}
          {c.after ?? <span className="voice">not looked at any more</span>}
        </li>
      ))}
    </ul>
  );
  return (
    <div className="text-[0.8125rem]/5 text-ink2">
      {rows(changes.slice(0, MOST))}
      {changes.length > MOST && (
        <details>
          <summary className="min-h-6 cursor-pointer">{changes.length - MOST} more</summary>
          {rows(changes.slice(MOST))}
        </details>
      )}
    </div>
  );
}

/** The span then on an axis all entries share; years the collector holds as a frame around them. */
function Bar({ entry, axis }: { entry: JournalEntry; axis: Axis }) {
  const { own, opinion } = entry;
  if (!opinion.span) return null;
  return (
    <SpanBar span={opinion.span} axis={axis} height={12}>
      {(x) => (
        <>
          <path d="M0 11.5H100" stroke="var(--color-rule)" vectorEffect="non-scaling-stroke" />
          {own?.from !== undefined && (
            <path
              d={`M${x(own.from)} 1H${x((own.to as number) + 1)}V11H${x(own.from)}Z`}
              fill="none"
              stroke="currentColor"
              strokeWidth="1.4"
              vectorEffect="non-scaling-stroke"
            />
          )}
        </>
      )}
    </SpanBar>
  );
}
