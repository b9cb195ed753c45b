package snikra.core.dating;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/** Sums over a row of years. */
final class Distribution {
  /** Years that differ by less, in parts of the likeliest, are as likely as one another. */
  private static final double LEVEL = 1e-9;

  /** A gap between two pieces is real with so many years under so much of their lower edge. */
  private static final int REAL_YEARS = 3;

  private static final double REAL_DEPTH = 0.5;
  private static final int HALVINGS = 10;

  private Distribution() {}

  static double sum(double[] row) {
    double sum = 0;
    for (double v : row) {
      sum += v;
    }
    return sum;
  }

  /** The row divided by its sum; a row of zeros becomes even, for nothing is then known. */
  static double[] normalised(double[] row) {
    double sum = sum(row);
    double[] out = new double[row.length];
    for (int y = 0; y < row.length; y++) {
      out[y] = sum > 0 ? row[y] / sum : 1.0 / row.length;
    }
    return out;
  }

  /** Two rows multiplied year by year. */
  static double[] product(double[] a, double[] b) {
    double[] out = new double[a.length];
    for (int y = 0; y < a.length; y++) {
      out[y] = a[y] * b[y];
    }
    return out;
  }

  /** Overlap coefficient of two distributions: 1 the same, 0 apart. */
  static double overlap(double[] a, double[] b) {
    double sum = 0;
    for (int y = 0; y < a.length; y++) {
      sum += a[y] < b[y] ? a[y] : b[y];
    }
    return sum;
  }

  /** Bits lost in going from {@code p} to {@code q}. */
  static double bitsLost(double[] p, double[] q) {
    double sum = 0;
    for (int y = 0; y < p.length; y++) {
      if (p[y] > 0 && q[y] > 0) {
        sum += p[y] * Math.log(p[y] / q[y]);
      }
    }
    return Math.max(0, sum / Math.log(2));
  }

  /** First index at which the sum reaches {@code share}. */
  static int quantile(double[] p, double share) {
    double sum = 0;
    for (int y = 0; y < p.length; y++) {
      sum += p[y];
      if (sum >= share) {
        return y;
      }
    }
    return p.length - 1;
  }

  static int mode(double[] p) {
    int best = 0;
    for (int y = 1; y < p.length; y++) {
      best = p[y] > p[best] ? y : best;
    }
    return best;
  }

  /**
   * The fewest years that hold {@code share}, as pieces. Of years as likely as one another those
   * stand in that keep it short: next to what is in already, and from the middle outwards.
   */
  static Span highestDensity(double[] p, double share, YearAxis axis) {
    return new Span(share, highestDensity(p, rising(p, share), share, axis));
  }

  private static List<Span.Piece> highestDensity(
      double[] p, double[] rising, double share, YearAxis axis) {
    boolean[] in = densest(p, rising, share - 1e-12);
    List<Span.Piece> pieces = new ArrayList<>();
    for (int y = 0; y < p.length; y++) {
      if (in[y]) {
        int from = y;
        while (y + 1 < p.length && in[y + 1]) {
          y++;
        }
        pieces.add(new Span.Piece(axis.year(from), axis.year(y)));
      }
    }
    return pieces;
  }

  // All in order that can fill this share or less of it.
  private static double[] rising(double[] p, double share) {
    // Years this thin cannot fill what is left over, all of them together.
    double thin = (1 - share) / p.length;
    double[] rising = new double[p.length];
    int likely = 0;
    for (double v : p) {
      if (v >= thin) {
        rising[likely++] = v;
      }
    }
    Arrays.sort(rising, 0, likely);
    return Arrays.copyOf(rising, likely);
  }

  // Every year above the density at which the share is reached, and of those level with it enough.
  private static boolean[] densest(double[] p, double[] rising, double share) {
    int likely = rising.length;
    double sum = 0;
    int rank = likely;
    while (rank > 0 && sum < share) {
      sum += rising[--rank];
    }
    boolean[] in = new boolean[p.length];
    if (rank == likely) {
      return in;
    }
    double level = LEVEL * rising[likely - 1];
    double above = rising[rank] + level;
    int wanted = likely - rank;
    List<Integer> tied = new ArrayList<>();
    for (int y = 0; y < p.length; y++) {
      in[y] = p[y] > above;
      wanted -= in[y] ? 1 : 0;
      if (!in[y] && p[y] >= rising[rank] - level) {
        tied.add(y);
      }
    }
    fill(in, tied, wanted);
    return in;
  }

  private static void fill(boolean[] in, List<Integer> tied, int wanted) {
    if (wanted < tied.size()) {
      double middle = (tied.get(0) + tied.get(tied.size() - 1)) / 2.0;
      int[] beside = new int[in.length];
      tied.forEach(y -> beside[y] = distance(in, y));
      tied.sort(
          Comparator.<Integer>comparingInt(y -> beside[y])
              .thenComparingDouble(y -> Math.abs(y - middle)));
    }
    tied.stream().limit(wanted).forEach(y -> in[y] = true);
  }

  // Years to the nearest that is in; the same for all where none is.
  private static int distance(boolean[] in, int year) {
    for (int d = 1; d < in.length; d++) {
      if ((year >= d && in[year - d]) || (year + d < in.length && in[year + d])) {
        return d;
      }
    }
    return in.length;
  }

  /**
   * The span as people give it: in pieces only where the gap between them is real. Years closed in
   * count, so that it holds no more than its share needs.
   */
  static Span span(double[] p, double share, YearAxis axis) {
    double[] rising = rising(p, share);
    List<Span.Piece> exact = highestDensity(p, rising, share, axis);
    List<Span.Piece> told = closed(p, exact, axis);
    if (told.size() == exact.size()) {
      return new Span(share, told);
    }
    double enough = share;
    double least = 0;
    for (int i = 0; i < HALVINGS; i++) {
      double less = (least + enough) / 2;
      List<Span.Piece> fewer = closed(p, highestDensity(p, rising, less, axis), axis);
      if (held(p, fewer, axis) >= share - 1e-12) {
        told = fewer;
        enough = less;
      } else {
        least = less;
      }
    }
    return new Span(share, told);
  }

  // The same with gaps closed that are none.
  private static List<Span.Piece> closed(double[] p, List<Span.Piece> exact, YearAxis axis) {
    List<Span.Piece> pieces = new ArrayList<>();
    for (Span.Piece piece : exact) {
      int last = pieces.size() - 1;
      if (last >= 0 && !isReal(p, pieces.get(last).to(), piece.from(), axis)) {
        pieces.set(last, new Span.Piece(pieces.get(last).from(), piece.to()));
      } else {
        pieces.add(piece);
      }
    }
    return pieces;
  }

  private static double held(double[] p, List<Span.Piece> pieces, YearAxis axis) {
    double held = 0;
    for (Span.Piece piece : pieces) {
      for (int y = piece.from(); y <= piece.to(); y++) {
        held += p[y - axis.first()];
      }
    }
    return held;
  }

  private static boolean isReal(double[] p, int from, int to, YearAxis axis) {
    double edge = Math.min(p[from - axis.first()], p[to - axis.first()]);
    int low = 0;
    for (int y = from + 1; y < to; y++) {
      low += p[y - axis.first()] < REAL_DEPTH * edge ? 1 : 0;
    }
    return low >= REAL_YEARS;
  }
}
