package snikra.core.pattern;

import snikra.core.judgement.Judgement;

/**
 * What a school makes of a requirement that is missed: how likely a knife that bears the name is to
 * be like that all the same.
 *
 * @param frame an outline the pattern does not use
 * @param bolsters a layout of bolsters it does not use
 * @param springs another count of springs
 * @param press a main blade on one spring that should bear on both, or the reverse
 * @param end a blade at the other end
 * @param type a blade of another form
 * @param missing a blade too few
 * @param over a blade too many
 * @param length a size outside its own
 * @param asked covers, steel or a divider other than the definition asks
 */
record Tolerance(
    double frame,
    double bolsters,
    double springs,
    double press,
    double end,
    double type,
    double missing,
    double over,
    double length,
    double asked) {

  /** That of a school, as it is judged. */
  static Tolerance of(Judgement judgement, Pattern.School school) {
    String of = "name." + school + ".";
    return new Tolerance(
        judgement.of(of + "frame"),
        judgement.of(of + "bolsters"),
        judgement.of(of + "springs"),
        judgement.of(of + "press"),
        judgement.of(of + "end"),
        judgement.of(of + "type"),
        judgement.of(of + "missing"),
        judgement.of(of + "over"),
        judgement.of(of + "length"),
        judgement.of(of + "asked"));
  }
}
