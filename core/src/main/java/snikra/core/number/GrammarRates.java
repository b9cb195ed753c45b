package snikra.core.number;

import snikra.core.judgement.Judgement;

/**
 * How faithfully numbers follow the grammar of their maker.
 *
 * @param miscoded a coded field says something else than the part as it left the works
 * @param optionalIsThere a field that may be left out is there
 * @param outOfUse a code in years in which it is not known to have been used, against one in use
 */
public record GrammarRates(double miscoded, double optionalIsThere, double outOfUse) {

  /** As they are judged. */
  public static GrammarRates of(Judgement judgement) {
    return new GrammarRates(
        judgement.of("number.miscoded"),
        judgement.of("number.optional-is-there"),
        judgement.of("number.out-of-use"));
  }
}
