package snikra.core.condition;

import java.util.Arrays;
import java.util.IdentityHashMap;
import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.condition.ConditionBook.Finding;
import snikra.core.condition.ConditionBook.Point;
import snikra.core.condition.School.Level;
import snikra.core.condition.School.Part;
import snikra.core.condition.SchoolVerdict.Stand;

/**
 * A hundred points over the parts of a knife; each fault takes some, no part loses more than it
 * has.
 */
final class ByPoints extends Grading {
  private static final double ALL = 100;
  private static final double ROUNDING = 1e-9;

  /** Losses are counted in quarters of a point. */
  private static final int STEPS = 4;

  private static final int MOST_STEPS = 100 * STEPS;

  private final double[] bands;
  private final IdentityHashMap<List<Item>, double[]> lost = new IdentityHashMap<>();

  ByPoints(ConditionBook book, School school, Looked looked) {
    super(book, school, looked);
    bands = levels.stream().mapToDouble(l -> school.bands().getOrDefault(l.id(), 0.0)).toArray();
  }

  @Override
  double bad(Point point, Finding finding) {
    return finding.loses();
  }

  @Override
  double bad(Alteration alteration) {
    return alteration.loses() == null ? 0 : alteration.loses();
  }

  @Override
  double milder(double bad) {
    return bad * school.otherBlades();
  }

  private int level(double points) {
    int level = 0;
    while (level < bands.length - 1 && points < bands[level]) {
      level++;
    }
    return level;
  }

  private Stand stand(double points) {
    Level level = levels.get(level(points));
    return new Stand(level.id(), level.label(), points);
  }

  @Override
  Stand stand(List<Item> items, Item.Counted which) {
    double left = ALL;
    for (Part p : school.parts()) {
      double lost =
          items.stream()
              .filter(i -> i.part().equals(p.id()))
              .mapToDouble(i -> i.counted(which))
              .sum();
      left -= Math.min(p.points(), lost);
    }
    return stand(left);
  }

  @Override
  double[] chances(List<Item> items) {
    double[] lost = lost(items);
    double[] chances = new double[levels.size()];
    for (int i = 0; i < lost.length; i++) {
      chances[level(ALL - (double) i / STEPS)] += lost[i];
    }
    return chances;
  }

  /** The chance of every loss, in steps; worked out once for each life. */
  private double[] lost(List<Item> items) {
    return lost.computeIfAbsent(items, this::added);
  }

  private double[] added(List<Item> items) {
    double[] all = {1};
    for (Part p : school.parts()) {
      double[] part = {1};
      int most = (int) Math.round(p.points() * STEPS);
      for (Item i : items) {
        if (i.part().equals(p.id())) {
          part = added(part, steps(i), most);
        }
      }
      all = added(all, part, MOST_STEPS);
    }
    return all;
  }

  private static double[] steps(Item i) {
    double most = i.options().stream().mapToDouble(Item.Option::bad).max().orElse(0);
    double[] chance = new double[(int) Math.round(most * STEPS) + 1];
    for (Item.Option o : i.options()) {
      chance[(int) Math.round(o.bad() * STEPS)] += o.probability();
    }
    return chance;
  }

  private static double[] added(double[] a, double[] b, int most) {
    double[] sum = new double[Math.min(most, a.length + b.length - 2) + 1];
    for (int j = 0; j < b.length; j++) {
      // Most losses of one thing are never met: what is added is nearly empty.
      for (int i = 0; i < a.length && b[j] > 0; i++) {
        sum[Math.min(sum.length - 1, i + j)] += a[i] * b[j];
      }
    }
    return sum;
  }

  @Override
  Stand likely(double[] chances, List<World> worlds) {
    double mean = 0;
    for (World world : worlds) {
      double[] lost = lost(world.items());
      for (int i = 0; i < lost.length; i++) {
        mean += world.probability() * lost[i] * i / STEPS;
      }
    }
    return stand(Math.round((ALL - mean) * 10 + ROUNDING) / 10.0);
  }

  // Where losses simply add up, what is open is the sum of what is open of each.
  @Override
  double[] gains(List<Item> items) {
    double[] gains = items.stream().mapToDouble(ByPoints::variance).toArray();
    double all = Arrays.stream(gains).sum();
    return Arrays.stream(gains).map(g -> all <= 0 ? 0 : g / all).toArray();
  }

  private static double variance(Item i) {
    double mean = i.options().stream().mapToDouble(o -> o.bad() * o.probability()).sum();
    return i.options().stream()
        .mapToDouble(o -> o.probability() * Math.pow(o.bad() - mean, 2))
        .sum();
  }

  @Override
  School.@Nullable Level allows(double bad) {
    return null;
  }

  @Override
  @Nullable Double loses(double bad) {
    return bad;
  }
}
