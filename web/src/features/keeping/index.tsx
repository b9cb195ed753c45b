import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { api } from "../../api/client";
import { Failed } from "../../ui/failed";
import { useToast } from "../../ui/toasts";
import { Backups } from "./backups";
import { Check } from "./check";
import { Parcel } from "./parcel";
import { TakenOutKnives } from "./taken-out";

/** What is done so that nothing entered is lost, and the way back from most mishaps. */
export function KeepingPage() {
  const queries = useQueryClient();
  const toast = useToast();
  const standing = useQuery({ queryKey: ["keeping"], queryFn: api.keeping });
  useEffect(() => {
    document.title = "Safe keeping \u2013 Snikra";
  }, []);

  /** Does something and says what came of it; everything shown may be other afterwards. */
  const attempt = async (done: () => Promise<unknown>, text: string) => {
    try {
      await done();
      toast(text);
    } catch (e) {
      toast(`That could not be done. ${(e as Error).message}`);
    }
    await queries.invalidateQueries();
  };

  if (standing.isError)
    return (
      <Failed
        what="How things stand cannot be told."
        error={standing.error}
        onAgain={() => standing.refetch()}
      />
    );
  if (!standing.data) return <p className="voice p-6 text-ink3">Looking.</p>;
  const s = standing.data;
  return (
    <main className="mx-4 mb-8 lg:mx-6">
      <h1 className="mt-3 text-[1.5625rem]/[1.6875rem]">Safe keeping</h1>
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
  );
}

export type Attempt = (done: () => Promise<unknown>, text: string) => Promise<void>;

const gigabytes = (bytes: number) =>
  bytes < 1e9 ? `${Math.round(bytes / 1e6)} MB` : `${(bytes / 1e9).toFixed(1)} GB`;
