package snikra.core.value;

import java.util.List;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.distribution.continuous.NormalDistribution;

/** A price of which it is not sure which of several it is, in logarithms. */
record Mixture(List<Part> parts) {
  private static final NormalDistribution BELL = new NormalDistribution();
  private static final double FAR = 10;

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
            p ->
                p.probability()
                    * BELL.cumulativeProbability(
                        (x - p.mean()) / Math.sqrt(Math.max(1e-12, p.variance()))))
        .sum();
  }

  /** The price it is below with this probability. */
  double quantile(double q) {
    double spread = Math.sqrt(variance());
    double reach = FAR * spread + 1;
    return new BracketingNthOrderBrentSolver(NEAR, ORDER)
        .solve(MOST_STEPS, x -> below(x) - q, mean() - reach, mean() + reach, mean());
  }
}
