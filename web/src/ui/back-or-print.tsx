import { Link } from "react-router";
import { Key } from "./key";

/** At the head of a sheet that is read and printed: back to where it came from, or on to paper. */
export function BackOrPrint({ bench, to = "To the bench" }: { bench: string; to?: string }) {
  return (
    <p className="no-print ml-auto flex items-baseline gap-4">
      <Link to={bench} className="min-h-6 hover:underline">
        {to} <Key>Esc</Key>
      </Link>
      <button type="button" className="press" onClick={() => window.print()}>
        Print <Key>P</Key>
      </button>
    </p>
  );
}
