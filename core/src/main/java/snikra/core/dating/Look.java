package snikra.core.dating;

import java.util.Arrays;

/**
 * One thing that speaks, ready to be multiplied.
 *
 * @param part index of the part it is seen on
 * @param markBorne whether a listed mark already accounts for it
 * @param likelihood P(seen) by region, style and year, misreading included: what may have been
 *     misread cannot settle the matter
 * @param compatibility P(seen) when nothing was misread, in a knife as made, by region and year
 */
record Look(
    String id, int part, boolean markBorne, double[][][] likelihood, double[][] compatibility) {

  /** What is left of a year that a statement rules out: as much as of one a law rules out. */
  private static final double RULED_OUT = 1e-4;

  /** Share of the prior that lies within a statement, taken as even odds. */
  private static final double STATEMENT_MEAN = 0.5;

  /** An answer of the clue book. */
  static Look at(String id, int part, boolean markBorne, double reliability, ClueTables.Row row) {
    double[][][] p = row.p();
    double[][] compatibility = new double[p.length][];
    for (int r = 0; r < p.length; r++) {
      compatibility[r] = p[r][ClueTables.AS_MADE];
    }
    return new Look(id, part, markBorne, misread(p, reliability, row.mean()), compatibility);
  }

  /**
   * A statement that the knife existed by a year.
   *
   * @param byYear index of the last year it allows
   */
  static Look told(String id, int part, double reliability, int byYear, int regions, int years) {
    double[] by = new double[years];
    Arrays.fill(by, RULED_OUT);
    Arrays.fill(by, 0, Math.max(0, Math.min(years, byYear + 1)), 1);
    double[][][] p = new double[regions][2][];
    double[][] compatibility = new double[regions][];
    for (int r = 0; r < regions; r++) {
      Arrays.fill(p[r], by);
      compatibility[r] = by;
    }
    return new Look(id, part, false, misread(p, reliability, STATEMENT_MEAN), compatibility);
  }

  private static double[][][] misread(double[][][] p, double reliability, double mean) {
    double[][][] out = new double[p.length][2][];
    for (int r = 0; r < p.length; r++) {
      for (int style = 0; style < 2; style++) {
        double[] row = p[r][style].clone();
        for (int y = 0; y < row.length; y++) {
          row[y] = reliability * row[y] + (1 - reliability) * mean;
        }
        out[r][style] = row;
      }
    }
    return out;
  }
}
