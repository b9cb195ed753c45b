package snikra.core.specimen;

import snikra.core.judgement.Judgement;

/** How often what was seen, more or less surely, is what is there. */
public record LookReliability(double sure, double likely, double unsure) {

  /** As it is judged. */
  public static LookReliability of(Judgement judgement) {
    return new LookReliability(
        judgement.of("look.sure"), judgement.of("look.likely"), judgement.of("look.unsure"));
  }

  /** The probability that what was seen is what is there; 0 for what could not be told. */
  public double of(Sureness sureness) {
    return switch (sureness) {
      case SURE -> sure;
      case LIKELY -> likely;
      case UNSURE -> unsure;
      case CANNOT_TELL -> 0;
    };
  }
}
