import type { Book, Progress } from "../../api/types";

/** The stations in working order, as a rule with a tick for each thing to look at. */
export function Rail({ progress, current, onGo, stations }: OfRail) {
  return (
    <nav
      aria-label="Examination, in working order"
      className="mx-4 grid auto-cols-[minmax(5.375rem,1fr)] grid-flow-col overflow-x-auto border-b border-rule lg:mx-6"
    >
      {stations.map((s) => (
        <OneStation
          key={s.id}
          station={s}
          progress={progress?.find((o) => o.station === s.id)}
          isCurrent={s.id === current}
          onGo={() => onGo(s.id)}
        />
      ))}
    </nav>
  );
}

interface OfRail {
  progress: Progress[] | undefined;
  current: string;
  onGo: (station: string) => void;
  stations: Book["stations"];
}

interface OfStation {
  station: Book["stations"][number];
  progress: Progress | undefined;
  isCurrent: boolean;
}

function OneStation({ onGo, ...of }: OfStation & { onGo: () => void }) {
  const { progress: p, isCurrent } = of;
  return (
    <button
      type="button"
      aria-current={isCurrent ? "step" : undefined}
      onClick={onGo}
      className="relative min-w-0 pr-2 pb-1.5 text-left hover:bg-bone focus-visible:outline-offset-[-2px]"
    >
      {isCurrent && <span className="absolute top-0 right-2.5 left-0 h-[3px] bg-blue" />}
      <Ticks looked={p?.looked ?? 0} of={p?.of ?? 1} blue={isCurrent} />
      <StationName {...of} />
      <span className="block truncate text-[0.78125rem]/4 text-ink2">
        {p?.conflict && <span className="font-semibold text-lead">conflict </span>}
        {p?.summary ?? (
          <span className="voice text-xs text-ink3">{p && p.of > 0 ? "not yet looked" : "\u00a0"}</span>
        )}
      </span>
    </button>
  );
}

function StationName({ station: { name, key }, progress: p, isCurrent }: OfStation) {
  const isStarted = (p?.looked ?? 0) > 0;
  return (
    <span className={`flex items-baseline gap-1.5 leading-[1.1875rem] ${isCurrent ? "text-blue" : ""}`}>
      <span className="font-steel text-[0.6875rem] font-medium" aria-hidden="true">
        {key}
      </span>
      <span className={isStarted || isCurrent ? "font-semibold" : "text-ink2"}>{name}</span>
      <span className="sr-only">
        {p
          ? `${p.of > 0 ? `, ${p.looked} of ${p.of} looked at` : ""}${p.conflict ? ", in conflict" : ""}`
          : ""}
      </span>
    </span>
  );
}

const MOST_TICKS = 13;

function Ticks({ looked, of, blue }: { looked: number; of: number; blue: boolean }) {
  const shown = Math.min(of, MOST_TICKS);
  const full = of > MOST_TICKS ? Math.round((looked / of) * MOST_TICKS) : looked;
  const step = Math.min(9, 96 / shown);
  return (
    <svg width="100%" height="15" aria-hidden="true">
      <path d="M.5 0V14" stroke="var(--color-ink)" />
      {Array.from({ length: shown }, (_, i) => {
        const x = 1.5 + (i + 1) * step;
        return i < full ? (
          <path
            key={x}
            d={`M${x} 0V9`}
            stroke={blue ? "var(--color-blue)" : "var(--color-ink)"}
            strokeWidth="2.2"
          />
        ) : (
          <path key={x} d={`M${x} 0V6`} stroke="var(--color-edge)" />
        );
      })}
    </svg>
  );
}
