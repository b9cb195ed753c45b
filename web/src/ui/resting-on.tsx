import { Link } from "react-router";

/** The knives whose verdict rests on a fact: they are to be looked at again when it changes. */
export function RestingOn({ knives }: { knives: { id: string; number: number; title: string }[] }) {
  if (knives.length === 0) return null;
  return (
    <p className="text-[0.78125rem]/4 text-ink2">
      Rests on it:{" "}
      {knives.map((k, i) => (
        <span key={k.id}>
          {i > 0 && ", "}
          <Link to={`/bench/${k.id}`} title={k.title} className="text-ink underline">
            {k.number} {k.title}
          </Link>
        </span>
      ))}
    </p>
  );
}
