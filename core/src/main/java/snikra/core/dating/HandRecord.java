package snikra.core.dating;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What one hand's own record says of a knife, against the other hands of its house and other years.
 *
 * @param rows by feature that dates a part, by year; they go through the states of that part
 * @param whole of all else together, by year; null where there is nothing
 * @param said each trait by year, as it is likelier of the hand than of knives at large
 */
record HandRecord(Map<String, double[]> rows, double @Nullable [] whole, List<Said> said) {
  static final HandRecord SILENT = new HandRecord(Map.of(), null, List.of());

  /** What one trait says, by year. */
  record Said(String trait, double[] byYear) {
    /** Over these years as they weigh. */
    double over(double[] years) {
      double sum = 0;
      double all = 0;
      for (int y = 0; y < years.length; y++) {
        sum += years[y] * byYear[y];
        all += years[y];
      }
      return all > 0 ? sum / all : 1;
    }
  }
}
