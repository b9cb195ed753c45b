package snikra.core.value;

import java.util.List;
import org.hipparchus.distribution.continuous.NormalDistribution;

/** A price of which it is not sure which of several it is, in logarithms. */
record Mixture(List<Part> parts) {
  private static final NormalDistribution BELL = new NormalDistribution();
  private static final double FAR = 10;
  private static final int HALVINGS = 60;

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
    double low = mean() - FAR * spread - 1;
    double high = mean() + FAR * spread + 1;
    for (int i = 0; i < HALVINGS; i++) {
      double middle = (low + high) / 2;
      if (below(middle) < q) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return (low + high) / 2;
  }
}
