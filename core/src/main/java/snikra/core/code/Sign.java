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
  FIGURE,
  LETTERS_AND_FIGURES,
  /** A sign of which not the count but the place tells the year. */
  PLACEMENT;

  /** Whether it is counted, not read. */
  public boolean isCounted() {
    return switch (this) {
      case DOT, STAR, BAR, CROSS, RING -> true;
      case LETTER, FIGURE, LETTERS_AND_FIGURES, PLACEMENT -> false;
    };
  }

  @Override
  public String toString() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
