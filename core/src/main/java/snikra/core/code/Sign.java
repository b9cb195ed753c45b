package snikra.core.code;

import java.util.Locale;

/** What a date code is made of. */
public enum Sign {
  DOT,
  STAR,
  BAR,
  CROSS,
  RING,
  LETTER,
  FIGURE;

  /** Whether it is counted, not read. */
  public boolean isCounted() {
    return this != LETTER && this != FIGURE;
  }

  @Override
  public String toString() {
    return name().toLowerCase(Locale.ROOT);
  }
}
