import { useQuery } from "@tanstack/react-query";
import { Link, useNavigate } from "react-router";
import { api } from "../../api/client";
import type { Advice, TrayEntry } from "../../api/types";
import { titleBy } from "../../format";
import { useKeys } from "../../keys";
import { usePreferences } from "../../preferences";
import { BackOrPrint } from "../../ui/back-or-print";
import { Failed } from "../../ui/failed";
import { usePageTitle } from "../../ui/page-title";
import { Due } from "../bench/stations/care";

interface Reminder {
  knife: TrayEntry;
  advice: Advice;
}

/** All that must be looked at again, what never was first, then by the day it is due. */
export function reminders(tray: TrayEntry[]): Reminder[] {
  return tray
    .flatMap((knife) => (knife.summary?.reminders ?? []).map((advice) => ({ knife, advice })))
    .sort(
      (a, b) => (a.advice.due ?? "").localeCompare(b.advice.due ?? "") || a.knife.number - b.knife.number,
    );
}

/** What in the tray must be looked at again, and when. */
export function CarePage() {
  const tray = useQuery({ queryKey: ["tray"], queryFn: api.tray });
  const { school } = usePreferences();
  const navigate = useNavigate();
  useKeys({ escape: () => navigate("/tray"), p: () => window.print() });
  usePageTitle("To look at again");
  if (tray.isError)
    return <Failed what="The tray could not be opened." error={tray.error} onAgain={() => tray.refetch()} />;
  if (tray.isPending) return <p className="voice p-6 text-ink3">Opening the tray.</p>;
  const all = reminders(tray.data);
  return (
    <main className="sheet px-4 pt-3 pb-8 lg:px-6 print:p-0">
      <header className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-ink pb-1">
        <h1 className="text-[1.5625rem]/[1.75rem] tracking-tight">To look at again</h1>
        <p className="text-ink2">
          {all.length === 0
            ? "Nothing in the tray asks for it."
            : `${all.length} ${all.length === 1 ? "reminder" : "reminders"}, the most pressing first.`}
        </p>
        <BackOrPrint bench="/tray" to="To the tray" />
      </header>
      {all.length === 0 && (
        <p className="voice mt-3 max-w-[40rem] text-ink3">
          Celluloid covers, rust and verdigris come back; once such a knife is in the tray it is named here,
          with the day it was last seen to.
        </p>
      )}
      <ol aria-label="Reminders">
        {all.map(({ knife, advice }) => (
          <li
            key={`${knife.id} ${advice.id}`}
            className="grid gap-x-4 border-b border-rule py-1.5 sm:grid-cols-[minmax(0,1fr)_minmax(0,2fr)_minmax(0,1fr)]"
          >
            <Link to={`/bench/${knife.id}?at=care`} className="underline">
              <span className="num">{knife.number}</span>{" "}
              {knife.title ?? (knife.summary && titleBy(school, knife.summary))}
            </Link>
            <span>{advice.does}</span>
            <span className="sm:text-right">
              <Due advice={advice} />
            </span>
          </li>
        ))}
      </ol>
    </main>
  );
}
