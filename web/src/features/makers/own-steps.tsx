import { useOwnReferences } from "../../api/own";

const WHAT: Record<string, string> = { "put-on": "", changed: "changed: ", "taken-out": "taken out: " };

/** What one put on file oneself, the last first, with a way back and forth. */
export function OwnSteps() {
  const { steps, undo, redo } = useOwnReferences();
  if (!steps || steps.length === 0) return null;
  const next = steps.find((s) => s.undone);
  const last = steps.findLast((s) => !s.undone);
  return (
    <details className="mt-1 border-t border-rule py-1.5">
      <summary className="min-h-6 cursor-pointer">What I put on file</summary>
      <ol className="mt-1 text-[0.8125rem]/5">
        {steps.toReversed().map((s) => (
          <li key={s.id} className={s.undone ? "text-ink3" : ""}>
            {WHAT[s.what]}
            <span className="font-steel">{s.mark}</span>, of {s.maker}
            {s.many > 1 && `, and ${(s.many - 1).toLocaleString()} more out of one table`}
            {s.undone && <span className="voice"> taken back</span>}
          </li>
        ))}
      </ol>
      <p className="mt-1 flex gap-x-4">
        {last && (
          <button type="button" className="min-h-6 underline" onClick={undo}>
            Undo: {last.mark}
          </button>
        )}
        {next && (
          <button type="button" className="min-h-6 underline" onClick={redo}>
            Do again: {next.mark}
          </button>
        )}
      </p>
    </details>
  );
}
