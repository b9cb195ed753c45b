package snikra.core.reference;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * What a maker set on its knives or listed, whose it was and who made for it, as a collector puts
 * it on file.
 *
 * @param maker id of a maker on file
 * @param feature of a fitting: a feature of the clue book, the shape of a shield among them
 * @param value of a fitting: one of its answers
 * @param number of a model, as struck
 * @param label of a model, what it is called; of an owner its name; of a contract who made the
 *     knives
 * @param pattern of a model: a pattern of the pattern book
 * @param percent of a contract: how much of what was sold, of a hundred
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
    @Nullable Integer percent,
    int from,
    int to,
    int give,
    String sourceKind,
    String source,
    @Nullable String note) {

  /** The same of other years. */
  public FactSlip in(int first, int last, int out) {
    return new FactSlip(
        kind,
        maker,
        feature,
        value,
        number,
        label,
        pattern,
        percent,
        first,
        last,
        kind == Kind.FITTING ? out : 0,
        sourceKind,
        source,
        note);
  }

  /** What it tells of. */
  public enum Kind {
    FITTING,
    MODEL,
    OWNER,
    CONTRACT;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT);
    }
  }
}
