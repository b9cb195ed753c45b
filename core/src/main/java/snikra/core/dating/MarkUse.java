package snikra.core.dating;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
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

  static List<MarkUse> of(Maker maker, Region region, YearAxis axis) {
    double[] weights = MarkShares.of(maker, region);
    List<MarkUse> uses = new ArrayList<>();
    for (int v = 0; v < weights.length; v++) {
      uses.add(of(maker, maker.marks().get(v), weights[v], region, axis));
    }
    return uses;
  }

  private static MarkUse of(
      Maker maker, MarkVariant variant, double weight, Region region, YearAxis axis) {
    double[] use =
        Distribution.normalised(
            axis.map(year -> variant.useIn(year) * MarkShares.output(region, year)));
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
      near[i] = maker.isNearChange(axis.year(first + i)) ? 1 : 0;
    }
    return new MarkUse(weight, first, Arrays.copyOfRange(use, first, last + 1), near);
  }

  /** Its share in a year. */
  double in(int y) {
    int i = y - first;
    return i < 0 || i >= share.length ? 0 : share[i];
  }
}
