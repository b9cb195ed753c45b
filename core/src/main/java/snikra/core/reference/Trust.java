package snikra.core.reference;

import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/** How far a fact is to be believed: as far as its sources are, those that copy counted once. */
public final class Trust {
  /** No number of sources makes a fact surer than this. */
  public static final double MOST = 0.99;

  private Trust() {}

  /**
   * Of a fact that these sources tell.
   *
   * @param known all sources by id, to follow copies to what they were taken from
   * @param stamp what is left of the word of a source that describes a stamp and no knife
   */
  public static double of(Collection<Source> sources, Map<String, Source> known, double stamp) {
    Map<String, Double> byRoot = new HashMap<>();
    for (Source source : sources) {
      double word = source.reliability() * (source.describesStamp() ? stamp : 1);
      byRoot.merge(root(source, known), word, Math::max);
    }
    double wrong = 1;
    for (double word : byRoot.values()) {
      wrong *= 1 - word;
    }
    return Math.min(MOST, 1 - wrong);
  }

  // Of sources that copy one another in a ring the first met stands for all.
  private static String root(Source source, Map<String, Source> known) {
    Set<String> met = new HashSet<>();
    Source at = source;
    while (met.add(at.id()) && at.copies() != null && known.containsKey(at.copies())) {
      at = known.get(at.copies());
    }
    return met.contains(at.id()) && at.copies() != null && known.containsKey(at.copies())
        ? met.stream().sorted().findFirst().orElse(at.id())
        : at.id();
  }

  /** What stands in place of a trust that nobody gave. */
  static double orMost(double trust) {
    return trust > 0 ? trust : MOST;
  }
}
