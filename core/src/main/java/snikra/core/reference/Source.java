package snikra.core.reference;

import org.jspecify.annotations.Nullable;

/**
 * What a fact is known from.
 *
 * @param reliability how often what it says of a knife is so
 * @param copies the source it took its facts from, where it is no witness of its own
 * @param describes {@code stamp} where it shows stamps and not the knives it saw
 */
public record Source(
    String id,
    String label,
    String kind,
    double reliability,
    @Nullable String copies,
    @Nullable String describes) {

  /** Whether it describes a stamp and no knife. */
  public boolean describesStamp() {
    return "stamp".equals(describes);
  }
}
