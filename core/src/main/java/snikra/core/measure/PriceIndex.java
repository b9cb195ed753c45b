package snikra.core.measure;

import java.util.Collections;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;

/**
 * Prices of consumer goods by year, in one currency: what money of another year is today.
 *
 * @param title what the series is
 * @param rows index number by year
 */
public record PriceIndex(String currency, String title, NavigableMap<Integer, Double> rows) {
  public PriceIndex {
    rows = Collections.unmodifiableNavigableMap(new TreeMap<>(rows));
    if (rows.isEmpty() || rows.values().stream().anyMatch(v -> !(v > 0))) {
      throw new IllegalArgumentException("rows of " + currency + " must be above 0, and some");
    }
  }

  /**
   * By what an amount of one year is multiplied to be in money of another. Before the first year
   * and after the last one there is nothing to go by: the nearest is taken.
   */
  public double between(int from, int to) {
    return at(to) / at(from);
  }

  // Between two years of the table in logarithms.
  private double at(int year) {
    Map.Entry<Integer, Double> before = rows.floorEntry(year);
    Map.Entry<Integer, Double> after = rows.ceilingEntry(year);
    if (before == null || after == null) {
      return (before == null ? rows.firstEntry() : rows.lastEntry()).getValue();
    }
    if (before.getKey().equals(after.getKey())) {
      return before.getValue();
    }
    double part = (year - before.getKey()) / (double) (after.getKey() - before.getKey());
    return Math.exp((1 - part) * Math.log(before.getValue()) + part * Math.log(after.getValue()));
  }
}
