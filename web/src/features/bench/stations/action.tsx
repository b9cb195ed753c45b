import type { StationProps } from "../panel";
import { Measures } from "./measures";
import { Points } from "./points";

/** How it opens and shuts: felt and heard, then measured. */
export function ActionStation({ knife, book }: StationProps) {
  return (
    <div className="mt-1 grid grid-cols-2 content-start gap-x-5 gap-y-1.5 lg:grid-cols-3">
      <Points knife={knife} book={book} station="action" />
      <hr className="col-span-full my-1 border-rule" />
      <Measures knife={knife} book={book} station="action" />
    </div>
  );
}
