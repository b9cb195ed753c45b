package snikra.core.value;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import snikra.core.provenance.EdtfDate;
import snikra.core.specimen.ComparableSale;

/**
 * A sale in the sales book of a collection: what was sold, and what is known of the selling.
 *
 * @param knife what was sold, at the price told
 * @param premium per cent the buyer paid on top of the price told, as a sale room takes; null where
 *     the price is all there was
 * @param source where it is told
 * @param note what else is told
 */
public record Sale(
    ComparableSale knife,
    @Nullable BigDecimal premium,
    @Nullable String source,
    @Nullable String note) {
  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

  /** The same sale at all the buyer paid, as others are weighed by. */
  public ComparableSale all() {
    if (premium == null || premium.signum() == 0) {
      return knife;
    }
    BigDecimal times = BigDecimal.ONE.add(premium.divide(HUNDRED, MathContext.DECIMAL64));
    return knife.at(knife.price().multiply(times, MathContext.DECIMAL64));
  }

  /** What two accounts of one sale have alike: what was sold, at what price, on what day. */
  public record Told(String described, BigDecimal price, String currency, @Nullable String sold) {}

  /** By this it is known again, whoever tells of it. */
  public Told told() {
    EdtfDate sold = knife.sold();
    return new Told(
        knife.described().toLowerCase(Locale.ROOT),
        knife.price().stripTrailingZeros(),
        knife.currency(),
        sold == null ? null : sold.written());
  }
}
