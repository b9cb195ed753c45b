import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";

/** Labels for what was found, on a sheet one has; places that are used already are left out. */
export function Labels({ asked }: { asked: string }) {
  const papers = useQuery({
    queryKey: ["label-papers"],
    queryFn: () => api.labelPapers(),
    staleTime: Number.POSITIVE_INFINITY,
  });
  const [chosen, setChosen] = useState<string>();
  const [skip, setSkip] = useState(0);
  if (papers.isError) return <p className="text-lead">{papers.error.message}</p>;
  const paper = papers.data?.find((p) => p.id === chosen) ?? papers.data?.[0];
  if (!paper) return null;
  const most = paper.columns * paper.rows - 1;
  const used = Math.max(0, Math.min(most, Number.isNaN(skip) ? 0 : Math.trunc(skip)));
  return (
    <fieldset className="mt-2 border-t border-rule pt-2">
      <legend className="sr-only">Labels</legend>
      <label className="block">
        <span className="text-ink2">Labels on</span>
        <select className="entry w-full" value={paper.id} onChange={(e) => setChosen(e.target.value)}>
          {papers.data?.map((p) => (
            <option key={p.id} value={p.id}>
              {p.label}
            </option>
          ))}
        </select>
      </label>
      <Used most={most} value={skip} onChange={setSkip} />
      <a
        className="mt-1 block min-h-6 underline"
        download
        href={`/api/labels/labels.pdf?paper=${paper.id}&skip=${used}&${asked}`}
      >
        Labels with a code, to print
      </a>
    </fieldset>
  );
}

/** How many places of the first sheet are used; nothing at all while it is typed anew. */
function Used({ most, value, onChange }: { most: number; value: number; onChange: (used: number) => void }) {
  return (
    <label className="mt-1 flex items-baseline justify-between gap-3">
      <span className="text-ink2">Places used on the first sheet</span>
      <input
        type="number"
        className="entry num w-16"
        min={0}
        max={most}
        value={Number.isNaN(value) ? "" : value}
        onChange={(e) => onChange(e.target.valueAsNumber)}
      />
    </label>
  );
}
