package snikra.core.specimen;

import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;
import snikra.core.provenance.EdtfDate;

/**
 * A sale of a like knife. What is null is not known of it.
 *
 * @param price paid, above 0
 * @param currency three-letter code
 * @param maker id of a maker on the shelf
 * @param pattern id of a pattern
 * @param handle answer of the handle material
 */
public record ComparableSale(
    String described,
    BigDecimal price,
    String currency,
    @Nullable EdtfDate sold,
    @Nullable String maker,
    @Nullable String pattern,
    @Nullable String grade,
    @Nullable String handle) {

  public ComparableSale {
    if (!(price.signum() > 0)) {
      throw new IllegalArgumentException("price must be above 0; found " + price);
    }
  }
}
