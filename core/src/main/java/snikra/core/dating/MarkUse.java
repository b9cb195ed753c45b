package snikra.core.dating;

import java.util.List;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkVariant;

/**
 * The years of one mark of a maker.
 *
 * @param first index of the first year it may be of
 * @param share of its use in each year from there
 * @param near 1 in years close to a change, 0 elsewhere
 */
record MarkUse(int first, double[] share, int[] near) {

  static List<MarkUse> of(Maker maker, YearAxis axis) {
    return maker.marks().stream().map(v -> of(maker, v, axis)).toList();
  }

  private static MarkUse of(Maker maker, MarkVariant variant, YearAxis axis) {
    double[] use = Distribution.normalised(axis.map(variant::useIn));
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
    return new MarkUse(first, java.util.Arrays.copyOfRange(use, first, last + 1), near);
  }
}
