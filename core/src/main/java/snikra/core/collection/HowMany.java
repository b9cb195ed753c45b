package snikra.core.collection;

import java.util.Arrays;

/**
 * How many of some knives are of a kind, where of each only the chance is known. Knives are taken
 * to be independent of one another, so the number follows a Poisson binomial distribution; it is
 * worked out exactly, knife by knife, but for tails that together weigh less than {@link #SLIVER}.
 */
final class HowMany {
  /** So little is left out at either end with each knife. */
  static final double SLIVER = 1e-13;

  private final int least;
  private final double[] chances;

  private HowMany(int least, double[] chances) {
    this.least = least;
    this.chances = chances;
  }

  /** Of knives that are of the kind with these chances. */
  static HowMany of(double[] of) {
    int least = 0;
    double[] now = {1};
    for (double p : of) {
      double[] next = new double[now.length + 1];
      for (int i = 0; i < now.length; i++) {
        next[i] += now[i] * (1 - p);
        next[i + 1] += now[i] * p;
      }
      int from = 0;
      int to = next.length;
      while (next[from] < SLIVER) {
        from++;
      }
      while (next[to - 1] < SLIVER) {
        to--;
      }
      least += from;
      now = Arrays.copyOfRange(next, from, to);
    }
    return new HowMany(least, now);
  }

  /** The least number that is not passed with this chance. */
  int quantile(double chance) {
    double sum = 0;
    for (int i = 0; i < chances.length; i++) {
      sum += chances[i];
      if (sum >= chance) {
        return least + i;
      }
    }
    return least + chances.length - 1;
  }
}
