import type { PointingProps } from "../panel";
import { Measures } from "./measures";
import { usePoints } from "./points";

/** How it opens and shuts: felt and heard, then measured. */
export function ActionStation({ knife, book, onPoint }: PointingProps) {
  const { fields, ofBlades, answers } = usePoints({ knife, book, onPoint, station: "action" });
  return (
    <div className="mt-1 grid gap-x-6 gap-y-3 md:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <div className="grid grid-cols-2 content-start gap-x-5 gap-y-1.5">
        {fields}
        <div className="col-span-full">{ofBlades}</div>
        <hr className="col-span-full my-1 border-rule" />
        <Measures knife={knife} book={book} station="action" />
      </div>
      <div className="border-rule max-md:order-first md:border-l md:pl-4">{answers}</div>
    </div>
  );
}
