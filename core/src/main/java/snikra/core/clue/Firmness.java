package snikra.core.clue;

import java.util.Locale;

/** How far a bound in time can be relied on, with the compatibility left outside it. */
public enum Firmness {
  /** Law or invention. */
  HARD(1e-4),
  /** Trade history. */
  FIRM(0.01),
  /** Fashion. */
  SOFT(0.12);

  private final double floor;

  Firmness(double floor) {
    this.floor = floor;
  }

  /** Compatibility outside the bound, in (0, 1). */
  public double floor() {
    return floor;
  }

  @Override
  public String toString() {
    return name().toLowerCase(Locale.ROOT);
  }
}
