import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import { api, Refused } from "../../api/client";
import type { Problem, ScheduleTold } from "../../api/types";
import { dayText, money } from "../../format";
import { useKeys } from "../../keys";
import { Failed } from "../../ui/failed";
import { Field } from "../../ui/field";
import { usePageTitle } from "../../ui/page-title";
import { useToast } from "../../ui/toasts";
import { useAttempt } from "../../ui/use-attempt";

const KEPT = { queryKey: ["schedules"], queryFn: () => api.schedules() };

/** What the knives are put down at for an insurer or an estate: each schedule as it was made. */
export function SchedulesPage() {
  const told = useQuery(KEPT);
  const navigate = useNavigate();
  useKeys({ escape: () => navigate("/tray") });
  usePageTitle("Schedules");
  if (told.isError)
    return <Failed what="The schedules could not be opened." error={told.error} onAgain={told.refetch} />;
  if (told.isPending) return <p className="voice p-6 text-ink3">Opening the schedules.</p>;
  return (
    <main className="px-4 pt-3 pb-8 lg:px-6">
      <header className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-ink pb-1">
        <h1 className="text-[1.5625rem]/[1.75rem] tracking-tight">Schedules</h1>
        <p className="text-ink2">for an insurer or an estate, each kept as it was made</p>
      </header>
      <div className="mt-3 grid gap-x-10 gap-y-5 lg:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
        <Make choices={told.data.choices} />
        <Kept kept={told.data.kept} />
      </div>
      <p className="mt-6 max-w-[44rem] border-t border-rule pt-1 text-[0.78125rem]/4 text-ink2">
        These are your own workings from sales of like knives, not an appraisal. An insurer, a court or a tax
        office may ask for one: have it made by a licensed appraiser.
      </p>
    </main>
  );
}

type Choice = { id: ScheduleTold["basis"]; label: string; why: string };

/** Makes one, of the whole tray or of what was found in it. */
function Make({ choices }: { choices: Choice[] }) {
  const [query] = useSearchParams();
  const [basis, setBasis] = useState<Choice["id"]>("insurance");
  const [title, setTitle] = useState("");
  const q = query.get("q") ?? "";
  const ticks = query.getAll("in");
  const make = useMaking({ basis, title, q }, ticks, () => setTitle(""));
  const problems: Problem[] = make.error instanceof Refused ? make.error.problems : [];
  const problem = (field: string) => problems.find((p) => p.field === field);
  return (
    <form
      aria-label="A new schedule"
      onSubmit={(e) => {
        e.preventDefault();
        make.mutate();
      }}
    >
      <h2 className="text-[1.125rem]/6">A new one</h2>
      <OfWhich asked={[q, ...ticks].filter(Boolean)} />
      <WhatFor choices={choices} basis={basis} onChange={setBasis} />
      <Field label="Of what, or for whom" problem={problem("title")} className="mt-2">
        {(ids) => (
          <input
            {...ids}
            className="entry w-full"
            maxLength={120}
            value={title}
            onChange={(e) => setTitle(e.target.value)}
          />
        )}
      </Field>
      <button type="submit" className="press mt-3" disabled={make.isPending} aria-busy={make.isPending}>
        Make it
      </button>
      {make.isError && (
        <p role="alert" className="mt-1 text-lead">
          {problem("q") ? `${problem("q")?.given}: ${problem("q")?.accepted}.` : make.error.message}
        </p>
      )}
    </form>
  );
}

function useMaking(
  plan: { basis: Choice["id"]; title: string; q: string },
  ticks: string[],
  onMade: () => void,
) {
  const queries = useQueryClient();
  const toast = useToast();
  return useMutation({
    mutationFn: () => api.makeSchedule({ id: crypto.randomUUID(), ...plan }, ticks),
    onSuccess: (made) => {
      onMade();
      queries.invalidateQueries({ queryKey: KEPT.queryKey });
      toast(`A schedule of ${knivesIn(made)} is made.`);
    },
  });
}

function OfWhich({ asked }: { asked: string[] }) {
  if (asked.length === 0) return <p className="text-ink2">Of all knives in the tray.</p>;
  return (
    <p className="text-ink2">
      Of what was found: {asked.join(", ")}.{" "}
      <Link to="/schedules" className="underline">
        Of all
      </Link>
    </p>
  );
}

function WhatFor({
  choices,
  basis,
  onChange,
}: {
  choices: Choice[];
  basis: Choice["id"];
  onChange: (basis: Choice["id"]) => void;
}) {
  return (
    <fieldset className="mt-2">
      <legend className="text-[0.78125rem]/4 text-ink2">What it is for</legend>
      {choices.map((c) => (
        <label key={c.id} className="flex gap-2 border-b border-rule py-1">
          <input
            type="radio"
            name="basis"
            className="mt-1 accent-blue"
            checked={basis === c.id}
            onChange={() => onChange(c.id)}
          />
          <span>
            {c.label}. <span className="text-ink2">{c.why}</span>
          </span>
        </label>
      ))}
    </fieldset>
  );
}

function Kept({ kept }: { kept: ScheduleTold[] }) {
  const queries = useQueryClient();
  const attempt = useAttempt(() => queries.invalidateQueries({ queryKey: KEPT.queryKey }));
  const remove = (s: ScheduleTold) =>
    attempt(
      () => api.removeSchedule(s.id),
      "The schedule is taken out.",
      () => api.restoreSchedule(s.id),
    );
  if (kept.length === 0)
    return (
      <p className="voice text-ink3">
        None yet. Make one now and one after each good year: what was known on the day stays with it.
      </p>
    );
  return (
    <section aria-label="Kept">
      <h2 className="text-[1.125rem]/6">Kept</h2>
      <ul>
        {kept.map((s) => (
          <OneKept key={s.id} schedule={s} onRemove={() => remove(s)} />
        ))}
      </ul>
    </section>
  );
}

function OneKept({ schedule: s, onRemove }: { schedule: ScheduleTold; onRemove: () => void }) {
  return (
    <li className="border-t border-rule py-1.5">
      <p className="flex flex-wrap items-baseline justify-between gap-x-4">
        <span className="min-w-0 break-words">
          <span className="num">{dayText(s.asOf)}</span> {s.title ?? "All of it"},{" "}
          {s.basis === "insurance" ? "for an insurer" : "for an estate"}
        </span>
        <span className="num text-[1.125rem]/6">{totalsOf(s)}</span>
      </p>
      <p className="flex flex-wrap items-baseline gap-x-4 text-ink2">
        <span className="mr-auto">
          {knivesIn(s)}
          {s.unvalued > 0 && `, ${s.unvalued} without an amount`}
        </span>
        <Saved of={s} as="pdf">
          PDF to print
        </Saved>
        <Saved of={s} as="csv">
          Table
        </Saved>
        <button
          type="button"
          className="min-h-6 hover:underline"
          aria-label={`Take out the schedule of ${dayText(s.asOf)}: ${s.title ?? "all of it"}`}
          onClick={onRemove}
        >
          Take out
        </button>
      </p>
    </li>
  );
}

function Saved({ of, as, children }: { of: ScheduleTold; as: "pdf" | "csv"; children: string }) {
  return (
    <a className="min-h-6 underline" download href={`/api/schedules/${of.id}/schedule.${as}`}>
      {children}
    </a>
  );
}

const knivesIn = (s: ScheduleTold) => (s.knives === 1 ? "one knife" : `${s.knives} knives`);

const totalsOf = (s: ScheduleTold) =>
  Object.entries(s.totals)
    .map(([currency, amount]) => money(amount, currency))
    .join(" and ") || "no amounts";
