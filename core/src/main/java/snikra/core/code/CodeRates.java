package snikra.core.code;

import snikra.core.judgement.Judgement;

/**
 * Numbers of judgement by which date codes are read.
 *
 * @param sure a letter or figure is what it was read for
 * @param doubtful likewise, of one told as doubtful
 * @param counted as many signs as were struck are counted
 * @param worn against that, one fewer; half as often for each more
 * @param imagined likewise, one more than was struck
 * @param fewer fewer were struck than at least were seen
 * @param otherLength another number of letters than was struck
 * @param formAgrees the form is seen as it was struck
 * @param formDiffers another form is seen
 * @param formByChance a form where nothing is known of the maker's forms
 * @param notOnFile a maker struck a code nothing is known of
 * @param shown share from which a year is told among those a code allows
 */
public record CodeRates(
    double sure,
    double doubtful,
    double counted,
    double worn,
    double imagined,
    double fewer,
    double otherLength,
    double formAgrees,
    double formDiffers,
    double formByChance,
    double notOnFile,
    double shown) {

  /** As they are judged. */
  public static CodeRates of(Judgement judgement) {
    return new CodeRates(
        judgement.of("code.sure"),
        judgement.of("code.doubtful"),
        judgement.of("code.counted"),
        judgement.of("code.worn"),
        judgement.of("code.imagined"),
        judgement.of("code.fewer"),
        judgement.of("code.other-length"),
        judgement.of("code.form-agrees"),
        judgement.of("code.form-differs"),
        judgement.of("code.form-by-chance"),
        judgement.of("code.not-on-file"),
        judgement.of("code.shown"));
  }
}
