package snikra.core.condition;

import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.condition.ConditionBook.Grade;
import snikra.core.specimen.Sureness;

/**
 * The limiting-fault grade.
 *
 * @param best by the worst fault found, with what its box makes of it; null when nothing was looked
 *     at
 * @param boxed what its box makes of it, by itself; null where there is none
 * @param atLeast if every point not looked at, or not surely, had its ordinary fault
 * @param atBest if the faults not seen surely were not there
 * @param reasons worst first
 * @param unseen points not looked at
 */
public record GradeVerdict(
    @Nullable Grade best,
    @Nullable String boxed,
    @Nullable Grade atLeast,
    @Nullable Grade atBest,
    List<Reason> reasons,
    List<String> unseen) {

  /** A fault and the best grade it allows. */
  public record Reason(
      String point, String label, String found, Sureness sureness, Grade allows, String why) {}
}
