package snikra.core.profile;

import java.util.ArrayList;
import java.util.List;

/**
 * A shape between an upper and a lower side over x from 0 to 1, smoothed by distance along each
 * side (a centripetal Catmull-Rom curve through every row).
 */
public final class Outline {
  private static final int STEPS_BETWEEN_ROWS = 8;

  private final double[] upperX;
  private final double[] upperY;
  private final double[] lowerX;
  private final double[] lowerY;

  private Outline(double[][] upper, double[][] lower) {
    upperX = upper[0];
    upperY = upper[1];
    lowerX = lower[0];
    lowerY = lower[1];
  }

  /**
   * From rows of x, upper and lower.
   *
   * @throws IllegalArgumentException when there are fewer than two rows or x does not rise
   */
  public static Outline of(List<List<Double>> rows) {
    if (rows.size() < 2) {
      throw new IllegalArgumentException("an outline must have two rows; found " + rows.size());
    }
    for (int i = 1; i < rows.size(); i++) {
      if (!(rows.get(i).get(0) > rows.get(i - 1).get(0))) {
        throw new IllegalArgumentException("x must rise; found " + rows.get(i).get(0));
      }
    }
    return new Outline(smooth(rows, 1), smooth(rows, 2));
  }

  private static double[][] smooth(List<List<Double>> rows, int column) {
    List<double[]> out = new ArrayList<>();
    int last = rows.size() - 1;
    for (int i = 0; i < last; i++) {
      double[] p1 = point(rows, i, column);
      double[] p2 = point(rows, i + 1, column);
      double[] p0 = i > 0 ? point(rows, i - 1, column) : mirrored(p1, p2);
      double[] p3 = i + 1 < last ? point(rows, i + 2, column) : mirrored(p2, p1);
      for (int s = 0; s < STEPS_BETWEEN_ROWS; s++) {
        out.add(between(p0, p1, p2, p3, (double) s / STEPS_BETWEEN_ROWS));
      }
    }
    out.add(point(rows, last, column));
    double[][] curve = new double[2][out.size()];
    for (int i = 0; i < out.size(); i++) {
      curve[0][i] = out.get(i)[0];
      curve[1][i] = out.get(i)[1];
    }
    return curve;
  }

  private static double[] point(List<List<Double>> rows, int row, int column) {
    return new double[] {rows.get(row).get(0), rows.get(row).get(column)};
  }

  private static double[] mirrored(double[] about, double[] other) {
    return new double[] {2 * about[0] - other[0], 2 * about[1] - other[1]};
  }

  // Barry and Goldman's form: three rounds of linear steps between knots.
  private static double[] between(double[] p0, double[] p1, double[] p2, double[] p3, double t) {
    double k1 = knot(0, p0, p1);
    double k2 = knot(k1, p1, p2);
    double k3 = knot(k2, p2, p3);
    double k = k1 + t * (k2 - k1);
    double[] a1 = blend(p0, p1, 0, k1, k);
    double[] a2 = blend(p1, p2, k1, k2, k);
    double[] a3 = blend(p2, p3, k2, k3, k);
    double[] b1 = blend(a1, a2, 0, k2, k);
    double[] b2 = blend(a2, a3, k1, k3, k);
    return blend(b1, b2, k1, k2, k);
  }

  private static double knot(double from, double[] a, double[] b) {
    return from + Math.sqrt(Math.hypot(b[0] - a[0], b[1] - a[1]));
  }

  private static double[] blend(double[] a, double[] b, double from, double to, double k) {
    double t = (k - from) / (to - from);
    return new double[] {a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])};
  }

  /** From the lower to the upper side at x; x outside 0 to 1 is taken as the nearer end. */
  public double heightAt(double x) {
    return at(upperX, upperY, x) - at(lowerX, lowerY, x);
  }

  private static double at(double[] xs, double[] ys, double x) {
    int i = 1;
    while (i < xs.length - 1 && xs[i] < x) {
      i++;
    }
    double t = Math.max(0, Math.min(1, (x - xs[i - 1]) / (xs[i] - xs[i - 1])));
    return ys[i - 1] + t * (ys[i] - ys[i - 1]);
  }

  /** The area between the sides, in squares of the unit of x. */
  public double area() {
    return under(upperX, upperY) - under(lowerX, lowerY);
  }

  private static double under(double[] xs, double[] ys) {
    double area = 0;
    for (int i = 1; i < xs.length; i++) {
      area += (xs[i] - xs[i - 1]) * (ys[i] + ys[i - 1]) / 2;
    }
    return area;
  }

  /** The greatest height at one x. */
  public double greatestHeight() {
    double greatest = 0;
    for (double x : upperX) {
      greatest = Math.max(greatest, heightAt(x));
    }
    return greatest;
  }
}
