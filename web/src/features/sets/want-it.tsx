import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { Link } from "react-router";
import { api } from "../../api/client";
import type { KeptWant } from "../../api/types";
import { useToast } from "../../ui/toasts";

/** Puts a gap of a set on the wanted list, or says that it stands there. */
export function WantIt({ lines, ...gap }: Gap & { lines: string[] }) {
  const { isWanted, want } = useWant(gap);
  return isWanted ? (
    <Link to="/wanted" className="no-print mt-auto inline-block min-h-6 self-start underline">
      Wanted
    </Link>
  ) : (
    <button
      type="button"
      className="no-print mt-auto min-h-6 self-start text-ink2 underline"
      aria-label={`Want it: ${[gap.model, lines.join(" ")].filter(Boolean).join(" ")}`}
      onClick={want}
    >
      Want it
    </button>
  );
}

interface Gap {
  maker: string;
  model: string | undefined;
  mark: string;
}

function useWant({ maker, model, mark }: Gap) {
  const queries = useQueryClient();
  const toast = useToast();
  const newId = useRef(crypto.randomUUID());
  const told = useQuery({ queryKey: ["wanted"], queryFn: () => api.wanted() });
  // The list is long in coming where much is being worked out; what was just put on it stands there at once.
  const [isJustPut, setJustPut] = useState(false);
  const again = async () => {
    await queries.invalidateQueries({ queryKey: ["wanted"] });
    setJustPut(false);
  };
  const want = async () => {
    const id = newId.current;
    try {
      await api.want(id, { maker, model, mark });
      newId.current = crypto.randomUUID();
      setJustPut(true);
      toast("It is on the wanted list.", () => api.unwant(id).then(again));
    } catch (e) {
      toast(`It is not on the wanted list. ${(e as Error).message}`);
    }
    await again();
  };
  const isThis = (w: KeptWant["want"]) => w.maker === maker && w.model === model && w.mark === mark;
  return { isWanted: isJustPut || told.data?.wants.some((w) => isThis(w.want)), want };
}
