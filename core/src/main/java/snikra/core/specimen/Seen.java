package snikra.core.specimen;

import org.jspecify.annotations.Nullable;

/** Something looked at. Without a value it could not be told. */
public record Seen(@Nullable String value, Sureness sureness) {

  public Seen {
    if ((value == null) != (sureness == Sureness.CANNOT_TELL)) {
      throw new IllegalArgumentException(
          "a value goes with sure, likely or unsure, and none with cannot-tell; found "
              + value
              + " with "
              + sureness);
    }
  }

  /** Seen beyond doubt. */
  public static Seen sure(String value) {
    return new Seen(value, Sureness.SURE);
  }
}
