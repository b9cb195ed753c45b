import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import { OneLine } from "../../ui/one-line";
import { useToast } from "../../ui/toasts";
import type { Search } from "./use-search";

type Kept = Awaited<ReturnType<typeof api.searches>>[number];

const same = (kept: Kept, search: Search) =>
  kept.q === search.words.trim() &&
  kept.in.length === search.ticks.length &&
  kept.in.every((t) => search.ticks.includes(t));

/** What it may be called: its words, and the values that are ticked. */
const named = ({ words, ticks }: Search) =>
  [words.trim(), ...ticks.map((t) => t.slice(t.indexOf(":") + 1))].filter((w) => w !== "").join(", ");

/** Searches one comes back to, each with how many knives answer to it now; what is asked can be kept with them. */
export function KeptSearches({ search, left }: { search: Search; left: number }) {
  const kept = useQuery({ queryKey: ["tray", "searches", left], queryFn: () => api.searches() });
  const { keep, letGo } = useKeeping();
  const all = kept.data ?? [];
  if (all.length === 0 && !search.isAsking) return null;
  return (
    <section aria-label="Searches you keep" className="mb-3 min-w-0">
      <h2 className="voice w-full border-b border-rule pb-0.5 font-normal text-ink2">Searches you keep</h2>
      <ul>
        {all.map((k) => (
          <OneKept
            key={k.id}
            kept={k}
            isAsked={same(k, search)}
            onAsk={() => search.ask(k.q, k.in)}
            onRemove={() => letGo(k)}
          />
        ))}
      </ul>
      {search.isAsking && !all.some((k) => same(k, search)) && (
        <KeepThis
          start={named(search).slice(0, 60)}
          onKeep={(name) => keep(crypto.randomUUID(), { name, q: search.words.trim(), in: search.ticks })}
        />
      )}
    </section>
  );
}

function useKeeping() {
  const queries = useQueryClient();
  const toast = useToast();
  const again = () => queries.invalidateQueries({ queryKey: ["tray", "searches"] });
  const keep = async (id: string, { name, q, in: ticked }: Omit<Kept, "id" | "found">) => {
    try {
      await api.keepSearch(id, { name, q, in: ticked });
    } catch (e) {
      toast(`It was not kept. ${(e as Error).message}`);
    }
    again();
  };
  const letGo = async (k: Kept) => {
    try {
      await api.removeSearch(k.id);
      toast(`The search "${k.name}" is removed.`, () => keep(k.id, k));
    } catch (e) {
      toast(`It is still kept. ${(e as Error).message}`);
    }
    again();
  };
  return { keep, letGo };
}

function OneKept({
  kept,
  isAsked,
  onAsk,
  onRemove,
}: {
  kept: Kept;
  isAsked: boolean;
  onAsk: () => void;
  onRemove: () => void;
}) {
  return (
    <li className="flex min-h-6 items-center gap-x-1.5">
      <button
        type="button"
        aria-pressed={isAsked}
        className={`grid min-h-6 min-w-0 flex-1 items-baseline grid-cols-[minmax(0,1fr)_auto] text-left hover:bg-lit ${isAsked ? "font-semibold" : ""}`}
        onClick={onAsk}
      >
        <span className="truncate">{kept.name}</span>
        <span className="num">{kept.found.toLocaleString()}</span>
      </button>
      {isAsked && (
        <button
          type="button"
          className="min-h-6 min-w-6 text-ink2 hover:text-lead"
          aria-label={`Remove ${kept.name}`}
          onClick={onRemove}
        >
          {"\u00d7"}
        </button>
      )}
    </li>
  );
}

function KeepThis({ start, onKeep }: { start: string; onKeep: (name: string) => void }) {
  const [isNaming, setNaming] = useState(false);
  if (!isNaming)
    return (
      <button type="button" className="min-h-6 text-ink2 underline" onClick={() => setNaming(true)}>
        Keep this search
      </button>
    );
  return (
    <OneLine
      label="Its name"
      maxLength={60}
      start={start}
      isAskedFor
      button="Keep"
      onDone={(name) => {
        setNaming(false);
        onKeep(name);
      }}
    />
  );
}
