package snikra.core.trait;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import snikra.core.clue.Clue;
import snikra.core.clue.Feature;
import snikra.core.pattern.Pattern;
import snikra.core.reference.ModelTell;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Seen;

/**
 * How often an answer is met on knives at large: for the first look by all patterns as often as
 * they are met, for the rest by the base rates of the clue book.
 */
public final class AtLarge {
  private static final String NONE = "none";

  private final double rare;
  private final double number;
  private final double ofNoPattern;
  private final double sizes;
  private final Map<String, Map<String, Double>> rates = new HashMap<>();
  private final Map<String, Feature.OnlyIf> onlyIf = new HashMap<>();
  private final List<Weighted> patterns;

  private record Weighted(double share, List<ModelTell> tells) {}

  public AtLarge(ReferenceShelf shelf) {
    rare = shelf.judgement().of("large.rare");
    number = shelf.judgement().of("large.number");
    ofNoPattern = shelf.judgement().of("large.length-of-no-pattern");
    sizes = shelf.judgement().of("large.sizes-mm");
    List<Pattern> all = shelf.patterns().patterns();
    double total = all.stream().mapToDouble(AtLarge::often).sum();
    patterns =
        all.stream()
            .map(
                p ->
                    new Weighted(
                        often(p) / total, PatternTells.of(p, shelf.patterns(), shelf.judgement())))
            .toList();
    for (Weighted p : patterns) {
      for (ModelTell tell : p.tells) {
        tell.likely().forEach((value, q) -> add(tell.trait(), value, p.share * q));
      }
    }
    for (Feature f : shelf.clues().features()) {
      if (f.onlyIf() != null) {
        onlyIf.put(f.id(), f.onlyIf());
      }
      double sum = f.clues().stream().mapToDouble(Clue::base).sum();
      f.clues().forEach(c -> add(f.id(), c.id(), c.base() / Math.max(1, sum)));
    }
  }

  private static double often(Pattern p) {
    return p.often() == null ? 1 : p.often();
  }

  private void add(String trait, String value, double rate) {
    rates.computeIfAbsent(trait, t -> new HashMap<>()).merge(value, rate, Double::sum);
  }

  /**
   * P(answer | any knife). Where there is only something to see beside another answer that was
   * seen, such as jigging on jigged bone, among the knives that show that.
   */
  public double rate(String trait, String value, Map<String, Seen<String>> seen) {
    if (trait.equals(Traits.NUMBER)) {
      return number;
    }
    double rate = Math.max(rare, rate(trait, value));
    Feature.OnlyIf beside = onlyIf.get(trait);
    Seen<String> other = beside == null ? null : seen.get(beside.feature());
    boolean shown = other != null && beside.values().contains("" + other.value());
    return shown && !value.equals(NONE) ? rate / (1 - Math.min(0.9, rate(trait, NONE))) : rate;
  }

  private double rate(String trait, String value) {
    return rates.getOrDefault(trait, Map.of()).getOrDefault(value, 0.0);
  }

  /** Density of closed lengths at large, for each millimetre. */
  public double density(double mm) {
    double sum = 0;
    for (Weighted p : patterns) {
      for (ModelTell tell : p.tells) {
        if (tell.mm() != null) {
          sum += p.share * normal(mm, tell.mm(), tell.spread());
        }
      }
    }
    return (1 - ofNoPattern) * sum + ofNoPattern / sizes;
  }

  public static double normal(double x, double middle, double spread) {
    double z = (x - middle) / spread;
    return Math.exp(-z * z / 2) / (spread * Math.sqrt(2 * Math.PI));
  }
}
