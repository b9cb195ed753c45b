package snikra.core.specimen;

import java.util.HashMap;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import org.jspecify.annotations.Nullable;

/**
 * Something looked at. Without a value it could not be told.
 *
 * @param or what it may be in place of the value, with the share of each; the rest is the value's.
 *     Null where nothing else comes into question
 */
public record Seen<T>(@Nullable T value, Sureness sureness, @Nullable Map<String, Double> or) {

  /** One thing only. */
  public Seen(@Nullable T value, Sureness sureness) {
    this(value, sureness, null);
  }

  public Seen {
    if ((value == null) != (sureness == Sureness.CANNOT_TELL)) {
      throw new IllegalArgumentException(
          "a value goes with sure, likely or unsure, and none with cannot-tell; found "
              + value
              + " with "
              + sureness);
    }
    or = or == null || or.isEmpty() ? null : Map.copyOf(or);
  }

  /** Each thing it may be, with its share; all of them are 1. */
  public Map<String, Double> shares() {
    Map<String, Double> shares = new HashMap<>();
    if (value == null) {
      return shares;
    }
    double rest = 1;
    if (or != null) {
      shares.putAll(or);
      rest -= or.values().stream().mapToDouble(Double::doubleValue).sum();
    }
    shares.put("" + value, rest);
    return shares;
  }

  /** Seen beyond doubt. */
  public static <T> Seen<T> sure(T value) {
    return new Seen<>(value, Sureness.SURE);
  }

  /** What was seen; null where nobody looked or it could not be told. */
  public static <T> @Nullable T valueOf(@Nullable Seen<T> seen) {
    return seen == null ? null : seen.value();
  }

  /**
   * The weight of what was seen, each way of having seen wrongly counted in by its chance; 1 where
   * nothing is known.
   *
   * @param reliability how often it is as it was seen
   * @param weight of a value, were it there
   * @param misseen the weight where something else is there than what was seen
   */
  public static <T> double weight(
      @Nullable Seen<T> seen,
      LookReliability reliability,
      ToDoubleFunction<T> weight,
      ToDoubleFunction<T> misseen) {
    if (seen == null || seen.value() == null) {
      return 1;
    }
    double q = reliability.of(seen.sureness());
    return q * weight.applyAsDouble(seen.value()) + (1 - q) * misseen.applyAsDouble(seen.value());
  }

  /** The same of what may be one of several: the mean of their weights, by their shares. */
  public static double meanWeight(
      @Nullable Seen<String> seen,
      LookReliability reliability,
      ToDoubleFunction<String> weight,
      ToDoubleFunction<String> misseen) {
    if (seen == null || seen.or == null) {
      return weight(seen, reliability, weight, misseen);
    }
    return seen.shares().entrySet().stream()
        .mapToDouble(
            one ->
                one.getValue()
                    * weight(new Seen<>(one.getKey(), seen.sureness), reliability, weight, misseen))
        .sum();
  }
}
