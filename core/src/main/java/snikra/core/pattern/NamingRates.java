package snikra.core.pattern;

import snikra.core.judgement.Judgement;
import snikra.core.specimen.LookReliability;

/**
 * Numbers of judgement by which names are weighed, whatever the school.
 *
 * @param fallback of a pattern that is named when nothing closer fits
 * @param unnamed of a knife with no name on file, for each thing seen
 * @param frameMisseen an outline where another was seen
 * @param bladeMisseen a form of blade where another was seen
 * @param measuringErrorMm what a closed length may be off by measuring
 * @param lengthScaleMm how far outside its range a size is still met
 * @param endOfRange a size at the end of its range, against the typical one
 * @param lessUsualBolsters bolsters it has, but not first of all
 * @param otherPull a pull the pattern is not known with
 * @param optionalBlade a blade that may be there or not
 * @param otherEnd a blade at the end that is accepted as well
 * @param otherSide a blade on the other side of its neighbour
 * @param otherSpring a blade on another spring
 * @param told probability from which a name stands in the list
 * @param named probability from which a knife is called by it
 * @param settles how far a look must part two names to be told of
 * @param lessUsual what is not the first of what a pattern is made with, against the first
 */
record NamingRates(
    LookReliability seen,
    double fallback,
    double unnamed,
    double frameMisseen,
    double bladeMisseen,
    double measuringErrorMm,
    double lengthScaleMm,
    double endOfRange,
    double lessUsualBolsters,
    double otherPull,
    double optionalBlade,
    double otherEnd,
    double otherSide,
    double otherSpring,
    double told,
    double named,
    double settles,
    double lessUsual) {

  /** As they are judged. */
  static NamingRates of(Judgement judgement) {
    return new NamingRates(
        LookReliability.of(judgement),
        judgement.of("name.fallback"),
        judgement.of("name.unnamed"),
        judgement.of("name.frame-misseen"),
        judgement.of("name.blade-misseen"),
        judgement.of("name.measuring-error-mm"),
        judgement.of("name.length-scale-mm"),
        judgement.of("name.end-of-range"),
        judgement.of("name.less-usual-bolsters"),
        judgement.of("name.other-pull"),
        judgement.of("name.optional-blade"),
        judgement.of("name.other-end"),
        judgement.of("name.other-side"),
        judgement.of("name.other-spring"),
        judgement.of("told.name"),
        judgement.of("told.named"),
        judgement.of("told.settles"),
        judgement.of("name.less-usual"));
  }
}
