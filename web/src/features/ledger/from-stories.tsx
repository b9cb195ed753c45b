import { useMutation, useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api } from "../../api/client";
import type { LedgerTold } from "../../api/types";
import { money } from "../../format";
import { AddOrCancel } from "../../ui/add-or-cancel";
import { Dialog } from "../../ui/dialog";
import { Failed } from "../../ui/failed";
import { useNames } from "./names";

/** Purchases that stand in the stories of knives and not in the ledger, seen before they are added. */
export function FromStories({ onClose, onTaken }: OfTaking) {
  const found = useQuery({
    queryKey: ["told-purchases"],
    queryFn: () => api.toldPurchases(),
    staleTime: 0,
    gcTime: 0,
  });
  return (
    <Dialog open onClose={onClose} title="Purchases told in stories">
      {found.isPending && <p className="voice mt-3 text-ink3">Reading the stories.</p>}
      {found.isError && (
        <Failed what="The stories could not be read." error={found.error} onAgain={() => found.refetch()} />
      )}
      {found.data?.length === 0 && (
        <p className="voice mt-3 text-ink3">
          Whatever your own records in stories say you paid stands in the ledger already, or was struck out
          there.
        </p>
      )}
      {found.data && found.data.length > 0 && (
        <Purchases found={found.data} onClose={onClose} onTaken={onTaken} />
      )}
    </Dialog>
  );
}

interface OfTaking {
  onClose: () => void;
  onTaken: (told: LedgerTold, ids: string[]) => void;
}

type Purchase = Awaited<ReturnType<typeof api.toldPurchases>>[number];

function Purchases({ found, onClose, onTaken }: OfTaking & { found: Purchase[] }) {
  const take = useMutation({
    mutationFn: () => api.takeOverPurchases(),
    onSuccess: (taken) => {
      onTaken(taken.ledger, taken.ids);
      onClose();
    },
  });
  const good = found.filter((p) => !p.problem).length;
  return (
    <>
      <p className="mt-2 text-ink2">
        You bought these by your own record, and the ledger does not have them. Each becomes an entry of its
        own; the story stays as it is.
      </p>
      <ul aria-label="Purchases" className="mt-2 max-h-[22rem] overflow-auto border-t border-ink">
        {found.map((p) => (
          <OnePurchase key={p.id} purchase={p} />
        ))}
      </ul>
      {take.isError && (
        <p role="alert" className="mt-2 text-lead">
          {take.error.message}
        </p>
      )}
      <AddOrCancel
        label={`Add ${good} ${good === 1 ? "entry" : "entries"}`}
        isOff={good === 0 || take.isPending}
        onAdd={() => take.mutate()}
        onCancel={onClose}
      />
    </>
  );
}

function OnePurchase({ purchase: p }: { purchase: Purchase }) {
  const { nameOf } = useNames();
  return (
    <li className="border-b border-rule py-0.5">
      <Link to={`/bench/${p.knife}?at=story`} className="inline-block min-h-6 underline">
        {nameOf({ knife: p.knife })}
      </Link>
      , <span className="num">{p.entry.date}</span>, {money(p.entry.price ?? 0, p.entry.currency)}
      {p.entry.rate !== undefined && (
        <span className="text-ink2"> at {p.entry.rate.toLocaleString()}, by the year</span>
      )}
      {p.problem && (
        <span className="block text-lead">
          {p.problem.given}: {p.problem.accepted}. Enter it by hand.
        </span>
      )}
    </li>
  );
}
