package snikra.core.condition;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.jspecify.annotations.Nullable;
import snikra.core.condition.ConditionBook.Finding;
import snikra.core.condition.ConditionBook.Point;
import snikra.core.profile.BladeWear;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Sureness;

/**
 * What was measured of a blade as a finding, where nobody said one: the likeliest, as surely as the
 * measuring allows. What the collector says goes before what was measured.
 */
public final class MeasuredWear {
  /** Standard deviations between which nine in ten lie. */
  private static final double NINE_TENTHS = 3.29;

  private static final double SURE_FROM = 0.9;
  private static final double LIKELY_FROM = 0.6;
  private static final double LEAST_SPREAD = 1e-6;

  private MeasuredWear() {}

  /**
   * A finding that measuring gives.
   *
   * @param blade the main one 1
   * @param probability that it is this one of those that can be measured
   */
  public record Filled(Point point, int blade, Finding finding, double probability) {
    /** As it would be looked at. */
    Seen<String> seen() {
      Sureness sureness =
          probability >= SURE_FROM
              ? Sureness.SURE
              : probability >= LIKELY_FROM ? Sureness.LIKELY : Sureness.UNSURE;
      return new Seen<>(finding.id(), sureness, null);
    }
  }

  /**
   * What measuring tells of points that nobody looked at.
   *
   * @param left of each blade, the main one first; null where it was not measured
   */
  public static List<Filled> of(
      ConditionBook book, Looked looked, List<BladeWear.@Nullable Left> left) {
    List<Filled> out = new ArrayList<>();
    for (Point point : book.points()) {
      List<Finding> measured = point.findings().stream().filter(f -> f.least() != null).toList();
      for (int b = 0; b < left.size() && !measured.isEmpty(); b++) {
        BladeWear.Left share = left.get(b);
        boolean isSaid = b <= looked.otherBlades().size() && looked.of(point.id(), b + 1) != null;
        if (share != null && !isSaid && b <= looked.otherBlades().size()) {
          out.add(likeliest(point, b + 1, measured, share));
        }
      }
    }
    return out;
  }

  private static Filled likeliest(
      Point point, int blade, List<Finding> measured, BladeWear.Left left) {
    double spread = Math.max(LEAST_SPREAD, (left.high() - left.low()) / NINE_TENTHS);
    NormalDistribution bell = new NormalDistribution(left.share(), spread);
    Map<Finding, Double> chances = new HashMap<>();
    double above = 1;
    for (Finding f : measured) {
      double from = f.least() <= 0 ? 0 : bell.cumulativeProbability(f.least());
      chances.put(f, above - from);
      above = from;
    }
    Finding best = measured.stream().max(Comparator.comparingDouble(chances::get)).orElseThrow();
    return new Filled(point, blade, best, chances.get(best));
  }

  /** What was looked at, with what measuring tells beside it. */
  public static Looked with(Looked looked, List<Filled> filled) {
    Map<String, Seen<String>> condition = new HashMap<>(looked.condition());
    List<Map<String, Seen<String>>> others = new ArrayList<>();
    looked.otherBlades().forEach(b -> others.add(new HashMap<>(b)));
    for (Filled f : filled) {
      (f.blade() == 1 ? condition : others.get(f.blade() - 2)).put(f.point().id(), f.seen());
    }
    return new Looked(condition, others, looked.seen(), looked.doubts(), looked.reliability());
  }
}
