package snikra.core.value;

import java.math.BigDecimal;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A range of prices with its steps. Low, middle and high are null where the sales are too thin; a
 * middle six sales in ten lie between low and high.
 */
public record ValueVerdict(
    @Nullable String currency,
    @Nullable BigDecimal low,
    @Nullable BigDecimal middle,
    @Nullable BigDecimal high,
    boolean tooThin,
    String summary,
    List<Weighed> sales) {

  /** Likeness in one respect, 1 the same. */
  public record Step(String what, double likeness) {}

  /**
   * One sale with what was made of it.
   *
   * @param gradeFactor what the price was multiplied with to bring it to this knife's grade
   */
  public record Weighed(
      String described,
      BigDecimal price,
      double gradeFactor,
      BigDecimal adjusted,
      double weight,
      List<Step> steps,
      boolean counted) {}
}
