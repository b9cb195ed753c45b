import type { Specimen } from "../../../api/types";
import type { StationProps } from "../panel";

type Sought = Specimen["notFound"][number];

/** To say that one has looked and there is none, so that nobody is sent to look again. */
export function NotFound({ knife, book, sought }: StationProps & { sought: Sought }) {
  const all = knife.specimen.notFound;
  const isTold = all.includes(sought);
  return (
    <label className="flex min-h-6 items-center gap-2">
      <input
        type="checkbox"
        className="size-4"
        checked={isTold}
        onChange={() =>
          knife.change((s) => ({
            ...s,
            notFound: isTold ? all.filter((other) => other !== sought) : [...all, sought],
          }))
        }
      />
      {book.choices.sought.find((s) => s.id === sought)?.label}
    </label>
  );
}
