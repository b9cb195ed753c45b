package snikra.core.dating;

import java.util.Arrays;
import java.util.IdentityHashMap;

/**
 * One thing that speaks, ready to be multiplied.
 *
 * @param part index of the part it is seen on
 * @param markBorne whether a listed mark already accounts for it
 * @param likelihood P(seen) by region, style and year, misreading included: what may have been
 *     misread cannot settle the matter
 * @param compatibility P(seen) when nothing was misread, in a knife as made, by region and year
 * @param least no likelihood is below this
 */
record Look(
    String id,
    int part,
    boolean markBorne,
    double[][][] likelihood,
    double[][] compatibility,
    double least) {

  /** What is left of a year that a statement rules out: as much as of one a law rules out. */
  static final double RULED_OUT = 1e-4;

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
        (1 - reliability) * mean);
  }

  /**
   * A statement that the knife is of certain years.
   *
   * @param allowed by year, 1 where it allows the year
   */
  static Look told(String id, int part, double reliability, double[] allowed, int regions) {
    // By mistake it would be told of any years alike: the more it allows, the sooner.
    double mean = Distribution.sum(allowed) / allowed.length;
    double[][][] p = new double[regions][2][];
    double[][] compatibility = new double[regions][];
    for (int r = 0; r < regions; r++) {
      Arrays.fill(p[r], allowed);
      compatibility[r] = allowed;
    }
    return new Look(
        id, part, false, misread(p, reliability, mean), compatibility, (1 - reliability) * mean);
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
