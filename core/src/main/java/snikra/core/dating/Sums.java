package snikra.core.dating;

import java.util.Arrays;

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
  final int[][] chunks;

  /** By nearness to a change, style and year. */
  final double[][][] one;

  final double[][][] two;

  private final int years;

  /** The sums over no parts. */
  Sums(int years) {
    this.years = years;
    product = new double[2][years];
    chunks = new int[2][years];
    one = new double[2][2][years];
    two = new double[2][2][years];
    for (double[] row : product) {
      Arrays.fill(row, 1);
    }
  }

  /** The sums over these parts and one more. */
  Sums and(Voice.PartCurves part) {
    Sums out = new Sums(years);
    for (int style = 0; style < 2; style++) {
      multiply(product[style], part.original()[style], out.product[style]);
      System.arraycopy(chunks[style], 0, out.chunks[style], 0, years);
      out.settle(style);
      for (int near = 0; near < 2; near++) {
        double[] a = part.departs()[near][style];
        double[] sum = out.one[near][style];
        double[] pairs = out.two[near][style];
        add(one[near][style], a, sum);
        addProduct(two[near][style], one[near][style], a, pairs);
      }
    }
    return out;
  }

  /** The sums over these parts and others. */
  Sums and(Sums others) {
    Sums out = new Sums(years);
    for (int style = 0; style < 2; style++) {
      multiply(product[style], others.product[style], out.product[style]);
      for (int y = 0; y < years; y++) {
        out.chunks[style][y] = chunks[style][y] + others.chunks[style][y];
      }
      out.settle(style);
      for (int near = 0; near < 2; near++) {
        double[] a = one[near][style];
        double[] b = others.one[near][style];
        double[] pairs = out.two[near][style];
        add(a, b, out.one[near][style]);
        add(two[near][style], others.two[near][style], pairs);
        addProduct(pairs, a, b, pairs);
      }
    }
    return out;
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

  // Factors are at least a chunk each, so one chunk at a time is enough.
  private void settle(int style) {
    double[] row = product[style];
    for (int y = 0; y < row.length; y++) {
      if (row[y] < CHUNK) {
        row[y] *= PER_CHUNK;
        chunks[style][y]++;
      }
    }
  }

  /**
   * The likelihood of all parts being of the knife's year, by year, on a scale of so many chunks.
   */
  double[] asMade(int style, int scale) {
    double[] row = product[style].clone();
    int[] chunk = chunks[style];
    for (int y = 0; y < row.length; y++) {
      if (chunk[y] != scale) {
        row[y] *= Math.scalb(1.0, -600 * (chunk[y] - scale));
      }
    }
    return row;
  }
}
