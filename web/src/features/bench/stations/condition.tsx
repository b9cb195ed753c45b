import { useParams } from "react-router";
import { Schools } from "../grading";
import type { PointingProps } from "../panel";
import { usePoints } from "./points";

/** The points of condition, and the grades by every school. */
export function ConditionStation({ knife, book, onPoint }: PointingProps) {
  const { id = "" } = useParams();
  const { fields, ofBlades, answers } = usePoints({ knife, book, onPoint, station: "condition" });
  return (
    <div className="mt-1 grid gap-x-6 gap-y-3 md:grid-cols-[minmax(0,3fr)_minmax(0,2fr)] md:grid-rows-[auto_1fr]">
      <div className="md:row-span-2">
        <div className="grid content-start gap-x-5 gap-y-1.5 min-[30rem]:grid-cols-2">{fields}</div>
        {ofBlades}
      </div>
      <div className="border-rule max-md:order-first md:border-l md:pl-4">{answers}</div>
      <div className="border-rule md:border-l md:pl-4">
        <Schools id={id} verdict={knife.verdict} />
      </div>
    </div>
  );
}
