package snikra.core.value;

import org.apache.commons.numbers.gamma.Erfc;

/**
 * How much of a bell lies below a place, for those who ask very often: out of a table, between its
 * rows by a cubic that has their slopes too. Nowhere is it off by more than a billionth.
 */
final class Bell {
  /** So many spreads away nothing that is told lies on the other side. */
  private static final double FAR = 8;

  private static final int ROWS_A_SPREAD = 64;
  private static final double ROOT_OF_TWO_PI = Math.sqrt(2 * Math.PI);
  private static final double[] BELOW = new double[(int) (2 * FAR * ROWS_A_SPREAD) + 2];
  private static final double[] SLOPE = new double[BELOW.length];

  static {
    for (int i = 0; i < BELOW.length; i++) {
      double at = (double) i / ROWS_A_SPREAD - FAR;
      BELOW[i] = Erfc.value(-at / Math.sqrt(2)) / 2;
      SLOPE[i] = Math.exp(-at * at / 2) / ROOT_OF_TWO_PI / ROWS_A_SPREAD;
    }
  }

  private Bell() {}

  /**
   * The share of a bell that lies below.
   *
   * @param away from its middle, in its spreads
   */
  static double below(double away) {
    if (!(away > -FAR)) {
      return 0;
    }
    if (away >= FAR) {
      return 1;
    }
    double at = (away + FAR) * ROWS_A_SPREAD;
    int row = (int) at;
    double t = at - row;
    double rest = 1 - t;
    return rest * rest * ((1 + 2 * t) * BELOW[row] + t * SLOPE[row])
        + t * t * ((1 + 2 * rest) * BELOW[row + 1] - rest * SLOPE[row + 1]);
  }
}
