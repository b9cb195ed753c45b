package snikra.core.pattern;

import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * What the knife is called, by both schools.
 *
 * @param title a name to head a page with, by the strict school: the leading name where it leads
 *     clearly, else what is seen
 * @param tradeTitle the same by today's trade
 * @param names likeliest first
 * @param unnamed probability, by the strict school, that no name in the book fits
 */
public record PatternVerdict(String title, String tradeTitle, List<Name> names, double unnamed) {

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

  /** The one look that would settle between two names, and the station it is taken at. */
  public record Settle(String station, String look) {}

  /**
   * A name with its reasons.
   *
   * @param strictly what the strict school calls it
   * @param inTrade what today's trade may call it, empty where the same
   * @param probability by the strict school; 0 for a name it does not know
   * @param tradeProbability by today's trade
   * @param definition of the leading name, what the strict school asks of it
   * @param soldAs of the leading name, what sellers use it for
   * @param departures how this knife departs from the pattern without leaving it
   * @param because for the leading name why it is this; for a rival why it is not
   * @param settle for a rival what would tell it from the leading name, if anything is left to look
   *     at
   */
  public record Name(
      String pattern,
      String strictly,
      List<String> inTrade,
      double probability,
      double tradeProbability,
      List<Requirement> requirements,
      List<String> definition,
      List<String> soldAs,
      List<String> departures,
      String because,
      @Nullable Settle settle) {}
}
