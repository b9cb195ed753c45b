package snikra.core.condition;

import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.condition.ConditionBook.Grade;

/**
 * The limiting-fault grade.
 *
 * @param best by the worst fault found; null when nothing was looked at
 * @param atLeast if every point not looked at had its ordinary fault
 * @param reasons worst first
 * @param unseen points not looked at
 */
public record GradeVerdict(
    @Nullable Grade best, @Nullable Grade atLeast, List<Reason> reasons, List<String> unseen) {

  /** A fault and the best grade it allows. */
  public record Reason(String point, String label, String found, Grade allows, String why) {}
}
