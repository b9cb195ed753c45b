package snikra.core.specimen;

import java.math.BigDecimal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.measure.Length;
import snikra.core.provenance.EdtfDate;

/**
 * A sale of a like knife. What is null is not known of it.
 *
 * @param price paid, above 0
 * @param currency three-letter code
 * @param maker id of a maker on the shelf
 * @param pattern id of a pattern
 * @param handle answer of the handle material
 * @param made its years
 * @param box grade of what came with it
 * @param asked whether it is only what was asked for it
 * @param length closed
 * @param done to it, by the ids of alterations; empty where it is told that nothing was
 * @param venue where it was sold
 * @param text on it that is no mark, an answer of the clue book; where none is told it had none
 */
public record ComparableSale(
    String described,
    BigDecimal price,
    String currency,
    @Nullable EdtfDate sold,
    @Nullable String maker,
    @Nullable String pattern,
    @Nullable String grade,
    @Nullable String handle,
    @Nullable EdtfDate made,
    @Nullable String box,
    @Nullable Boolean asked,
    @Nullable Length length,
    @Nullable List<String> done,
    @Nullable Venue venue,
    @Nullable String text) {

  /** A price that was paid for a knife of which no years and no box are told. */
  public ComparableSale(
      String described,
      BigDecimal price,
      String currency,
      @Nullable EdtfDate sold,
      @Nullable String maker,
      @Nullable String pattern,
      @Nullable String grade,
      @Nullable String handle) {
    this(
        described, price, currency, sold, maker, pattern, grade, handle, null, null, null, null,
        null, null, null);
  }

  /** The same sale at another price. */
  public ComparableSale at(BigDecimal other) {
    return new ComparableSale(
        described, other, currency, sold, maker, pattern, grade, handle, made, box, asked, length,
        done, venue, text);
  }

  /** Whether it was paid, and not only asked. */
  public boolean wasPaid() {
    return !Boolean.TRUE.equals(asked);
  }

  public ComparableSale {
    done = done == null ? null : List.copyOf(done);
    if (!(price.signum() > 0)) {
      throw new IllegalArgumentException("price must be above 0; found " + price);
    }
  }
}
