package snikra.core.resemblance;

import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * A knife beside its lookalikes.
 *
 * @param rows tell by tell, those that part the lookalikes most first
 * @param totals one for each lookalike, in their order
 * @param priorDecibans what each lookalike starts with, against knives of other kinds
 * @param ofItsPattern what speaks for another knife of the likeliest pattern among them, of which
 *     nothing more is on file, in decibans; null where no pattern is known
 * @param other probability that it is none of them
 */
public record Comparison(
    List<Row> rows,
    List<Total> totals,
    double priorDecibans,
    @Nullable Double ofItsPattern,
    double other) {

  /**
   * One tell.
   *
   * @param seen what the knife shows; null where it was not looked at
   * @param cells one for each lookalike
   */
  public record Row(String trait, String label, @Nullable String seen, List<Cell> cells) {}

  /**
   * What one tell says of one lookalike.
   *
   * @param expected how it looks; null where that is not known
   * @param decibans ten times the logarithm of how much likelier what was seen is on it than on
   *     knives at large
   */
  public record Cell(@Nullable String expected, Standing standing, double decibans) {}

  /** Which way a tell speaks. */
  public enum Standing {
    FOR,
    AGAINST,
    SAYS_LITTLE,
    NOT_SEEN,
    NOT_KNOWN;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
  }

  /**
   * All tells together.
   *
   * @param decibans their sum, without the prior
   * @param probability among the lookalikes and all other kinds
   */
  public record Total(String id, String label, double decibans, double probability) {}
}
