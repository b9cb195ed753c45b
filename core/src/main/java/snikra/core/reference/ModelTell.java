package snikra.core.reference;

import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * How knives of one model look in one respect. What is left of the probability falls on all other
 * answers as they are met at large.
 *
 * @param trait a feature of the clue book, or a trait of the first look: {@code frame}, {@code
 *     bolsters}, {@code springs}, {@code blades} (how many), {@code blade-1} and so on (its kind,
 *     in order), {@code number}, {@code closed-length}
 * @param likely probability by answer, in all at most 1
 * @param mm for a length, its middle
 * @param spread for a length, its standard deviation in millimetres
 */
public record ModelTell(
    String trait,
    Map<String, Double> likely,
    @Nullable Double mm,
    @Nullable Double spread,
    String source,
    double trust) {

  public ModelTell {
    trust = Trust.orMost(trust);
    likely = likely == null ? Map.of() : Map.copyOf(likely);
    double sum = likely.values().stream().mapToDouble(Double::doubleValue).sum();
    if (sum > 1 + 1e-9) {
      throw new IllegalArgumentException(
          "likely of " + trait + " must be 1 or less in all; found " + sum);
    }
    if ((mm == null) != (spread == null)) {
      throw new IllegalArgumentException("mm and spread of " + trait + " must be given together");
    }
  }

  /** A tell that is believed. */
  public ModelTell(
      String trait,
      Map<String, Double> likely,
      @Nullable Double mm,
      @Nullable Double spread,
      String source) {
    this(trait, likely, mm, spread, source, Trust.MOST);
  }

  /** By its answers. */
  public static ModelTell of(String trait, Map<String, Double> likely, String source) {
    return new ModelTell(trait, likely, null, null, source);
  }
}
