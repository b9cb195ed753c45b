package snikra.core.clue;

import snikra.core.judgement.Judgement;

/**
 * What is left of a year outside a bound, by how firm the bound is; each in (0, 1).
 *
 * @param firstYear how far something is at home in its first possible year, against later
 */
public record Floors(double hard, double firm, double soft, double firstYear) {

  /** As it is judged. */
  public static Floors of(Judgement judgement) {
    return new Floors(
        judgement.of("bound.hard"),
        judgement.of("bound.firm"),
        judgement.of("bound.soft"),
        judgement.of("bound.first-year"));
  }

  double of(Firmness firmness) {
    return switch (firmness) {
      case HARD -> hard;
      case FIRM -> firm;
      case SOFT -> soft;
    };
  }
}
