package snikra.core.clue;

import java.util.Locale;

/** How firm a bound is. */
public enum Firmness {
  /** Law or invention. */
  HARD,
  /** Trade history. */
  FIRM,
  /** Fashion. */
  SOFT;

  @Override
  public String toString() {
    return name().toLowerCase(Locale.ROOT);
  }
}
