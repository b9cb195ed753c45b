package snikra.core.value;

import java.math.BigDecimal;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a knife would bring in one sale, in today's money. Amounts are null where no sale counts.
 *
 * @param middle what it would bring were nothing done to it: as likely below as above
 * @param low half of such sales are between this and {@code high}
 * @param lowest nine in ten are between this and {@code highest}
 * @param asItIs the same with what may have been done to it taken in
 * @param counted sales that count
 * @param enough whether so many count that the trade of this knife is known; with fewer the width
 *     is mostly what is not known of it
 * @param standsOn the same as a sentence
 * @param sales those that stand with the knife, in their order, then those of the sales book that
 *     count, the weightiest first
 * @param costs what keeps the range wide as it is, the most first
 * @param met how often such a knife is met; null where its maker or pattern are not known or not on
 *     file
 */
public record ValueVerdict(
    @Nullable String currency,
    @Nullable BigDecimal middle,
    @Nullable BigDecimal low,
    @Nullable BigDecimal high,
    @Nullable BigDecimal lowest,
    @Nullable BigDecimal highest,
    @Nullable Range asItIs,
    int counted,
    boolean enough,
    String standsOn,
    List<Weighed> sales,
    List<Cost> costs,
    Rarity.@Nullable Met met) {

  /**
   * What one sale would bring.
   *
   * @param middle as likely below as above
   * @param low half of such sales are between this and {@code high}
   * @param lowest nine in ten are between this and {@code highest}
   */
  public record Range(
      BigDecimal middle, BigDecimal low, BigDecimal high, BigDecimal lowest, BigDecimal highest) {}

  /**
   * What keeps a range wide, and by what part of it.
   *
   * @param label in words
   * @param station where it can be narrowed; null where it cannot
   */
  public record Cost(Doubt of, double share, String label, @Nullable String station) {
    Cost(Doubt of, double share) {
      this(of, share, of.label, of.station);
    }
  }

  /** What may not be known of a knife's value. */
  public enum Doubt {
    MAKER("who made it", "marks"),
    PATTERN("what it is called", "pattern"),
    GRADE("its grade", "condition"),
    ALTERED("what may have been done to it", "frame"),
    SALES("how few and how unlike the sales are", "value"),
    CHANCE("what two who want it do on the day", null);

    private final String label;
    private final @Nullable String station;

    Doubt(String label, @Nullable String station) {
      this.label = label;
      this.station = station;
    }

    @Override
    public String toString() {
      return name().toLowerCase(java.util.Locale.ROOT);
    }
  }

  /**
   * A step from the price of a sale to this knife. What changes nothing is no step.
   *
   * @param times what the price is multiplied with; 1 where it is only a matter of likeness
   * @param likeness from 0 to 1, the same; 1 where it is only a matter of price
   */
  public record Step(String what, double times, double likeness) {
    boolean saysAnything() {
      return times != 1 || likeness != 1;
    }
  }

  /**
   * One sale with what was made of it.
   *
   * @param id in the sales book; {@code sale-1} and on for those that stand with the knife itself
   * @param adjusted what it says this knife would bring
   * @param weight its part in the middle, of all that count
   * @param trust 1 where the other sales bear it out, near 0 where they do not
   */
  public record Weighed(
      String id,
      String described,
      BigDecimal price,
      BigDecimal adjusted,
      double weight,
      double trust,
      List<Step> steps,
      boolean counted) {
    Weighed as(String kept) {
      return new Weighed(kept, described, price, adjusted, weight, trust, steps, counted);
    }
  }
}
