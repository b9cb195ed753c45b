import type { StationProps } from "../panel";
import { Measures } from "./measures";
import { Points } from "./points";

/** How it opens and shuts: felt, heard and measured. */
export function ActionStation({ knife, book }: StationProps) {
  return (
    <div className="mt-1 grid gap-x-6 gap-y-3 md:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <div className="grid grid-cols-2 content-start gap-x-5 gap-y-1.5 lg:grid-cols-3">
        <Points knife={knife} book={book} station="action" />
      </div>
      <div className="grid content-start gap-y-1.5 border-rule md:border-l md:pl-4">
        <Measures knife={knife} book={book} station="action" />
      </div>
    </div>
  );
}
