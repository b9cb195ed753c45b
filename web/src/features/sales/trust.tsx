import { useMutation } from "@tanstack/react-query";
import { api } from "../../api/client";
import { percent } from "../../format";

/** With fewer than this there is nothing to hold them against. */
const ENOUGH = 4;

/** How well the sales tell one another's prices: each of some is left out in turn. */
export function Trust({ count }: { count: number }) {
  const tried = useMutation({ mutationFn: api.trySales });
  if (count < ENOUGH) return null;
  const found = tried.data;
  return (
    <section aria-labelledby="trust-name" className="mt-5 max-w-[46rem] border-t border-ink pt-2">
      <h2 id="trust-name" className="text-[1.1875rem]/[1.375rem]">
        How far to trust them
      </h2>
      <p className="text-ink2">
        Each sale is left out in turn, up to a hundred of them, and its knife valued by the others.
      </p>
      <button type="button" className="press mt-1" aria-busy={tried.isPending} onClick={() => tried.mutate()}>
        {tried.isPending ? "Trying them" : "Try them"}
      </button>
      {tried.isError && <p className="mt-1 text-lead">That could not be worked out. {tried.error.message}</p>}
      {found && (
        <dl className="mt-2 border-t border-rule" data-testid="trust">
          {[
            ["Sales tried", `${found.knives}`],
            ["Wide range held the price", `${percent(found.nineTenths)}% (nine in ten is right)`],
            ["Narrow range held it", `${percent(found.half)}% (half is right)`],
            ["Middle off by", `${percent(found.error)}%`],
            ["The sale most alike alone would be off by", `${percent(found.nearest)}%`],
            ["The middle of those at hand by", `${percent(found.plain)}%`],
            ["Those at hand weighed by what they have in common by", `${percent(found.former)}%`],
          ].map(([what, says]) => (
            <div key={what} className="flex justify-between gap-4 border-b border-rule py-0.5">
              <dt>{what}</dt>
              <dd className="num text-right">{says}</dd>
            </div>
          ))}
        </dl>
      )}
    </section>
  );
}
