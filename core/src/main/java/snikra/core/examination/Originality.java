package snikra.core.examination;

import java.math.BigDecimal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.condition.ConditionBook.Grade;

/**
 * What may have been done to a knife since it was made, and what that takes from it.
 *
 * @param findings likeliest first
 * @param worth what is left of the value, each finding by its probability; sales are taken to be of
 *     untouched knives
 * @param grade by the worst fault and the likely findings; null while nothing was graded
 * @param low half of the sales of a knife like this, with all that, are between this and {@code
 *     high}; null where no sale counts
 */
public record Originality(
    List<Finding> findings,
    double worth,
    @Nullable Grade grade,
    @Nullable BigDecimal low,
    @Nullable BigDecimal high) {

  /**
   * One way in which it may not be as made.
   *
   * @param cap the best grade it allows
   * @param tells why one thinks so
   */
  public record Finding(
      String id,
      String label,
      double probability,
      @Nullable Grade cap,
      double worth,
      String look,
      String why,
      String source,
      List<Tell> tells) {}

  /**
   * Something on the knife or on file that bears on it.
   *
   * @param source where it is known from; empty where it is on the knife itself
   */
  public record Tell(String station, String text, String source) {}
}
