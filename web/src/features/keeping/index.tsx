import { useQuery, useQueryClient } from "@tanstack/react-query";
import { api } from "../../api/client";
import { Opened } from "../../ui/opened";
import { usePageTitle } from "../../ui/page-title";
import { useAttempt } from "../../ui/use-attempt";
import { Backups } from "./backups";
import { Check } from "./check";
import { Parcel } from "./parcel";
import { TakenOutKnives } from "./taken-out";

/** What is done so that nothing entered is lost, and the way back from most mishaps. */
export function KeepingPage() {
  const queries = useQueryClient();
  const standing = useQuery({ queryKey: ["keeping"], queryFn: api.keeping });
  usePageTitle("Safe keeping");
  // Everything shown may be other afterwards.
  const attempt = useAttempt(() => queries.invalidateQueries());
  return (
    <Opened of={standing} failed="How things stand cannot be told." meanwhile="Looking.">
      {(s) => (
        <main className="mx-4 mb-8 lg:mx-6">
          <h1 className="mt-3 text-[1.5625rem]/[1.6875rem]">Safe keeping</h1>
          <Where standing={s} />
          {s.failed && (
            <p role="alert" className="mt-2 bg-lead-wash px-3 py-1.5 text-lead">
              {s.failed} It is tried again within half an hour.
            </p>
          )}
          <div className="mt-2 grid gap-x-10 min-[60rem]:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
            <Backups folder={s.backupsFolder} backups={s.backups} attempt={attempt} />
            <div>
              <TakenOutKnives attempt={attempt} />
              <Check />
              <Parcel attempt={attempt} />
            </div>
          </div>
        </main>
      )}
    </Opened>
  );
}

function Where({ standing: s }: { standing: Awaited<ReturnType<typeof api.keeping>> }) {
  return (
    <p className="mt-1 text-ink2">
      Everything is kept in <span className="font-steel text-[0.78125rem]">{s.data}</span>, and what is
      acknowledged is on the disk.{" "}
      <span className={s.enoughForPhotographs ? "" : "text-lead"}>
        {gigabytes(s.free)} are free
        {s.enoughForPhotographs
          ? "."
          : s.enough
            ? ": too little for photographs."
            : ": too little to save anything."}
      </span>
    </p>
  );
}

const gigabytes = (bytes: number) =>
  bytes < 1e9 ? `${Math.round(bytes / 1e6)} MB` : `${(bytes / 1e9).toFixed(1)} GB`;
