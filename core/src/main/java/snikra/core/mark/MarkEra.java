package snikra.core.mark;

import java.util.List;

/**
 * When a mark was in use, out of what else the knives tell that bear it: exact over every first and
 * every last year there may be. A knife is of any year of the use alike; how long a mark is used
 * falls off evenly around its mean.
 *
 * @param within the shortest stretch that holds the whole use nine times in ten
 * @param first year the use began: at 5, 50 and 95 in a hundred
 * @param last year it ended: at 5, 50 and 95 in a hundred
 */
public record MarkEra(Years within, Quantiles first, Quantiles last) {
  private static final double HELD = 0.9;
  private static final double LOW = 0.05;
  private static final double HALF = 0.5;
  private static final double HIGH = 0.95;

  /** Years, closed. */
  public record Years(int from, int to) {}

  /** Years below which lie so many chances in a hundred. */
  public record Quantiles(int low, int middle, int high) {}

  /**
   * What a knife itself says of each year, apart from how many knives are of it at all.
   *
   * @param curve P(year) of the knife
   * @param prior P(year) of one of which nothing is known
   */
  public static double[] over(double[] curve, double[] prior) {
    double[] likely = new double[curve.length];
    for (int y = 0; y < curve.length; y++) {
      likely[y] = prior[y] == 0 ? 0 : curve[y] / prior[y];
    }
    return likely;
  }

  /**
   * Learns it.
   *
   * @param firstYear of the first entry of each
   * @param likely of each knife, how likely what else it shows is in each year, to any scale
   * @param mean how many years a mark is in use in the mean
   */
  public static MarkEra of(int firstYear, List<double[]> likely, double mean) {
    int years = likely.get(0).length;
    double[][] upTo = likely.stream().map(MarkEra::sums).toArray(double[][]::new);
    double[][] p = new double[years][years];
    double top = Double.NEGATIVE_INFINITY;
    for (int a = 0; a < years; a++) {
      for (int b = a; b < years; b++) {
        double length = b - a + 1;
        double log = -(length - 1) / mean;
        for (double[] knife : upTo) {
          log += Math.log(Math.max(Double.MIN_NORMAL, (knife[b + 1] - knife[a]) / length));
        }
        p[a][b] = log;
        top = Math.max(top, log);
      }
    }
    double all = 0;
    for (int a = 0; a < years; a++) {
      for (int b = 0; b < years; b++) {
        p[a][b] = b < a ? 0 : Math.exp(p[a][b] - top);
        all += p[a][b];
      }
    }
    double[] first = new double[years];
    double[] last = new double[years];
    for (int a = 0; a < years; a++) {
      for (int b = a; b < years; b++) {
        p[a][b] /= all;
        first[a] += p[a][b];
        last[b] += p[a][b];
      }
    }
    return new MarkEra(
        within(p, firstYear), quantiles(first, firstYear), quantiles(last, firstYear));
  }

  // Before each year, the first with nothing: of one knife to a scale of its own.
  private static double[] sums(double[] likely) {
    double most = 0;
    for (double l : likely) {
      most = Math.max(most, l);
    }
    double[] upTo = new double[likely.length + 1];
    for (int i = 0; i < likely.length; i++) {
      upTo[i + 1] = upTo[i] + (most == 0 ? 1 : likely[i] / most);
    }
    return upTo;
  }

  // Of all uses those that begin at or after a year and end at or before another, year by year.
  private static Years within(double[][] p, int firstYear) {
    int years = p.length;
    double[][] held = new double[years + 1][years + 1];
    int from = 0;
    int to = years - 1;
    for (int a = years - 1; a >= 0; a--) {
      for (int b = 0; b < years; b++) {
        held[a][b + 1] = p[a][b] + held[a + 1][b + 1] + held[a][b] - held[a + 1][b];
        boolean isShorter = b - a < to - from;
        if (b >= a && held[a][b + 1] >= HELD && isShorter) {
          from = a;
          to = b;
        }
      }
    }
    return new Years(firstYear + from, firstYear + to);
  }

  private static Quantiles quantiles(double[] p, int firstYear) {
    return new Quantiles(
        firstYear + quantile(p, LOW), firstYear + quantile(p, HALF), firstYear + quantile(p, HIGH));
  }

  private static int quantile(double[] p, double share) {
    double sum = 0;
    for (int i = 0; i < p.length; i++) {
      sum += p[i];
      if (sum >= share) {
        return i;
      }
    }
    return p.length - 1;
  }

  /** By how many years either end may be out, as a mark on file says it: at least one. */
  public int give() {
    int widest = Math.max(first.high() - first.low(), last.high() - last.low());
    return Math.max(1, Math.round(widest / 2f));
  }
}
