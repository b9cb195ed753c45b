import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api } from "../../api/client";
import { Failed } from "../../ui/failed";
import { Page } from "../../ui/page";
import { usePageTitle } from "../../ui/page-title";

/** Every number of judgement the verdicts are worked out from, each with its reason. */
export function JudgementPage() {
  const rates = useQuery({ queryKey: ["judgement"], queryFn: api.judgement });
  usePageTitle("Numbers of judgement");
  if (rates.isError)
    return (
      <Failed what="The numbers could not be read." error={rates.error} onAgain={() => rates.refetch()} />
    );
  return (
    <Page>
      <h1 className="text-[1.5625rem]/[1.75rem] tracking-tight">Numbers of judgement</h1>
      <p className="mt-1 max-w-[46rem] text-ink2">
        Nobody can look these up: they are held to be so, for the reason given, and every verdict is worked
        out from them. Years, laws and materials stand in the book, facts about makers in the{" "}
        <Link to="/makers" className="underline">
          packs
        </Link>
        .
      </p>
      {rates.isPending && <p className="voice mt-4 text-ink3">Looking.</p>}
      {(rates.data ?? []).map((group) => (
        <section key={group.about} aria-label={group.about} className="mt-5">
          <h2 className="font-semibold">{group.about}</h2>
          <dl className="mt-1 max-w-[60rem] border-t border-rule">
            {group.rates.map((r) => (
              <OneRate key={r.id} rate={r} />
            ))}
          </dl>
        </section>
      ))}
    </Page>
  );
}

function OneRate({ rate: r }: { rate: Rates[number]["rates"][number] }) {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_4.5rem] gap-x-4 border-b border-rule py-1 sm:grid-cols-[minmax(0,1fr)_4.5rem_minmax(0,1.4fr)]">
      <dt>{r.label}</dt>
      <dd className="num text-right">{r.value.toLocaleString(undefined, { maximumSignificantDigits: 3 })}</dd>
      <dd className="text-ink2 max-sm:col-span-2">{r.why}</dd>
    </div>
  );
}

type Rates = Awaited<ReturnType<typeof api.judgement>>;
