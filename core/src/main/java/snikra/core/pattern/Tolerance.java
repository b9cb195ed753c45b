package snikra.core.pattern;

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
    double length) {

  /** The historical definition: each requirement counts. */
  static final Tolerance STRICT =
      new Tolerance(0.02, 0.08, 0.3, 0.02, 0.02, 0.03, 0.03, 0.02, 0.03);

  /** Sellers go by the look of the whole and by the size. */
  static final Tolerance TRADE = new Tolerance(0.08, 0.3, 0.7, 0.2, 0.03, 0.12, 0.08, 0.03, 0.1);
}
