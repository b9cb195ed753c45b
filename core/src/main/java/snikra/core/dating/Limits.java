package snikra.core.dating;

import snikra.core.judgement.Judgement;

/**
 * From where on a thing is told of: numbers of judgement that change no probability.
 *
 * @param apart share two clues have in common under which they do not go together
 * @param pulling the same, of a clue named for one that stands against all the rest
 * @param agreeing overlap from which two clues say the same
 * @param sayingLittle overlap with the years of knives at large from which a clue says nothing
 * @param inQuestion probability from which a country is told of
 * @param countryMoved decibans from which a clue is told to speak for or against it
 * @param handTold decibans from which a look is told to speak for a hand
 * @param oneByOne probability from which a maker, a hand or a way is told by itself
 * @param otherwise probability from which what else may be is told of
 * @param hand share of a house's knives from which one who made for it is named
 * @param clearHand share from which one is named as the maker
 * @param telling bits from which a clue is told to decide
 * @param clearCountry share of the makers not on file from which they are told by their country
 */
record Limits(
    double apart,
    double pulling,
    double agreeing,
    double sayingLittle,
    double inQuestion,
    double countryMoved,
    double handTold,
    double clearCountry,
    double oneByOne,
    double otherwise,
    double hand,
    double clearHand,
    double telling) {

  /** As they are judged. */
  static Limits of(Judgement judgement) {
    return new Limits(
        judgement.of("told.apart"),
        judgement.of("told.pulling"),
        judgement.of("told.agreeing"),
        judgement.of("told.saying-little"),
        judgement.of("told.country-in-question"),
        judgement.of("told.country-moved"),
        judgement.of("told.hand"),
        judgement.of("told.clear-country"),
        judgement.of("told.one-by-one"),
        judgement.of("told.otherwise"),
        judgement.of("told.contractor"),
        judgement.of("told.clear-contractor"),
        judgement.of("told.decides"));
  }
}
