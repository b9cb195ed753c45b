import type { Book } from "../../api/types";
import { Cautions } from "./cautions";
import type { PointedAt } from "./fault-marks";
import type { FaceOf } from "./plate";
import { ActionStation } from "./stations/action";
import { BladesStation } from "./stations/blades";
import { CareStation } from "./stations/care";
import { ConditionStation } from "./stations/condition";
import { FeaturesStation } from "./stations/features";
import { MarksStation } from "./stations/marks";
import { NumberStation } from "./stations/number";
import { PatternStation } from "./stations/pattern";
import { StoryStation } from "./stations/story";
import { ValueStation } from "./stations/value";
import type { Knife } from "./use-knife";

export interface StationProps {
  knife: Knife;
  book: Book;
}

/** A station that shows on the drawing what it asks. */
export interface PointingProps extends StationProps {
  onPoint: (at: PointedAt | undefined) => void;
}

/** The station in hand. */
export function Panel({
  knife,
  book,
  station,
  face,
  onFace,
  onPoint,
}: PointingProps & { station: string; face: FaceOf; onFace: (face: FaceOf) => void }) {
  const props = { knife, book };
  return (
    <section
      id="station"
      aria-labelledby="station-name"
      tabIndex={-1}
      className="min-h-[12.75rem] pt-2 pb-3 outline-none"
    >
      <h2 id="station-name" className="text-[1.1875rem]/[1.375rem]">
        {book.stations.find((s) => s.id === station)?.name}
      </h2>
      <Cautions book={book} station={station} specimen={knife.specimen} />
      {station === "pattern" && <PatternStation {...props} />}
      {station === "blades" && <BladesStation {...props} />}
      {station === "marks" && <MarksStation {...props} face={face} onFace={onFace} />}
      {station === "number" && <NumberStation {...props} />}
      {["shield", "handle", "frame", "tools", "box"].includes(station) && (
        <FeaturesStation {...props} station={station} />
      )}
      {station === "action" && <ActionStation {...props} onPoint={onPoint} />}
      {station === "condition" && <ConditionStation {...props} onPoint={onPoint} />}
      {station === "care" && <CareStation {...props} />}
      {station === "story" && <StoryStation {...props} />}
      {station === "value" && <ValueStation {...props} />}
    </section>
  );
}
