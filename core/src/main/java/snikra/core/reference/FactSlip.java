package snikra.core.reference;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * What a maker set on its knives or listed, as a collector puts it on file.
 *
 * @param maker id of a maker on file
 * @param feature of a fitting: a feature of the clue book, the shape of a shield among them
 * @param value of a fitting: one of its answers
 * @param number of a model, as struck
 * @param label of a model, what it is called
 * @param pattern of a model: a pattern of the pattern book
 * @param from first year
 * @param to last year
 * @param give years by which either end may be out; of a fitting alone
 * @param sourceKind what kind of source it is known from
 * @param source the source by name
 */
public record FactSlip(
    Kind kind,
    String maker,
    @Nullable String feature,
    @Nullable String value,
    @Nullable String number,
    @Nullable String label,
    @Nullable String pattern,
    int from,
    int to,
    int give,
    String sourceKind,
    String source,
    @Nullable String note) {

  /** What it tells of. */
  public enum Kind {
    FITTING,
    MODEL;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT);
    }
  }
}
