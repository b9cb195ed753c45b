import { useQuery } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { api, Refused } from "../../api/client";
import type { Backup, Problem } from "../../api/types";
import { Dialog } from "../../ui/dialog";
import { TextField } from "../../ui/text-field";
import type { Attempt } from "../../ui/use-attempt";
import { moment, REASONS } from "./words";

/** Copies of everything: made by themselves each day, or now; looked at before one is brought back. */
export function Backups({ folder, backups, attempt }: OfBackups) {
  return (
    <section aria-labelledby="backups-name" className="mt-3">
      <div className="flex min-h-8 flex-wrap items-baseline justify-between gap-x-4 border-b border-ink pb-1">
        <h2 id="backups-name" className="text-[1.1875rem]/[1.375rem]">
          Copies
        </h2>
        <MakeOne attempt={attempt} />
      </div>
      <p className="mt-1 text-ink2">
        One is made each day while Snikra runs, and before anything is upgraded or brought back; fourteen of
        each kind are kept. Photographs are kept once for all copies.
      </p>
      <Folder key={folder} folder={folder} attempt={attempt} />
      {backups.length === 0 ? (
        <p className="voice mt-2 text-ink2">No copy yet.</p>
      ) : (
        <WithALook backups={backups} attempt={attempt} />
      )}
    </section>
  );
}

interface OfBackups {
  folder: string;
  backups: Backup[];
  attempt: Attempt;
}

function MakeOne({ attempt }: Pick<OfBackups, "attempt">) {
  const [working, setWorking] = useState(false);
  const make = async () => {
    setWorking(true);
    await attempt(api.backUp, "A copy of everything was made, opened and found whole.");
    setWorking(false);
  };
  return (
    <button type="button" className="press" disabled={working} onClick={make}>
      {working ? "Copying" : "Make a copy now"}
    </button>
  );
}

/** The copies there are; each is looked at before it is brought back. */
function WithALook({ backups, attempt }: Omit<OfBackups, "folder">) {
  const [looked, setLooked] = useState<Backup>();
  const opener = useRef<HTMLButtonElement>(null);
  const bringBack = async (name: string) => {
    setLooked(undefined);
    await attempt(
      () => api.restoreBackup(name),
      "The copy is back. What was here until now is the newest copy in the list.",
    );
  };
  return (
    <>
      <Copies
        backups={backups}
        onLook={(backup, button) => {
          opener.current = button;
          setLooked(backup);
        }}
      />
      <Dialog
        open={looked !== undefined}
        onClose={() => setLooked(undefined)}
        title={looked ? `The copy of ${moment(looked.made)}` : ""}
        from={opener}
      >
        {looked && <Look backup={looked} onBring={() => bringBack(looked.name)} />}
      </Dialog>
    </>
  );
}

function Copies({
  backups,
  onLook,
}: {
  backups: Backup[];
  onLook: (backup: Backup, button: HTMLButtonElement) => void;
}) {
  return (
    <table className="mt-2 w-full" aria-label="Copies, the newest first">
      <thead className="text-left text-[0.78125rem] text-ink2">
        <tr>
          <th className="font-normal">Made</th>
          <th className="font-normal">Why</th>
          <th className="text-right font-normal">Knives</th>
          <th className="text-right font-normal max-sm:hidden">Photographs</th>
          <th>
            <span className="sr-only">What to do</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {backups.map((b) => (
          <tr key={b.name} className="border-t border-rule">
            <td className="num">{moment(b.made)}</td>
            <td>{REASONS[b.reason]}</td>
            <td className="num text-right">{b.knives}</td>
            <td className="num text-right max-sm:hidden">{b.photographs}</td>
            <td className="text-right">
              <button
                type="button"
                className="min-h-6 underline"
                aria-label={`Look at the copy of ${moment(b.made)}`}
                onClick={(e) => onLook(b, e.currentTarget)}
              >
                Look
              </button>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Folder({ folder, attempt }: { folder: string; attempt: Attempt }) {
  const [problem, setProblem] = useState<Problem>();
  const [typed, setTyped] = useState(folder);
  const choose = async (chosen: string | undefined) => {
    if (chosen === folder) return;
    setTyped(chosen ?? "");
    try {
      await api.chooseBackups(chosen ?? "");
      setProblem(undefined);
      await attempt(async () => {}, "Copies are kept there from now on.");
    } catch (e) {
      setProblem(e instanceof Refused ? e.problems[0] : undefined);
    }
  };
  return (
    <TextField
      label="Kept in"
      hint="Another disk is safer than this one."
      className="mt-2"
      maxLength={400}
      value={typed}
      problem={problem}
      onCommit={choose}
    />
  );
}

function Look({ backup, onBring }: { backup: Backup; onBring: () => void }) {
  const look = useQuery({
    queryKey: ["backup", backup.name],
    queryFn: () => api.lookAtBackup(backup.name),
    gcTime: 0,
  });
  if (look.isError)
    return (
      <p role="alert" className="mt-3 text-lead">
        {look.error.message}
      </p>
    );
  if (!look.data) return <p className="voice mt-3 text-ink3">Opening the copy.</p>;
  const { same, back, changed, away } = look.data;
  const nothing = back.length + changed.length + away.length === 0;
  return (
    <>
      <p className="mt-3">
        {nothing
          ? "The copy and the tray hold the same knives, each as it is now."
          : `${same} ${same === 1 ? "knife is" : "knives are"} the same in the copy and in the tray.`}
      </p>
      <Knives title="Would come back" names={back} />
      <Knives title="Would be again as they were then" names={changed} />
      <Knives title="Would go, being newer than the copy" names={away} />
      <p className="mt-3 text-ink2">
        A copy of what is here now is made first, so that this can be taken back too. Photographs, journals
        and packs come with the knives.
      </p>
      <button type="button" className="press mt-3" onClick={onBring}>
        Put this copy back
      </button>
    </>
  );
}

function Knives({ title, names }: { title: string; names: string[] }) {
  if (names.length === 0) return null;
  return (
    <>
      <h3 className="mt-2 font-semibold">{title}</h3>
      <ul>
        {names.map((n) => (
          <li key={n}>{n}</li>
        ))}
      </ul>
    </>
  );
}
