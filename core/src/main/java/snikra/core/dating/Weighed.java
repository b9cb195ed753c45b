package snikra.core.dating;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
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
  private final int olderBy;
  private final Map<String, @Nullable Row[]> together = new HashMap<>();

  /**
   * So little of all weight tells nothing: years before and after which no more lies are left out.
   */
  static final double NEXT_TO_NOTHING = 1e-6;

  /**
   * Weight up to each year, for any run of years to be one difference.
   *
   * @param from the first year of any account
   * @param to the last
   */
  record UpTo(double[] weight, int from, int to) {
    private static @Nullable UpTo of(double @Nullable [] byYear) {
      if (byYear == null) {
        return null;
      }
      double[] upTo = new double[byYear.length];
      double sum = 0;
      int from = 0;
      for (int y = 0; y < upTo.length; y++) {
        sum += byYear[y];
        upTo[y] = sum;
        from = sum < NEXT_TO_NOTHING ? y + 1 : from;
      }
      int to = upTo.length - 1;
      while (to > from && sum - upTo[to - 1] < NEXT_TO_NOTHING) {
        to--;
      }
      return from == upTo.length ? null : new UpTo(upTo, from, to);
    }

    private static @Nullable UpTo together(List<Row> rows, Function<Row, @Nullable UpTo> which) {
      UpTo first = null;
      UpTo sum = null;
      for (Row row : rows) {
        UpTo more = which.apply(row);
        if (more != null && first == null) {
          first = more;
        } else if (more != null) {
          UpTo before = sum == null ? first : sum;
          double[] weight = sum == null ? before.weight.clone() : before.weight;
          add(more.weight, weight);
          sum = new UpTo(weight, Math.min(before.from, more.from), Math.max(before.to, more.to));
        }
      }
      return sum == null ? first : sum;
    }
  }

  /**
   * What one or several regions weigh; null where there is none of it.
   *
   * @param asMade made in the style of the day
   * @param oldStyle made in an older style
   * @param ofOtherYear by the year of a part that was put on later or is older stock
   * @param replaced by year of the knife, the part put on later
   * @param older by year of the knife, the part older stock
   */
  record Row(
      @Nullable UpTo asMade,
      @Nullable UpTo oldStyle,
      @Nullable UpTo ofOtherYear,
      double @Nullable [] replaced,
      double @Nullable [] older) {

    private static Row together(List<Row> rows) {
      return rows.size() == 1
          ? rows.get(0)
          : new Row(
              UpTo.together(rows, Row::asMade),
              UpTo.together(rows, Row::oldStyle),
              UpTo.together(rows, Row::ofOtherYear),
              sum(rows, Row::replaced),
              sum(rows, Row::older));
    }

    private static double @Nullable [] sum(
        List<Row> rows, Function<Row, double @Nullable []> which) {
      double[] sum = null;
      for (Row row : rows) {
        double[] more = which.apply(row);
        if (more != null && sum == null) {
          sum = more.clone();
        } else if (more != null) {
          add(more, sum);
        }
      }
      return sum;
    }
  }

  /**
   * This weight.
   *
   * @param byRegion by region, way and year, null where there is none
   * @param olderBy years by which older stock may be older
   */
  Weighed(double[][][] byRegion, int olderBy) {
    this.olderBy = olderBy;
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
    List<Row> alike = new ArrayList<>();
    for (int first = 0; first < like.length; first++) {
      alike.clear();
      for (int r = first; r < like.length; r++) {
        Row row = like[r] == first ? row(r) : null;
        if (row != null) {
          alike.add(row);
        }
      }
      sums[first] = alike.isEmpty() ? null : Row.together(alike);
    }
    return sums;
  }

  private @Nullable Row row(int region) {
    double[][] ways = byRegion[region];
    if (rows[region] == null && weighsAnything(ways)) {
      double[] replaced = ways[Outlook.REPLACED];
      double[] older = ways[Outlook.OLDER];
      rows[region] =
          new Row(
              UpTo.of(ways[Outlook.AS_MADE]),
              UpTo.of(ways[Outlook.OLD_STYLE]),
              UpTo.of(sum(byLaterYear(replaced), byEarlierYear(older, olderBy))),
              replaced,
              older);
    }
    return rows[region];
  }

  private static boolean weighsAnything(double[][] ways) {
    double sum = 0;
    for (double[] way : ways) {
      sum += way == null ? 0 : Distribution.sum(way);
    }
    return sum >= NEXT_TO_NOTHING;
  }

  private static double @Nullable [] sum(double @Nullable [] a, double @Nullable [] b) {
    if (a == null || b == null) {
      return a == null ? b : a;
    }
    add(b, a);
    return a;
  }

  private static void add(double[] more, double[] sum) {
    for (int y = 0; y < sum.length; y++) {
      sum[y] += more[y];
    }
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
  private static double @Nullable [] byEarlierYear(double @Nullable [] row, int olderBy) {
    if (row == null) {
      return null;
    }
    double[] byYear = new double[row.length];
    byYear[0] = row[0];
    for (int y = 1; y < row.length; y++) {
      int from = Math.max(0, y - olderBy);
      for (int earlier = from; row[y] > 0 && earlier < y; earlier++) {
        byYear[earlier] += row[y] / (y - from);
      }
    }
    return byYear;
  }
}
