import type { MakersPack } from "../../api/types";

/** What is odd about a pack and no mistake by itself. */
export function Remarks({ remarks }: { remarks: MakersPack["remarks"] }) {
  if (remarks.length === 0) return null;
  return (
    <details className="text-[0.78125rem]/4">
      <summary className="min-h-6 cursor-pointer text-ink2">
        {remarks.length === 1 ? "One thing to look at" : `${remarks.length} things to look at`}
      </summary>
      <ul className="list-disc pl-5">
        {remarks.map((r) => (
          <li key={r.maker + r.text}>
            {r.maker}: {r.text}
          </li>
        ))}
      </ul>
    </details>
  );
}
