package snikra.core.condition;

import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.condition.ConditionBook.Finding;
import snikra.core.condition.ConditionBook.Point;
import snikra.core.condition.School.Level;
import snikra.core.condition.SchoolVerdict.Stand;

/** The worst fault sets the level, and many that are as bad lower it by one. */
final class ByWorstFault extends Grading {
  /** Chances that differ by less are the same: the better level is told. */
  private static final double ROUNDING = 1e-9;

  ByWorstFault(ConditionBook book, School school, Looked looked) {
    super(book, school, looked);
  }

  private int rank(@Nullable String level) {
    for (int i = 0; i < levels.size(); i++) {
      if (levels.get(i).id().equals(level)) {
        return i;
      }
    }
    return 0;
  }

  @Override
  double bad(Point point, Finding finding) {
    String own = cap(point.id(), finding.id());
    return rank(own == null && school.levels() == null ? finding.allows() : own);
  }

  @Override
  double bad(Alteration alteration) {
    return rank(capDone(alteration));
  }

  @Override
  double milder(double bad) {
    return Math.max(0, bad - school.otherBlades());
  }

  private Stand stand(int rank) {
    Level level = levels.get(rank);
    return new Stand(level.id(), level.label(), null);
  }

  // Ordinary faults of what is open do not add up: nobody has them all.
  @Override
  Stand stand(List<Item> items, Item.Counted which) {
    Item.Counted found = which == Item.Counted.ORDINARY ? Item.Counted.FOUND : which;
    int level = level(items.stream().map(i -> i.counted(found)).toList());
    double alone = items.stream().mapToDouble(i -> i.counted(which)).max().orElse(0);
    return stand(Math.max(level, (int) alone));
  }

  /** The level that faults of these ranks leave. */
  int level(List<Double> faults) {
    int level = 0;
    for (int k = 1; k < levels.size(); k++) {
      int at = k;
      long asBad = faults.stream().filter(f -> f >= at).count();
      boolean lowers = school.together() > 0 && asBad >= school.together();
      level = asBad > 0 ? Math.max(level, lowers ? k + 1 : k) : level;
    }
    return Math.min(level, levels.size() - 1);
  }

  @Override
  double[] chances(List<Item> items) {
    double[] atMost = new double[levels.size()];
    for (int g = 0; g < levels.size(); g++) {
      atMost[g] = g == levels.size() - 1 ? 1 : atMost(items, g);
    }
    double[] chances = new double[levels.size()];
    for (int g = 0; g < levels.size(); g++) {
      chances[g] = Math.max(0, atMost[g] - (g == 0 ? 0 : atMost[g - 1]));
    }
    return chances;
  }

  // No fault beyond the level, and not so many at it that they lower it.
  private double atMost(List<Item> items, int level) {
    boolean counts = school.together() > 0;
    double[] ways = new double[counts ? school.together() : 1];
    ways[0] = 1;
    for (Item i : items) {
      double[] next = new double[ways.length];
      for (Item.Option o : i.options()) {
        int more = counts && o.bad() > 0 && o.bad() >= level ? 1 : 0;
        for (int n = 0; o.bad() <= level && n + more < ways.length; n++) {
          next[n + more] += ways[n] * o.probability();
        }
      }
      ways = next;
    }
    return Arrays.stream(ways).sum();
  }

  @Override
  Stand likely(double[] chances, List<World> worlds) {
    int best = 0;
    for (int g = 1; g < chances.length; g++) {
      best = chances[g] > chances[best] + ROUNDING ? g : best;
    }
    return stand(best);
  }

  // What faults do together is left out here: it moves the level by one, and the order by nothing.
  @Override
  double[] gains(List<Item> items) {
    int n = items.size();
    int most = levels.size();
    double[][] under = new double[n][most];
    double[][] before = new double[n + 1][most];
    double[][] after = new double[n + 1][most];
    Arrays.fill(before[0], 1);
    Arrays.fill(after[n], 1);
    for (int i = 0; i < n; i++) {
      for (int g = 0; g < most; g++) {
        under[i][g] = under(items.get(i), g);
        before[i + 1][g] = before[i][g] * under[i][g];
      }
    }
    for (int i = n - 1; i >= 0; i--) {
      for (int g = 0; g < most; g++) {
        after[i][g] = after[i + 1][g] * under[i][g];
      }
    }
    double open = entropy(before[n]);
    double[] gains = new double[n];
    for (int i = 0; i < n && open > 0; i++) {
      double[] others = new double[most];
      for (int g = 0; g < most; g++) {
        others[g] = before[i][g] * after[i + 1][g];
      }
      gains[i] = Math.max(0, (open - left(items.get(i), others)) / open);
    }
    return gains;
  }

  // What stays open on average once it is known of one, by the chances of the others.
  private static double left(Item known, double[] others) {
    double left = 0;
    for (Item.Option o : known.options()) {
      double[] then = new double[others.length];
      for (int g = 0; g < others.length; g++) {
        then[g] = o.bad() <= g ? others[g] : 0;
      }
      left += o.probability() * entropy(then);
    }
    return left;
  }

  private static double under(Item i, int level) {
    double sum = 0;
    for (Item.Option o : i.options()) {
      sum += o.bad() <= level ? o.probability() : 0;
    }
    return sum;
  }

  private static double entropy(double[] atMost) {
    double sum = 0;
    for (int g = 0; g < atMost.length; g++) {
      double p = atMost[g] - (g == 0 ? 0 : atMost[g - 1]);
      sum -= p <= 0 ? 0 : p * Math.log(p);
    }
    return sum;
  }

  @Override
  School.Level allows(double bad) {
    return levels.get((int) bad);
  }

  @Override
  @Nullable Double loses(double bad) {
    return null;
  }
}
