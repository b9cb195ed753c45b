package snikra.core.dating;

import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Feature;
import snikra.core.reference.Region;

/**
 * Who, when, and is it all of a piece.
 *
 * @param firstYear year of the first entry of {@code curve}
 * @param curve probability by year; over HTTP each to a ten-millionth
 * @param notBefore the year below which lies under one per cent
 * @param notAfter the year above which lies under one per cent
 * @param makers manufacturers and regions, likeliest first
 * @param states how it came to be so, likeliest first
 * @param explanations maker and state together, likeliest first; none while nothing was looked at
 * @param clues in the order of their influence
 * @param mark what the marks do to the answer; null where nobody looked, and where all is worn away
 * @param clueGroups clues that agree taken together, in the order of what they do together; one
 *     that stands alone is a group of its own
 * @param opinion in words, with its strength
 * @param lookNext what would tell most for its trouble, first things first
 */
public record DatingVerdict(
    int firstYear,
    double[] curve,
    Span half,
    Span nineTenths,
    int mostProbable,
    int median,
    int notBefore,
    int notAfter,
    List<Attribution> makers,
    List<StateProbability> states,
    List<Explanation> explanations,
    List<ClueInfluence> clues,
    @Nullable ClueInfluence mark,
    List<ClueGroup> clueGroups,
    List<Conflict> conflicts,
    Opinion opinion,
    List<NextLook> lookNext) {

  /** Probability that it was made in these years, both included. */
  public double between(int from, int to) {
    double sum = 0;
    for (int y = Math.max(0, from - firstYear); y < curve.length && y + firstYear <= to; y++) {
      sum += curve[y];
    }
    return sum;
  }

  /**
   * Who made it.
   *
   * @param maker id on the shelf, null for an unlisted one
   * @param contractors others who may have made it for this one under contract, likeliest first;
   *     those not known, who are many, come last
   */
  public record Attribution(
      @Nullable String maker,
      String region,
      String label,
      double probability,
      Span nineTenths,
      List<Contractor> contractors) {}

  /**
   * One who made knives for another.
   *
   * @param maker id on the shelf, null for one who is not on it
   * @param probability that it made this one
   * @param speaksFor traits by which it leads the next likeliest, the most telling first
   */
  public record Contractor(
      @Nullable String maker,
      String label,
      double probability,
      Span nineTenths,
      List<String> speaksFor) {}

  /**
   * A state with its probability.
   *
   * @param partSpan for a replaced part, when that part was made
   */
  public record StateProbability(State state, double probability, @Nullable Span partSpan) {}

  /**
   * Maker and state together.
   *
   * @param maker id on the shelf; null for one not on file
   * @param region where it was made; null where that too is open
   * @param decider the look that would tell most between this and the leading one; none for that
   *     one itself, and where no look would
   */
  public record Explanation(
      @Nullable String maker,
      @Nullable String region,
      String label,
      State state,
      double probability,
      Span nineTenths,
      @Nullable Decider decider) {
    Explanation decidedBy(@Nullable Decider look) {
      return new Explanation(maker, region, label, state, probability, nineTenths, look);
    }
  }

  /**
   * A look that would tell two explanations apart.
   *
   * @param speaksFor what would then most likely be seen
   * @param speaksAgainst what would be seen if the other is right
   */
  public record Decider(
      String feature,
      String station,
      String label,
      Feature.Trouble trouble,
      String speaksFor,
      String speaksAgainst) {}

  /**
   * What one clue does to the answer.
   *
   * @param feature id of the feature, or of the statement
   * @param part label of the part it is seen on
   * @param medianShift years the middle would move if it were left out
   * @param bits information about the year lost if it were left out
   * @param source what the reason is known from; empty where it is in the knife itself
   * @param country the one it says most of; null where it tells countries apart by less than about
   *     two decibans
   */
  public record ClueInfluence(
      String feature,
      String station,
      String part,
      String label,
      String value,
      @Nullable Integer notBefore,
      @Nullable Integer notAfter,
      @Nullable String firmness,
      int medianShift,
      double bits,
      String why,
      String source,
      boolean inConflict,
      @Nullable ForCountry country) {}

  /**
   * What a clue says of where a knife was built.
   *
   * @param decibans tenfold logarithm of how many times the odds of that country are multiplied,
   *     rounded; below 0 it speaks against it
   * @param words the same in words
   */
  public record ForCountry(String region, String label, int decibans, String words) {

    private static final int WHOLE_FROM = 3;

    /** What moves the odds of a country by so many decibans says this of it. */
    static ForCountry of(Region region, double decibans) {
      int whole = (int) Math.round(decibans);
      double times = Math.pow(10, Math.abs(decibans) / 10);
      String words =
          String.format(
              Locale.ROOT,
              "%s %s by %s to 1 (%d decibans)",
              decibans > 0 ? "for" : "against",
              region.label(),
              String.format(Locale.ROOT, times < WHOLE_FROM ? "%.1f" : "%.0f", times),
              Math.abs(whole));
      return new ForCountry(region.id(), region.label(), whole, words);
    }
  }

  /**
   * Clues that say the same, so that each of them alone seems to do little.
   *
   * @param features of the clues, most influential first
   * @param medianShift years the middle would move if none of them had been seen
   * @param bits information about the year lost if none of them had been seen
   */
  public record ClueGroup(List<String> features, int medianShift, double bits) {}

  /**
   * Two clues that do not go together in a knife as made.
   *
   * @param gap years between them, 0 where they touch
   * @param resolvedBy the likeliest way that lifts it; empty where there is none
   * @param resolvedProbability how likely that way is
   */
  public record Conflict(
      String feature,
      String rival,
      String label,
      String rivalLabel,
      double overlap,
      int gap,
      String resolvedBy,
      double resolvedProbability) {}

  /**
   * Something not looked at yet.
   *
   * @param feature id of the feature, or {@code marks}
   * @param bits expected to be told of who, when and how together
   */
  public record NextLook(
      String feature, String station, String label, Feature.Trouble trouble, double bits) {}

  /**
   * The opinion in words.
   *
   * @param held how likely what the headline says is; null where it says that nothing is known yet
   * @param years nine chances in ten, of what the headline says
   * @param sentences why
   * @param rivals what else it may be, in one sentence; empty where nothing was looked at
   */
  public record Opinion(
      Strength strength,
      @Nullable Double held,
      String headline,
      Span years,
      List<String> sentences,
      String rivals) {}

  /** How strong an opinion is. */
  public enum Strength {
    CERTAIN(0.97, "Certain"),
    VERY_LIKELY(0.9, "Very likely"),
    LIKELY(0.7, "Likely"),
    MORE_LIKELY_THAN_NOT(0.5, "More likely than not"),
    OPEN(0, "Open");

    private final double from;
    private final String words;

    Strength(double from, String words) {
      this.from = from;
      this.words = words;
    }

    /** The strength of an opinion held with this probability. */
    public static Strength of(double probability) {
      for (Strength s : values()) {
        if (probability >= s.from) {
          return s;
        }
      }
      return OPEN;
    }

    /** In words, to begin a sentence. */
    public String words() {
      return words;
    }

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
  }
}
