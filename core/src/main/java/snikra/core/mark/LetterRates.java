package snikra.core.mark;

import snikra.core.judgement.Judgement;

/**
 * How letters are read.
 *
 * @param sureRight a letter read as sure is the one that was struck
 * @param sureConfused it is one of those the struck one is taken for
 * @param doubtfulRight a letter read with doubt is the one that was struck
 * @param doubtfulConfused it is one of those the struck one is taken for
 * @param overlooked a letter struck is not seen at all
 * @param imagined a letter is read where none was struck
 */
record LetterRates(
    double sureRight,
    double sureConfused,
    double doubtfulRight,
    double doubtfulConfused,
    double overlooked,
    double imagined) {

  /** As they are judged. */
  static LetterRates of(Judgement judgement) {
    return new LetterRates(
        judgement.of("letter.sure"),
        judgement.of("letter.sure-confused"),
        judgement.of("letter.doubtful"),
        judgement.of("letter.doubtful-confused"),
        judgement.of("letter.overlooked"),
        judgement.of("letter.imagined"));
  }
}
