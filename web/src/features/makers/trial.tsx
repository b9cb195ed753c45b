import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef } from "react";
import { Link } from "react-router";
import { api } from "../../api/client";
import type { MovedKnife, TrialProgress } from "../../api/types";
import { percent, yearsWhole } from "../../format";
import { SpanBar } from "../../ui/span-bar";
import { standWords } from "../bench/grading/use-schools";

const POLL = 250;

/** A trial that begins by itself, looked at while it runs, stopped and taken up again. */
function useTrial(begin: () => Promise<TrialProgress>) {
  const queries = useQueryClient();
  const started = useRef(false);
  const hasBegunAgain = useRef(false);
  const begun = useMutation({ mutationFn: begin });
  const id = begun.data?.id;
  const key = ["trial", id];
  const now = useQuery({
    queryKey: key,
    queryFn: () => api.trial(id as string),
    enabled: id !== undefined,
    refetchInterval: (q) => (q.state.data?.state === "running" ? POLL : false),
  });
  const run = useMutation({
    mutationFn: (running: boolean) => api.runTrial(id as string, running),
    onSuccess: async (progress) => {
      // What was asked before it was pressed is older than this answer, though it may come later.
      await queries.cancelQueries({ queryKey: key });
      queries.setQueryData(key, progress);
    },
  });
  useEffect(() => {
    if (!started.current) begun.mutate();
    started.current = true;
  }, [begun.mutate]);
  // One asked for before this, in a sheet that is closed already, may be begun after it and take its place.
  const isPushedOut = now.isError && !hasBegunAgain.current;
  useEffect(() => {
    if (!isPushedOut) return;
    hasBegunAgain.current = true;
    begun.mutate();
  }, [isPushedOut, begun.mutate]);
  return {
    failed: begun.error ?? (isPushedOut || begun.isPending ? null : now.error),
    progress: now.data ?? begun.data,
    again: () => begun.mutate(),
    run: (running: boolean) => run.mutate(running),
  };
}

/** Which verdicts on the tray other references would move; begins by itself, can be stopped and taken up again. */
export function Trial({ begin }: { begin: () => Promise<TrialProgress> }) {
  const { failed, progress, again, run } = useTrial(begin);
  return (
    <section aria-labelledby="trial-name" className="mt-4">
      <h3 id="trial-name" className="font-serif text-[1.0625rem]/5">
        What it would move
      </h3>
      {failed ? (
        <p>
          That could not be worked out. {failed.message}{" "}
          <button type="button" className="press" onClick={again}>
            Try again
          </button>
        </p>
      ) : (
        progress && <Moved progress={progress} run={run} />
      )}
    </section>
  );
}

function Moved({ progress: p, run }: { progress: TrialProgress; run: (running: boolean) => void }) {
  return (
    <>
      <HowFar progress={p} run={run} />
      <p role="status" className="mt-1">
        {told(p)}
      </p>
      {p.most.some((m) => m.shift) && <MovedTable moved={p.most.filter(isShifted)} />}
      {p.most.some((m) => m.regraded) && <RegradedTable moved={p.most} />}
      {p.moving > p.most.length && (
        <p className="text-ink2">And {p.moving - p.most.length} that move less.</p>
      )}
      {p.failed.length > 0 && (
        <p className="text-lead">Could not be examined: {p.failed.map((n) => `no. ${n}`).join(", ")}.</p>
      )}
    </>
  );
}

function HowFar({ progress: p, run }: { progress: TrialProgress; run: (running: boolean) => void }) {
  return (
    <div className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1">
      <progress
        className="h-2 grow"
        max={Math.max(1, p.of)}
        value={p.of === 0 ? 1 : p.done}
        aria-label="Knives gone over"
      />
      <span className="num text-ink2">
        {p.done} of {p.of}
      </span>
      {p.state !== "done" && (
        <button type="button" className="press" onClick={() => run(p.state === "stopped")}>
          {p.state === "stopped" ? "Go on" : "Stop"}
        </button>
      )}
    </div>
  );
}

type Shifted = MovedKnife & Required<Pick<MovedKnife, "shift">>;

const isShifted = (m: MovedKnife): m is Shifted => m.shift !== undefined;

function RegradedTable({ moved }: { moved: MovedKnife[] }) {
  return (
    <table className="mt-2 w-full table-fixed text-left text-[0.8125rem]" data-testid="regraded">
      <thead className="text-ink2">
        <tr>
          <th className="w-[50%] font-normal">Knife</th>
          <th className="font-normal">now</th>
          <th className="font-normal">with the change</th>
        </tr>
      </thead>
      <tbody>
        {moved.map((m) => (
          <tr key={m.id} className="border-t border-rule align-top">
            <td className="py-1 pr-3">
              <Link to={`/bench/${m.id}?at=condition`} className="underline">
                {m.number} {m.title}
              </Link>
            </td>
            <td className="py-1 pr-2 text-ink2">{standWords(m.regraded?.before)}</td>
            <td className="py-1">{standWords(m.regraded?.after)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function told(p: TrialProgress): string {
  const so = p.state === "done" ? "" : " so far";
  if (p.of === 0) return "The tray is empty.";
  if (p.moving === 0) return `No verdict moves${so}.`;
  return p.moving === 1 ? `One verdict moves${so}.` : `${p.moving} verdicts move${so}.`;
}

function MovedTable({ moved }: { moved: Shifted[] }) {
  const all = moved.flatMap((m) => [m.shift.before, m.shift.after]).flatMap((h) => h.nineTenths.pieces);
  const axis = {
    from: Math.min(...all.map((p) => p.from)),
    to: Math.max(...all.map((p) => p.to)) + 1,
  };
  return (
    <table className="mt-2 w-full table-fixed text-left text-[0.8125rem]" data-testid="moved">
      <thead className="text-ink2">
        <tr>
          <th className="w-[34%] font-normal">Knife</th>
          <th className="font-normal">now, and with the change</th>
          <th className="w-[22%] text-right font-normal">moves by</th>
        </tr>
      </thead>
      <tbody>
        {moved.map((m) => (
          <tr key={m.id} className="border-t border-rule align-top">
            <td className="py-1 pr-3">
              <Link to={`/bench/${m.id}`} className="underline">
                {m.number} {m.title}
              </Link>
            </td>
            <td className="py-1">
              <Held held={m.shift.before} axis={axis} isNow />
              <Held held={m.shift.after} axis={axis} />
            </td>
            <td className="num py-1 text-right">
              {yearsMoved(m.shift.years)}
              <span className="block text-ink2">{percent(m.shift.share)}% elsewhere</span>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function yearsMoved(years: number): string {
  if (years === 0) return "same years";
  const much = Math.abs(years);
  return `${much} ${much === 1 ? "year" : "years"} ${years > 0 ? "later" : "earlier"}`;
}

function Held({
  held,
  axis,
  isNow,
}: {
  held: Shifted["shift"]["before"];
  axis: { from: number; to: number };
  isNow?: boolean;
}) {
  return (
    <div className="mb-0.5">
      <SpanBar
        span={held.nineTenths}
        axis={axis}
        height={5}
        color={isNow ? "var(--color-edge)" : undefined}
      />
      <span className={isNow ? "text-ink2" : ""}>
        {held.maker} {percent(held.probability)}%,
      </span>{" "}
      <span className="num">{yearsWhole(held.nineTenths)}</span>
    </div>
  );
}
