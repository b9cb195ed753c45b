import { useQuery } from "@tanstack/react-query";
import { Link, useNavigate } from "react-router";
import { api } from "../../api/client";
import type { Advice, TrayEntry } from "../../api/types";
import { titleBy } from "../../format";
import { useKeys } from "../../keys";
import { usePreferences } from "../../preferences";
import { BackOrPrint } from "../../ui/back-or-print";
import { Opened } from "../../ui/opened";
import { Page, PageHead } from "../../ui/page";
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
  const navigate = useNavigate();
  useKeys({ escape: () => navigate("/tray"), p: () => window.print() });
  usePageTitle("To look at again");
  return (
    <Opened of={tray} failed="The tray could not be opened." meanwhile="Opening the tray.">
      {(tray) => <ToLookAt all={reminders(tray)} />}
    </Opened>
  );
}

function ToLookAt({ all }: { all: ReturnType<typeof reminders> }) {
  const { school } = usePreferences();
  const many = `${all.length} ${all.length === 1 ? "reminder" : "reminders"}, the most pressing first.`;
  return (
    <Page isSheet>
      <PageHead title="To look at again" about={all.length === 0 ? "Nothing in the tray asks for it." : many}>
        <BackOrPrint bench="/tray" to="To the tray" />
      </PageHead>
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
    </Page>
  );
}
