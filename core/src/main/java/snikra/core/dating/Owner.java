package snikra.core.dating;

import org.jspecify.annotations.Nullable;
import snikra.core.dating.Hypotheses.Hypothesis;
import snikra.core.reference.Region;

/** A maker or the unlisted makers of a region, with weight by state and year. */
final class Owner {
  final @Nullable String maker;
  final @Nullable Hand hand;
  final Region region;
  final String home;
  final String label;
  final double[] @Nullable [] byState;

  /** Sums of {@code byState}. */
  final double[] weights;

  final double[] years;

  /** What it hears of the parts. */
  final Voice voice;

  final HandRecord record;

  Owner(Hypothesis h, int states, int size) {
    maker = h.maker() == null ? null : h.maker().id();
    hand = h.hand();
    region = h.region();
    home = h.maker() == null ? region.id() : h.maker().region();
    label = h.maker() == null ? h.region().unlisted() : h.maker().name();
    byState = new double[states][];
    weights = new double[states];
    voice = h.group().voice;
    record = h.record();
    years = new double[size];
  }

  /** Weight in one state by year, to be added to. */
  double[] in(int state) {
    if (byState[state] == null) {
      byState[state] = new double[years.length];
    }
    return byState[state];
  }

  /** When all is added. */
  void sumUp() {
    for (int s = 0; s < weights.length; s++) {
      weights[s] = byState[s] == null ? 0 : Distribution.sum(byState[s]);
    }
  }

  double weight() {
    return Distribution.sum(years);
  }
}
