package snikra.core.value;

import java.util.Map;
import java.util.TreeMap;

/**
 * Prices of consumer goods by year, in one currency: what money of another year is today.
 *
 * @param title what the series is
 * @param rows index number by year
 */
public record PriceIndex(String currency, String title, Map<Integer, Double> rows) {
  public PriceIndex {
    rows = Map.copyOf(rows);
    if (rows.isEmpty() || rows.values().stream().anyMatch(v -> !(v > 0))) {
      throw new IllegalArgumentException("rows of " + currency + " must be above 0, and some");
    }
  }

  /**
   * By what an amount of one year is multiplied to be in money of another. Before the first year
   * and after the last one there is nothing to go by: the nearest is taken.
   */
  public double between(int from, int to) {
    TreeMap<Integer, Double> byYear = new TreeMap<>(rows);
    return at(byYear, to) / at(byYear, from);
  }

  // Between two years of the table in logarithms.
  private static double at(TreeMap<Integer, Double> byYear, int year) {
    Map.Entry<Integer, Double> before = byYear.floorEntry(year);
    Map.Entry<Integer, Double> after = byYear.ceilingEntry(year);
    if (before == null || after == null) {
      return (before == null ? byYear.firstEntry() : byYear.lastEntry()).getValue();
    }
    if (before.getKey().equals(after.getKey())) {
      return before.getValue();
    }
    double part = (year - before.getKey()) / (double) (after.getKey() - before.getKey());
    return Math.exp((1 - part) * Math.log(before.getValue()) + part * Math.log(after.getValue()));
  }
}
