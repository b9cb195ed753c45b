package snikra.core.dating;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Sums over a row of years. */
final class Distribution {
  private static final int LONGEST_BRIDGE = 5;
  private static final double NEARLY = 0.6;

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

  /**
   * How far two rows of compatibility go together, each scaled to a top of 1: the share of the
   * narrower one that lies under the other. A precise date within a long window is wholly in it.
   */
  static double inCommon(double[] a, double[] b) {
    double topOfA = a[mode(a)];
    double topOfB = b[mode(b)];
    double both = 0;
    double ofA = 0;
    double ofB = 0;
    for (int y = 0; y < a.length; y++) {
      double p = a[y] / topOfA;
      double q = b[y] / topOfB;
      both += Math.min(p, q);
      ofA += p;
      ofB += q;
    }
    return both / Math.min(ofA, ofB);
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

  /** The fewest years that hold {@code share}, as pieces; ties go to the earlier year. */
  static Span highestDensity(double[] p, double share, YearAxis axis) {
    boolean[] in = densest(p, share - 1e-12);
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
    return new Span(share, pieces);
  }

  // Every year above the density at which the share is reached, and of those at it the earliest.
  private static boolean[] densest(double[] p, double share) {
    // Years this thin cannot fill what is left over, all of them together.
    double thin = (1 - share) / p.length;
    double[] falling = Arrays.stream(p).filter(v -> v >= thin).sorted().toArray();
    double sum = 0;
    int rank = falling.length;
    while (rank > 0 && sum < share) {
      sum += falling[--rank];
    }
    boolean[] in = new boolean[p.length];
    if (rank == falling.length) {
      return in;
    }
    double least = falling[rank];
    int atLeast = 0;
    for (int i = rank; i < falling.length && falling[i] == least; i++) {
      atLeast++;
    }
    for (int y = 0; y < p.length; y++) {
      in[y] = p[y] > least || (p[y] == least && atLeast-- > 0);
    }
    return in;
  }

  /**
   * The span as people give it: the same, with short gaps closed where the years in them are nearly
   * as likely as those beside them.
   */
  static Span span(double[] p, double share, YearAxis axis) {
    List<Span.Piece> pieces = new ArrayList<>();
    double least = 1;
    Span exact = highestDensity(p, share, axis);
    for (Span.Piece piece : exact.pieces()) {
      for (int y = piece.from(); y <= piece.to(); y++) {
        least = Math.min(least, p[y - axis.first()]);
      }
    }
    for (Span.Piece piece : exact.pieces()) {
      int last = pieces.size() - 1;
      if (last >= 0 && isBridged(p, pieces.get(last).to(), piece.from(), least, axis)) {
        pieces.set(last, new Span.Piece(pieces.get(last).from(), piece.to()));
      } else {
        pieces.add(piece);
      }
    }
    return new Span(share, pieces);
  }

  private static boolean isBridged(double[] p, int from, int to, double least, YearAxis axis) {
    if (to - from > LONGEST_BRIDGE) {
      return false;
    }
    for (int y = from + 1; y < to; y++) {
      if (p[y - axis.first()] < NEARLY * least) {
        return false;
      }
    }
    return true;
  }
}
