import { useMutation } from "@tanstack/react-query";
import { api } from "../../api/client";

/** Holds every photograph against what it was when it came, and reads every knife. */
export function Check() {
  const check = useMutation({ mutationFn: api.check });
  const found = check.data;
  return (
    <section aria-labelledby="check-name" className="mt-6">
      <div className="flex min-h-8 items-baseline justify-between border-b border-ink pb-1">
        <h2 id="check-name" className="text-[1.1875rem]/[1.375rem]">
          Is all as it was?
        </h2>
        <button type="button" className="press" disabled={check.isPending} onClick={() => check.mutate()}>
          {check.isPending ? "Checking" : "Check"}
        </button>
      </div>
      <div role="status">
        {check.isError && <p className="mt-1 text-lead">{check.error.message}</p>}
        {!found && !check.isPending && (
          <p className="voice mt-1 text-ink2">
            Reads every knife, and holds every photograph against what it was when it came.
          </p>
        )}
        {found && <Found found={found} />}
      </div>
    </section>
  );
}

function Found({ found }: { found: Awaited<ReturnType<typeof api.check>> }) {
  const amiss = [
    ...found.unreadable,
    ...found.lost.map((p) => `The file of ${p} is gone.`),
    ...found.changed.map((p) => `The file of ${p} is not what it was when it came.`),
  ];
  if (amiss.length === 0)
    return (
      <p className="mt-1">
        All is sound: {found.knives} {found.knives === 1 ? "knife" : "knives"} read, {found.originals}{" "}
        {found.originals === 1 ? "photograph" : "photographs"} as they came.
      </p>
    );
  return (
    <ul className="text-lead">
      {amiss.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
  );
}
