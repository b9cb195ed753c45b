package snikra.core.dating;

import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Weight by region, way and year, for holding many outlooks against: what regions weigh together is
 * summed once for all outlooks that part the regions alike.
 *
 * <p>A part that is not of the knife's year shows what its own year shows, so its weight stands by
 * the years it may be of; how uncertain it leaves the answer goes by the year of the knife.
 */
final class Weighed {
  private final double[][][] byRegion;
  private final @Nullable Row[] rows;
  private final Map<String, @Nullable Row[]> together = new HashMap<>();

  /**
   * What one or several regions weigh; null where there is none of it.
   *
   * @param asMade up to each year, and of it, for any run of years to be one difference
   * @param oldStyle likewise, made in an older style
   * @param ofOtherYear likewise, by the year of a part that was put on later or is older stock
   * @param replaced by year of the knife, the part put on later
   * @param older by year of the knife, the part older stock
   */
  record Row(
      double @Nullable [] asMade,
      double @Nullable [] oldStyle,
      double @Nullable [] ofOtherYear,
      double @Nullable [] replaced,
      double @Nullable [] older) {

    private Row and(Row other) {
      return new Row(
          sum(asMade, other.asMade),
          sum(oldStyle, other.oldStyle),
          sum(ofOtherYear, other.ofOtherYear),
          sum(replaced, other.replaced),
          sum(older, other.older));
    }
  }

  /**
   * This weight.
   *
   * @param byRegion by region, way and year, null where there is none
   */
  Weighed(double[][][] byRegion) {
    this.byRegion = byRegion;
    this.rows = new Row[byRegion.length];
  }

  /**
   * What regions that are alike weigh together, by the first of them; null where none of them
   * weighs anything.
   *
   * @param key the same for the same regions
   * @param like for each region the first that is like it
   */
  @Nullable Row[] together(String key, int[] like) {
    return together.computeIfAbsent(key, k -> sums(like));
  }

  private @Nullable Row[] sums(int[] like) {
    @Nullable Row[] sums = new Row[like.length];
    for (int r = 0; r < like.length; r++) {
      Row row = row(r);
      Row before = sums[like[r]];
      sums[like[r]] =
          before == null || row == null ? (before == null ? row : before) : before.and(row);
    }
    return sums;
  }

  private @Nullable Row row(int region) {
    double[][] ways = byRegion[region];
    boolean isNone = true;
    for (double[] way : ways) {
      isNone &= way == null;
    }
    if (isNone) {
      return null;
    }
    if (rows[region] == null) {
      double[] replaced = ways[Outlook.REPLACED];
      double[] older = ways[Outlook.OLDER];
      rows[region] =
          new Row(
              upTo(ways[Outlook.AS_MADE]),
              upTo(ways[Outlook.OLD_STYLE]),
              upTo(sum(byLaterYear(replaced), byEarlierYear(older))),
              replaced,
              older);
    }
    return rows[region];
  }

  private static double @Nullable [] sum(double @Nullable [] a, double @Nullable [] b) {
    if (a == null || b == null) {
      return a == null ? b : a;
    }
    double[] sum = new double[a.length];
    for (int y = 0; y < sum.length; y++) {
      sum[y] = a[y] + b[y];
    }
    return sum;
  }

  private static double @Nullable [] upTo(double @Nullable [] row) {
    if (row == null) {
      return null;
    }
    double[] upTo = new double[row.length];
    double sum = 0;
    for (int y = 0; y < row.length; y++) {
      sum += row[y];
      upTo[y] = sum;
    }
    return upTo;
  }

  // What is put on later is of any year from the knife's own on alike.
  private static double @Nullable [] byLaterYear(double @Nullable [] row) {
    if (row == null) {
      return null;
    }
    double[] byYear = new double[row.length];
    double open = 0;
    for (int y = 0; y < row.length; y++) {
      open += row[y] / (row.length - y);
      byYear[y] = open;
    }
    return byYear;
  }

  // Older stock is of any of some years before the knife's own alike.
  private static double @Nullable [] byEarlierYear(double @Nullable [] row) {
    if (row == null) {
      return null;
    }
    double[] byYear = new double[row.length];
    byYear[0] = row[0];
    for (int y = 1; y < row.length; y++) {
      int from = Math.max(0, y - Voice.OLDER_BY);
      for (int earlier = from; row[y] > 0 && earlier < y; earlier++) {
        byYear[earlier] += row[y] / (y - from);
      }
    }
    return byYear;
  }
}
