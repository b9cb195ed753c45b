package snikra.core.value;

import java.util.List;
import org.apache.commons.numbers.gamma.Erfc;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/** A price of which it is not sure which of several it is, in logarithms. */
record Mixture(List<Part> parts) {
  /** As near as it is looked for: prices are told to three figures at most. */
  private static final double NEAR = 1e-6;

  private static final int ORDER = 5;
  private static final int MOST_STEPS = 200;

  /** One of them: with this probability, around a mean. */
  record Part(double probability, double mean, double variance) {}

  Mixture {
    parts = List.copyOf(parts);
  }

  double mean() {
    return parts.stream().mapToDouble(p -> p.probability() * p.mean()).sum();
  }

  double variance() {
    double mean = mean();
    return parts.stream()
        .mapToDouble(p -> p.probability() * (p.variance() + (p.mean() - mean) * (p.mean() - mean)))
        .sum();
  }

  private double below(double x) {
    return parts.stream()
        .mapToDouble(
            p -> p.probability() * below(x, p.mean(), Math.sqrt(Math.max(1e-12, p.variance()))))
        .sum();
  }

  // Through the gamma function this took half of the work on a knife with sales.
  private static double below(double x, double mean, double spread) {
    return Erfc.value((mean - x) / (spread * Math.sqrt(2))) / 2;
  }

  /** The price it is below with this probability. */
  double quantile(double q) {
    // No price of this spread has its quantile farther out (Cantelli), whatever its shape.
    double spread = Math.sqrt(variance()) + NEAR;
    double below = spread * Math.sqrt((1 - q) / q);
    double above = spread * Math.sqrt(q / (1 - q));
    return new BracketingNthOrderBrentSolver(NEAR, ORDER)
        .solve(MOST_STEPS, x -> below(x) - q, mean() - below, mean() + above, mean());
  }
}
