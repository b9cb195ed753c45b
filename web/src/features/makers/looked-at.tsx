import { api } from "../../api/client";
import type { BroughtPack, Problem } from "../../api/types";
import { Remarks } from "./remarks";
import { Trial } from "./trial";

/** A file that may be a pack, as it was looked at. */
export interface Looked {
  file: File;
  brought?: BroughtPack;
  problems: Problem[];
  message?: string;
}

const MOST = 60;

/** What is in the file, what it changes and would move; or why it is no pack. */
export function LookedAt({ looked, onTake }: { looked: Looked; onTake: () => void }) {
  const { brought } = looked;
  if (!brought) return <Unusable looked={looked} />;
  return (
    <div className="mt-3">
      <p>{howNew(brought)}</p>
      {brought.changes.length > 0 && <Changes changes={brought.changes} />}
      <Remarks remarks={brought.remarks} />
      <Trial begin={() => api.tryPack(looked.file)} />
      <button type="button" className="press mt-4" onClick={onTake}>
        Add it
      </button>
    </div>
  );
}

function howNew({ isNew, changes }: BroughtPack): string {
  if (isNew) return "A new pack. Its makers are laid over those already here.";
  if (changes.length === 0) return "The same as the one already here.";
  return `Another version of the one already here, with ${changes.length} ${changes.length === 1 ? "change" : "changes"}.`;
}

function Unusable({ looked }: { looked: Looked }) {
  const { problems } = looked;
  return (
    <div className="mt-3">
      <p>
        {looked.file.name}: {looked.message} Nothing was changed.
      </p>
      <ul className="mt-2">
        {problems.slice(0, MOST).map((p) => (
          <li key={p.field + p.given} className="border-t border-rule py-1">
            <span className="font-steel text-[0.8125rem]">{p.field}</span>
            <span className="block">
              {p.given}: {p.accepted}
            </span>
          </li>
        ))}
      </ul>
      {problems.length > MOST && <p className="text-ink2">And {problems.length - MOST} more.</p>}
    </div>
  );
}

function Changes({ changes }: Pick<BroughtPack, "changes">) {
  return (
    <table className="mt-2 w-full table-fixed text-left text-[0.8125rem]">
      <thead className="text-ink2">
        <tr>
          <th className="w-2/5 font-normal">Where</th>
          <th className="font-normal">here</th>
          <th className="font-normal">in the file</th>
        </tr>
      </thead>
      <tbody>
        {changes.slice(0, MOST).map((c) => (
          <tr key={c.path} className="border-t border-rule align-top">
            <td className="py-1 pr-3 font-steel break-all">{c.path}</td>
            <td className="pr-3 break-words text-ink2">{c.before ?? "nothing"}</td>
            <td className="break-words">{c.after ?? "nothing"}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
