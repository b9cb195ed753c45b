import { useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { api, Refused } from "../../api/client";
import type { BroughtPack, MakersPack, Problem } from "../../api/types";
import { Dialog } from "../../ui/dialog";
import { useToast } from "../../ui/toasts";
import { MarksOutOfATable } from "./marks-out-of-a-table";
import { OwnSteps } from "./own-steps";
import { Trial } from "./trial";

interface Looked {
  file: File;
  brought?: BroughtPack;
  problems: Problem[];
  message?: string;
}

/** The reference packs: which are in use, what is odd about them, and files in and out. */
export function Packs({ packs }: { packs: MakersPack[] }) {
  const queries = useQueryClient();
  const toast = useToast();
  const button = useRef<HTMLButtonElement>(null);
  const input = useRef<HTMLInputElement>(null);
  const [looked, setLooked] = useState<Looked>();
  const [tried, setTried] = useState<MakersPack>();
  const tryButton = useRef<HTMLButtonElement>(null);
  const [working, setWorking] = useState(false);
  // With other references every verdict may be another.
  const changed = () => queries.invalidateQueries();
  const look = async (file: File) => {
    setWorking(true);
    try {
      setLooked({ file, brought: await api.bringPack(file, false), problems: [] });
    } catch (e) {
      setLooked({ file, problems: e instanceof Refused ? e.problems : [], message: (e as Error).message });
    }
    setWorking(false);
  };
  const attempt = async (done: Promise<unknown>, text: string, undo?: () => void) => {
    try {
      await done;
      toast(text, undo);
    } catch (e) {
      toast(`That could not be done. ${(e as Error).message}`);
    }
    changed();
  };
  const takeIn = async (file: File) => {
    setLooked(undefined);
    await attempt(api.bringPack(file, true), `${file.name} is on the shelf.`);
  };
  const letGo = async (p: MakersPack) => {
    const kept = await (await fetch(`/api/packs/${p.id}`)).blob();
    const again = new File([kept], `${p.id}.yaml`);
    await attempt(api.removePack(p.id), `${p.title} was removed.`, () => takeIn(again));
  };
  return (
    <section aria-labelledby="packs-name" className="no-print mt-6 border-t border-ink pt-2">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h2 id="packs-name" className="text-[1.1875rem]/[1.375rem]">
          Reference packs
        </h2>
        <button
          ref={button}
          type="button"
          className="press"
          aria-busy={working}
          onClick={() => input.current?.click()}
        >
          Add a pack
        </button>
        <input
          ref={input}
          type="file"
          aria-label="Pack to add"
          accept=".yaml,.yml"
          hidden
          onChange={(e) => {
            const file = e.target.files?.[0];
            if (file) look(file);
            e.target.value = "";
          }}
        />
        <MarksOutOfATable />
        <p role="status" className="voice text-ink2">
          {working ? "Reading the pack." : ""}
        </p>
      </div>
      <OwnSteps />
      <ul className="mt-1">
        {packs.map((p) => (
          <li key={p.id} className="border-t border-rule py-1.5">
            <div className="flex flex-wrap items-baseline gap-x-4">
              <label className="flex min-h-6 grow items-baseline gap-2">
                <input
                  type="checkbox"
                  checked={p.on}
                  disabled={!p.readable}
                  onChange={(e) =>
                    attempt(
                      api.switchPack(p.id, e.target.checked),
                      `${p.title} ${e.target.checked ? "is in use again." : "is switched off."}`,
                    )
                  }
                />
                <span>
                  <span className="font-semibold">{p.title}</span>{" "}
                  <span className="text-ink2">
                    {holds(p)}
                    {p.shipped ? ", made up as an example" : ""}
                  </span>
                </span>
              </label>
              <a href={`/api/packs/${p.id}`} download className="inline-block min-h-6 underline">
                Save as a file
              </a>
              {p.readable && (
                <button
                  type="button"
                  className="min-h-6 underline"
                  aria-label={`What would move ${p.on ? "without" : "with"} it: ${p.title}`}
                  onClick={(e) => {
                    tryButton.current = e.currentTarget;
                    setTried(p);
                  }}
                >
                  What would move {p.on ? "without" : "with"} it
                </button>
              )}
              {!p.shipped && (
                <button type="button" className="min-h-6 underline" onClick={() => letGo(p)}>
                  Remove
                </button>
              )}
            </div>
            <p className="text-[0.78125rem]/4 text-ink2">{p.note}</p>
            <Remarks remarks={p.remarks} />
          </li>
        ))}
      </ul>
      <Dialog
        open={looked !== undefined}
        onClose={() => setLooked(undefined)}
        from={button}
        title={looked?.brought ? looked.brought.title : "This pack cannot be used"}
      >
        {looked && <LookedAt looked={looked} onTake={() => takeIn(looked.file)} />}
      </Dialog>
      <Dialog
        open={tried !== undefined}
        onClose={() => setTried(undefined)}
        from={tryButton}
        title={`${tried?.title}, switched ${tried?.on ? "off" : "on"}`}
      >
        {tried && <Trial begin={() => api.trySwitch(tried.id, !tried.on)} />}
      </Dialog>
    </section>
  );
}

const counted = (n: number, one: string) => `${n} ${one}${n === 1 ? "" : "s"}`;

/** How much a pack tells. */
const holds = ({ makers, added }: MakersPack) =>
  [
    counted(makers.length, "maker"),
    counted(
      makers.reduce((n, m) => n + m.marks.length, 0),
      "mark",
    ),
    ...(added > 0 ? [`${counted(added, "fact")} more of makers of other packs`] : []),
  ].join(", ");

function Remarks({ remarks }: { remarks: MakersPack["remarks"] }) {
  if (remarks.length === 0) return null;
  return (
    <details className="text-[0.78125rem]/4">
      <summary className="min-h-6 cursor-pointer text-ink2">
        {remarks.length === 1 ? "One thing to look at" : `${remarks.length} things to look at`}
      </summary>
      <ul className="list-disc pl-5">
        {remarks.map((r) => (
          <li key={r.maker + r.text}>
            {r.maker}: {r.text}
          </li>
        ))}
      </ul>
    </details>
  );
}

const MOST = 60;

function LookedAt({ looked, onTake }: { looked: Looked; onTake: () => void }) {
  const { brought, problems } = looked;
  if (!brought)
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
  return (
    <div className="mt-3">
      <p>
        {brought.isNew
          ? "A new pack. Its makers are laid over those already here."
          : brought.changes.length === 0
            ? "The same as the one already here."
            : `Another version of the one already here, with ${brought.changes.length} ${brought.changes.length === 1 ? "change" : "changes"}.`}
      </p>
      {brought.changes.length > 0 && (
        <table className="mt-2 w-full table-fixed text-left text-[0.8125rem]">
          <thead className="text-ink2">
            <tr>
              <th className="w-2/5 font-normal">Where</th>
              <th className="font-normal">here</th>
              <th className="font-normal">in the file</th>
            </tr>
          </thead>
          <tbody>
            {brought.changes.slice(0, MOST).map((c) => (
              <tr key={c.path} className="border-t border-rule align-top">
                <td className="py-1 pr-3 font-steel break-all">{c.path}</td>
                <td className="pr-3 break-words text-ink2">{c.before ?? "nothing"}</td>
                <td className="break-words">{c.after ?? "nothing"}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <Remarks remarks={brought.remarks} />
      <Trial begin={() => api.tryPack(looked.file)} />
      <button type="button" className="press mt-4" onClick={onTake}>
        Add it
      </button>
    </div>
  );
}
