package snikra.core.dating;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * A reliability diagram.
 *
 * @param expectedError mean distance between what was said and what was, by count
 */
public record Reliability(double expectedError, List<Tenth> tenths) {
  private static final int TENTHS = 10;

  /** One tenth of it: how often it was said so and how often it was so. */
  public record Tenth(int from, int count, double said, double was) {}

  /** Collects what was said and what was. */
  public static final class Diagram {
    private final Map<Integer, double[]> tenths = new TreeMap<>();
    private int count;

    /** A chance that was given, and the chance that it is so: 1 or 0 where that is known. */
    public void add(double said, double was) {
      int tenth = Math.min(TENTHS - 1, (int) (said * TENTHS));
      double[] sums = tenths.computeIfAbsent(tenth, t -> new double[3]);
      sums[0]++;
      sums[1] += said;
      sums[2] += was;
      count++;
    }

    /** What came of it. */
    public Reliability reliability() {
      List<Tenth> out = new ArrayList<>();
      double error = 0;
      for (Map.Entry<Integer, double[]> e : tenths.entrySet()) {
        double[] sums = e.getValue();
        out.add(new Tenth(e.getKey(), (int) sums[0], sums[1] / sums[0], sums[2] / sums[0]));
        error += Math.abs(sums[1] - sums[2]) / count;
      }
      return new Reliability(error, out);
    }
  }
}
