package snikra.core.pattern;

import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * What the knife is called.
 *
 * @param title a name to head a page with: the leading name where it leads clearly, else what is
 *     seen
 * @param names likeliest first
 * @param unnamed probability that no name in the book fits
 */
public record PatternVerdict(String title, List<Name> names, double unnamed) {

  /** How a requirement stands. */
  public enum Standing {
    MET,
    MISSED,
    UNKNOWN;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /**
   * One thing a pattern asks for.
   *
   * @param asks in words
   * @param found in words, null where not looked at
   */
  public record Requirement(String asks, @Nullable String found, Standing standing) {}

  /**
   * A name with its reasons.
   *
   * @param strictly what the strict school calls it
   * @param inTrade what today's trade may call it, empty where the same
   * @param because for the leading name why it is this; for a rival why it is not
   */
  public record Name(
      String pattern,
      String strictly,
      List<String> inTrade,
      double probability,
      List<Requirement> requirements,
      String because) {}
}
