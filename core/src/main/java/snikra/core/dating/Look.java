package snikra.core.dating;

import java.util.Arrays;
import java.util.IdentityHashMap;
import org.jspecify.annotations.Nullable;

/**
 * One thing that speaks, ready to be multiplied.
 *
 * @param part index of the part it is seen on
 * @param markBorne whether a listed mark already accounts for it
 * @param likelihood P(seen) by region, style and year, misreading included: what may have been
 *     misread cannot settle the matter
 * @param compatibility P(seen) when nothing was misread, in a knife as made, by region and year
 * @param least no likelihood is below this
 * @param misjudged by region and year, in a knife as made in the style of its day, the odds that it
 *     was misjudged and nothing else explains it; null where that never is so
 */
record Look(
    String id,
    int part,
    boolean markBorne,
    double[][][] likelihood,
    double[][] compatibility,
    double least,
    double @Nullable [][] misjudged) {

  private static final double HARDLY_EVER = 1e-9;

  /**
   * An answer of the clue book.
   *
   * @param p probability by region, style and year
   * @param mean of {@code p} over the prior, for what was misread
   */
  static Look at(
      String id, int part, boolean markBorne, double reliability, double[][][] p, double mean) {
    double[][] compatibility = new double[p.length][];
    for (int r = 0; r < p.length; r++) {
      compatibility[r] = p[r][ClueTables.AS_MADE];
    }
    return new Look(
        id,
        part,
        markBorne,
        misread(p, reliability, mean),
        compatibility,
        (1 - reliability) * mean,
        misjudged(p, reliability, mean));
  }

  /**
   * A statement that the knife is of certain years or of certain countries.
   *
   * @param allowed by region and year, 1 where it allows both
   * @param shares of all knives, by region
   */
  static Look told(String id, int part, double reliability, double[][] allowed, double[] shares) {
    // By mistake it would be told of any years alike: the more it allows, the sooner.
    double mean = 0;
    for (int r = 0; r < shares.length; r++) {
      mean += shares[r] * Distribution.sum(allowed[r]) / allowed[r].length;
    }
    double[][][] p = new double[shares.length][2][];
    double[][] compatibility = new double[shares.length][];
    for (int r = 0; r < shares.length; r++) {
      Arrays.fill(p[r], allowed[r]);
      compatibility[r] = allowed[r];
    }
    return new Look(
        id,
        part,
        false,
        misread(p, reliability, mean),
        compatibility,
        (1 - reliability) * mean,
        misjudged(p, reliability, mean));
  }

  /**
   * What is seen is told rightly with P, and wrongly with so much more as makes the likelihood: the
   * part of the mixture that only a misjudged look explains.
   */
  private static double @Nullable [][] misjudged(double[][][] p, double reliability, double mean) {
    double[][] out = new double[p.length][];
    IdentityHashMap<double[], double[]> done = new IdentityHashMap<>();
    double most = 0;
    for (int r = 0; r < p.length; r++) {
      out[r] =
          done.computeIfAbsent(
              p[r][ClueTables.AS_MADE],
              row -> {
                double[] odds = new double[row.length];
                for (int y = 0; y < odds.length; y++) {
                  double more = (1 - reliability) * (mean - row[y]);
                  odds[y] = more > 0 && row[y] > 0 ? more / row[y] : 0;
                }
                return odds;
              });
      for (double odds : out[r]) {
        most = Math.max(most, odds);
      }
    }
    return most > HARDLY_EVER ? out : null;
  }

  /** Whether it is as likely in an older style as in the style of the day. */
  boolean isOneStyle(int region) {
    double[][] styles = likelihood[region];
    return styles[ClueTables.AS_MADE] == styles[ClueTables.OLD_STYLE];
  }

  private static double[][][] misread(double[][][] p, double reliability, double mean) {
    double[][][] out = new double[p.length][2][];
    IdentityHashMap<double[], double[]> done = new IdentityHashMap<>();
    for (int r = 0; r < p.length; r++) {
      for (int style = 0; style < 2; style++) {
        out[r][style] = done.computeIfAbsent(p[r][style], row -> misread(row, reliability, mean));
      }
    }
    return out;
  }

  private static double[] misread(double[] row, double reliability, double mean) {
    double[] out = new double[row.length];
    for (int y = 0; y < out.length; y++) {
      out[y] = reliability * row[y] + (1 - reliability) * mean;
    }
    return out;
  }
}
