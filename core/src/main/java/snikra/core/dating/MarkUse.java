package snikra.core.dating;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntPredicate;
import snikra.core.judgement.Judgement;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkShares;
import snikra.core.reference.MarkVariant;
import snikra.core.reference.Region;

/**
 * The years of one mark of a maker.
 *
 * @param weight share of the maker's knives that bear it
 * @param first index of the first year it may be of
 * @param share of its use in each year from there
 * @param near 1 in years close to a change, 0 elsewhere
 */
record MarkUse(double weight, int first, double[] share, int[] near) {

  static List<MarkUse> of(Maker maker, Region region, YearAxis axis, Judgement judgement) {
    double least = judgement.of("large.before-trade");
    int around = (int) judgement.of("state.years-around-change");
    double[] weights = MarkShares.of(maker, region, least);
    List<MarkUse> uses = new ArrayList<>();
    for (int v = 0; v < weights.length; v++) {
      MarkVariant mark = maker.marks().get(v);
      double[] use =
          Distribution.normalised(
              axis.map(year -> mark.useIn(year) * MarkShares.output(region, year, least)));
      uses.add(of(weights[v], use, y -> maker.isNearChange(axis.year(y), around)));
    }
    return uses;
  }

  private static MarkUse of(double weight, double[] use, IntPredicate isNear) {
    int first = 0;
    int last = use.length - 1;
    while (first < last && use[first] == 0) {
      first++;
    }
    while (last > first && use[last] == 0) {
      last--;
    }
    int[] near = new int[last - first + 1];
    for (int i = 0; i < near.length; i++) {
      near[i] = isNear.test(first + i) ? 1 : 0;
    }
    return new MarkUse(weight, first, Arrays.copyOfRange(use, first, last + 1), near);
  }

  /** Its share in a year. */
  double in(int y) {
    int i = y - first;
    return i < 0 || i >= share.length ? 0 : share[i];
  }
}
