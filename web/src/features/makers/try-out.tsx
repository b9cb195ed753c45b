import { useState } from "react";
import type { TrialProgress } from "../../api/types";
import { Trial } from "./trial";

/** Which knives of the tray something would move, asked for before it is kept. */
export function TryOut({ of, begin }: { of: unknown; begin: () => Promise<TrialProgress> }) {
  const now = JSON.stringify(of);
  const [tried, setTried] = useState<string>();
  return (
    <div className="no-print mt-3">
      {tried === now ? (
        <Trial key={now} begin={begin} />
      ) : (
        <button type="button" className="min-h-6 underline" onClick={() => setTried(now)}>
          What would it move in the tray?
        </button>
      )}
    </div>
  );
}
