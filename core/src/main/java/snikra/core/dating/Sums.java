package snikra.core.dating;

import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * What several parts say together, by style and year: the likelihood of all being of the knife's
 * year, and the first two symmetric sums of the weights of single parts not being so.
 *
 * <p>The likelihood is {@code product} times 2<sup>-600</sup> as often as {@code chunks} says, so
 * that however many unlikely things come together nothing is lost below the least double.
 */
final class Sums {
  private static final double CHUNK = 0x1p-600;
  private static final double PER_CHUNK = 0x1p600;

  /** Parts are never less likely than this, so that a product of two sums is still a double. */
  static final double LEAST = 1e-120;

  final double[][] product;

  /** By style and year; null where there is none in any year. */
  final int @Nullable [][] chunks;

  /** By nearness to a change, style and year. */
  final double[][][] one;

  /** By nearness and year, in the style of the day: the old style is one thing already. */
  final double[][] two;

  /** No likelihood of a style is below this; while that is above a chunk there is none to take. */
  private final double[] least = new double[2];

  private final int years;

  /** The sums over no parts. */
  Sums(int years) {
    this.years = years;
    product = new double[2][years];
    chunks = new int[2][];
    one = new double[2][2][years];
    two = new double[2][years];
    setNone();
  }

  /** Makes these the sums over no parts. */
  Sums setNone() {
    for (int style = 0; style < 2; style++) {
      Arrays.fill(product[style], 1);
      chunks[style] = null;
      least[style] = 1;
      for (double[][] ofOne : one) {
        Arrays.fill(ofOne[style], 0);
      }
    }
    for (double[] pairs : two) {
      Arrays.fill(pairs, 0);
    }
    return this;
  }

  /**
   * Makes these the sums over others, or over these themselves, and one part more.
   *
   * @param met whether anyone is far from (0) or near (1) a change; the others are left as they are
   */
  Sums set(Sums others, Voice.PartCurves part, boolean... met) {
    for (int style = 0; style < 2; style++) {
      multiply(others.product[style], part.original()[style], product[style]);
      chunks[style] = others.chunks[style];
      settle(style, others.least[style] * part.least()[style]);
      for (int near = 0; near < 2; near++) {
        if (met[near]) {
          double[] a = part.departs()[near][style];
          if (style == ClueTables.AS_MADE) {
            addProduct(others.two[near], others.one[near][style], a, two[near]);
          }
          add(others.one[near][style], a, one[near][style]);
        }
      }
    }
    return this;
  }

  /** Makes these the sums over some parts and some others. */
  Sums set(Sums some, Sums others, boolean... met) {
    for (int style = 0; style < 2; style++) {
      multiply(some.product[style], others.product[style], product[style]);
      chunks[style] = added(some.chunks[style], others.chunks[style]);
      settle(style, some.least[style] * others.least[style]);
      for (int near = 0; near < 2; near++) {
        if (met[near]) {
          double[] a = some.one[near][style];
          double[] b = others.one[near][style];
          if (style == ClueTables.AS_MADE) {
            add(some.two[near], others.two[near], two[near]);
            addProduct(two[near], a, b, two[near]);
          }
          add(a, b, one[near][style]);
        }
      }
    }
    return this;
  }

  private static void multiply(double[] a, double[] b, double[] into) {
    for (int y = 0; y < into.length; y++) {
      into[y] = a[y] * b[y];
    }
  }

  private static void add(double[] a, double[] b, double[] into) {
    for (int y = 0; y < into.length; y++) {
      into[y] = a[y] + b[y];
    }
  }

  private static void addProduct(double[] sum, double[] a, double[] b, double[] into) {
    for (int y = 0; y < into.length; y++) {
      into[y] = sum[y] + a[y] * b[y];
    }
  }

  private static int @Nullable [] added(int @Nullable [] a, int @Nullable [] b) {
    if (a == null || b == null) {
      return a == null ? b : a;
    }
    int[] out = a.clone();
    for (int y = 0; y < out.length; y++) {
      out[y] += b[y];
    }
    return out;
  }

  // Factors are at least a chunk each, so one chunk at a time is enough.
  private void settle(int style, double bound) {
    least[style] = bound;
    if (bound >= CHUNK) {
      return;
    }
    double[] row = product[style];
    int[] chunk = chunks[style] == null ? new int[years] : chunks[style].clone();
    for (int y = 0; y < row.length; y++) {
      if (row[y] < CHUNK) {
        row[y] *= PER_CHUNK;
        chunk[y]++;
      }
    }
    chunks[style] = chunk;
    least[style] = CHUNK;
  }

  /**
   * The likelihood of all parts being of the knife's year, by year, on a scale of so many chunks;
   * to be read only.
   */
  double[] asMade(int style, int scale) {
    int[] chunk = chunks[style];
    if (chunk == null && scale == 0) {
      return product[style];
    }
    double[] row = product[style].clone();
    for (int y = 0; y < row.length; y++) {
      int more = (chunk == null ? 0 : chunk[y]) - scale;
      if (more > 1) {
        row[y] = 0;
      } else if (more != 0) {
        row[y] *= more == 1 ? CHUNK : Math.scalb(1.0, -600 * more);
      }
    }
    return row;
  }
}
