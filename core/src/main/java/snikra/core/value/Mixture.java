package snikra.core.value;

import java.util.List;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * A price of which it is not sure which of several it is, in logarithms.
 *
 * <p>A knife of which little is sure is a thousand of them, and its five quantiles ask each some
 * forty times: they lie in rows, and those too unlikely to be seen in a price are not asked.
 */
final class Mixture {
  /** As near as it is looked for: prices are told to three figures at most. */
  private static final double NEAR = 1e-6;

  private static final int ORDER = 5;
  private static final int MOST_STEPS = 200;

  /** Of a thousand of them all that is left out is less than a price is looked for. */
  private static final double TOO_UNLIKELY = 1e-10;

  private static final double LEAST_VARIANCE = 1e-12;

  private final double mean;
  private final double variance;
  private final double[] chances;
  private final double[] means;
  private final double[] spreads;

  /** One of them: with this probability, around a mean. */
  record Part(double probability, double mean, double variance) {}

  Mixture(List<Part> parts) {
    double sum = 0;
    for (Part p : parts) {
      sum += p.probability() * p.mean();
    }
    mean = sum;
    double squares = 0;
    for (Part p : parts) {
      squares += p.probability() * (p.variance() + (p.mean() - mean) * (p.mean() - mean));
    }
    variance = squares;
    List<Part> asked = parts.stream().filter(p -> p.probability() >= TOO_UNLIKELY).toList();
    chances = asked.stream().mapToDouble(Part::probability).toArray();
    means = asked.stream().mapToDouble(Part::mean).toArray();
    spreads =
        asked.stream()
            .mapToDouble(p -> Math.sqrt(Math.max(LEAST_VARIANCE, p.variance())))
            .toArray();
  }

  double mean() {
    return mean;
  }

  double variance() {
    return variance;
  }

  private double below(double x) {
    double sum = 0;
    for (int i = 0; i < chances.length; i++) {
      sum += chances[i] * Bell.below((x - means[i]) / spreads[i]);
    }
    return sum;
  }

  /** The price it is below with this probability. */
  double quantile(double q) {
    // No price of this spread has its quantile farther out (Cantelli), whatever its shape.
    double spread = Math.sqrt(variance) + NEAR;
    double below = spread * Math.sqrt((1 - q) / q);
    double above = spread * Math.sqrt(q / (1 - q));
    return new BracketingNthOrderBrentSolver(NEAR, ORDER)
        .solve(MOST_STEPS, x -> below(x) - q, mean - below, mean + above, mean);
  }
}
