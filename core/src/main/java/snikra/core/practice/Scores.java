package snikra.core.practice;

import java.util.Map;

/**
 * Scores by which nobody gains by saying anything but what they believe. The smaller the better.
 *
 * <p>Source of these rules: T. Gneiting and A. E. Raftery, Strictly Proper Scoring Rules,
 * Prediction, and Estimation, Journal of the American Statistical Association 102 (2007).
 */
public final class Scores {
  /** What is left outside of the years one names. */
  public static final double OUTSIDE = 0.1;

  /** Nobody loses more than about ten bits at once. */
  private static final double LEAST = 0.001;

  private static final double LOG_2 = Math.log(2);

  private Scores() {}

  /** The logarithmic score of a chance that was given to what is so, in bits. */
  public static double bits(double chance) {
    return -Math.log(Math.max(LEAST, Math.min(1, chance))) / LOG_2;
  }

  /**
   * The logarithmic score of one choice with how sure one is; the rest of the chance lies evenly
   * over all others there are to choose from.
   *
   * @param truth how likely each is so
   * @param others how many others there are
   */
  public static double bits(String choice, double sure, int others, Map<String, Double> truth) {
    double hit = truth.getOrDefault(choice, 0.0);
    double all = truth.values().stream().mapToDouble(Double::doubleValue).sum();
    double rest = (1 - sure) / Math.max(1, others);
    return hit * bits(sure) + Math.max(0, all - hit) * bits(rest);
  }

  /** The logarithmic score of chances for each, in bits. */
  public static double bits(Map<String, Double> said, Map<String, Double> truth) {
    return truth.entrySet().stream()
        .mapToDouble(t -> t.getValue() * bits(said.getOrDefault(t.getKey(), 0.0)))
        .sum();
  }

  /**
   * The interval score, in years: how many the span holds, and for each year the knife lies outside
   * of it two over the share that may lie outside.
   */
  public static double years(int from, int to, int year) {
    int missed = Math.max(0, Math.max(from - year, year - to));
    return to - from + 1 + 2 / OUTSIDE * missed;
  }

  /** The same where the year is known with a chance each. */
  static double years(int from, int to, Truth truth) {
    double sum = 0;
    double all = 0;
    for (int y = 0; y < truth.years().length; y++) {
      sum += truth.years()[y] * years(from, to, truth.firstYear() + y);
      all += truth.years()[y];
    }
    return sum / all;
  }

  /**
   * The ranked probability score of chances over levels in their order: of one level named surely
   * it is how many levels it is off.
   */
  public static double ranked(double[] said, int was) {
    double upTo = 0;
    double score = 0;
    for (int level = 0; level < said.length - 1; level++) {
      upTo += said[level];
      double so = upTo - (was <= level ? 1 : 0);
      score += so * so;
    }
    return score;
  }

  /** One level with how sure one is; the rest lies on the levels beside it. */
  static double[] around(int at, int levels, double sure) {
    double[] said = new double[levels];
    said[at] = sure;
    boolean isFirst = at == 0;
    boolean isLast = at == levels - 1;
    double rest = (1 - sure) / (isFirst || isLast ? 1 : 2);
    if (!isFirst) {
      said[at - 1] = rest;
    }
    if (!isLast) {
      said[at + 1] = rest;
    }
    return said;
  }
}
