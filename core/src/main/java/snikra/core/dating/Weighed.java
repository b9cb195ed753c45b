package snikra.core.dating;

import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Weight by region, way and year, for holding many outlooks against: what regions weigh together is
 * summed once for all outlooks that part the regions alike, and years without weight are passed
 * over.
 */
final class Weighed {
  private final double[][][] byRegion;
  private final Map<String, @Nullable Row[][]> together = new HashMap<>();

  /** By year, with the first year that weighs anything and the one after the last. */
  record Row(double[] weight, int from, int to) {
    static Row of(double[] weight) {
      int from = 0;
      int to = weight.length;
      while (from < to && weight[from] == 0) {
        from++;
      }
      while (to > from && weight[to - 1] == 0) {
        to--;
      }
      return new Row(weight, from, to);
    }

    /** What this comes to, weighed by one of several rows of years that stand after one another. */
    // In four sums, so that no addition waits for the one before: a third of an examination was
    // here.
    double times(double[] rows, int nth) {
      int at = nth * weight.length;
      double first = 0;
      double second = 0;
      double third = 0;
      double fourth = 0;
      int y = from;
      for (; y < to - 3; y += 4) {
        first += weight[y] * rows[at + y];
        second += weight[y + 1] * rows[at + y + 1];
        third += weight[y + 2] * rows[at + y + 2];
        fourth += weight[y + 3] * rows[at + y + 3];
      }
      for (; y < to; y++) {
        first += weight[y] * rows[at + y];
      }
      return first + second + (third + fourth);
    }
  }

  /**
   * This weight.
   *
   * @param byRegion by region, way and year, null where there is none
   */
  Weighed(double[][][] byRegion) {
    this.byRegion = byRegion;
  }

  /**
   * What regions that are alike weigh together, by the first of them and by way; null where none of
   * them weighs anything.
   *
   * @param key the same for the same regions
   * @param like for each region the first that is like it
   */
  @Nullable Row[][] together(String key, int[] like) {
    return together.computeIfAbsent(key, k -> sums(like));
  }

  private @Nullable Row[][] sums(int[] like) {
    @Nullable Row[][] rows = new Row[like.length][Outlook.WAYS];
    for (int r = 0; r < like.length; r++) {
      for (int way = 0; way < Outlook.WAYS && like[r] == r; way++) {
        double[] sum = sum(like, r, way);
        rows[r][way] = sum == null ? null : Row.of(sum);
      }
    }
    return rows;
  }

  private double @Nullable [] sum(int[] like, int region, int way) {
    double[] sum = null;
    boolean isOurs = false;
    for (int r = region; r < like.length; r++) {
      double[] row = byRegion[r][way];
      if (like[r] == region && row != null) {
        if (sum == null) {
          sum = row;
        } else {
          sum = isOurs ? sum : sum.clone();
          isOurs = true;
          for (int y = 0; y < row.length; y++) {
            sum[y] += row[y];
          }
        }
      }
    }
    return sum;
  }
}
