package snikra.core.dating;

import org.jspecify.annotations.Nullable;

/**
 * One thing that speaks, ready to be multiplied.
 *
 * @param part index of the part it is seen on
 * @param markBorne whether a listed mark already accounts for it
 * @param row probability by region, style and year; null for a statement
 * @param byYear index of the last year a statement allows
 */
record Look(
    String id,
    int part,
    boolean markBorne,
    double reliability,
    ClueTables.@Nullable Row row,
    int byYear) {

  /** What is left of a year that a statement rules out: as much as of one a law rules out. */
  private static final double RULED_OUT = 1e-4;

  /** Share of the prior that lies within a statement, taken as even odds. */
  private static final double STATEMENT_MEAN = 0.5;

  /** P(seen), misreading included: what may have been misread cannot settle the matter. */
  double likelihood(int region, int style, int y) {
    double mean = row == null ? STATEMENT_MEAN : row.mean();
    return reliability * compatibility(region, style, y) + (1 - reliability) * mean;
  }

  /** P(seen) when nothing was misread. */
  double compatibility(int region, int style, int y) {
    if (row == null) {
      return y <= byYear ? 1 : RULED_OUT;
    }
    return row.p()[region][style][y];
  }
}
