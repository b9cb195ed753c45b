package snikra.core.profile;

import java.util.List;

/**
 * How much of its handle a full blade takes, and so how much of a short one is missing: by what
 * full blades take, as a middle and a spread. A blade short by design and a broken one reground
 * have the same length; the interval is what a broken one would have lost.
 *
 * @param usual length of a full blade in closed lengths, main blade first; the last holds for all
 *     further ones
 * @param spread standard deviation of the main blade's among full ones
 */
public record BladeRoom(List<Double> usual, double spread) {
  /** Standard deviations either side of the middle that hold nine in ten. */
  private static final double NINE_TENTHS = 1.645;

  private static final int STEPS = 200;

  public BladeRoom {
    usual = List.copyOf(usual);
    if (usual.isEmpty() || !(spread > 0)) {
      throw new IllegalArgumentException(
          "usual lengths must be one or more and their spread above 0; found "
              + usual.size()
              + " and "
              + spread);
    }
  }

  /**
   * What a blade would have lost if it was once as long as others are, each as a share of its full
   * length.
   *
   * @param low end of the nine-in-ten interval; 0 where it may be whole
   * @param high other end of it
   */
  public record Missing(double share, double low, double high) {}

  /**
   * What a main blade of some length may be.
   *
   * @param whole as long as its kind is made
   * @param byDesign shorter from the works on
   * @param shortened broken or ground away since
   */
  public record MayBe(double whole, double byDesign, double shortened) {}

  /**
   * How often main blades are short, and by how much.
   *
   * @param byDesign share of knives with a main shorter than its room from the works on
   * @param shortened share of knives whose main has lost of its length
   * @param loss share of its length that such a blade has lost, in the middle
   * @param measuredMm standard deviation of one measure of length
   * @param shortest blades short by design are spread from here, in closed lengths, to the usual
   *     length
   */
  public record Habits(
      double byDesign, double shortened, double loss, double measuredMm, double shortest) {}

  /**
   * Weighs what a main blade may be by its length alone, with the uncertainty of the measure.
   *
   * @param usual what a full main takes in knives of its pattern, in closed lengths
   */
  public MayBe weigh(double lengthMm, double closedMm, double usual, Habits habits) {
    double found = lengthMm / closedMm;
    double error = Math.hypot(spread, habits.measuredMm / closedMm * Math.sqrt(2));
    double whole =
        (1 - habits.byDesign - habits.shortened) * normal((found - usual) / error) / error;
    double design = 0;
    double cut = 0;
    // What is lost and what was never there both end at the usual length, blurred as that is.
    for (int i = 0; i < STEPS; i++) {
      double lost = (i + 0.5) / STEPS;
      double at = normal((found - usual * (1 - lost)) / error) / error / STEPS;
      design += usual * (1 - lost) > habits.shortest ? at * usual / (usual - habits.shortest) : 0;
      cut += at * Math.exp(-lost / habits.loss) / habits.loss;
    }
    design *= habits.byDesign;
    cut *= habits.shortened;
    double all = whole + design + cut;
    return all > 0 ? new MayBe(whole / all, design / all, cut / all) : new MayBe(1, 0, 0);
  }

  private static double normal(double z) {
    return Math.exp(-z * z / 2) / Math.sqrt(2 * Math.PI);
  }

  /** The usual length of the blade in this place, from 0, in closed lengths. */
  public double usual(int place) {
    return usual.get(Math.min(place, usual.size() - 1));
  }

  /** What a main blade of this length lacks in a handle of this length. */
  public Missing missing(double lengthMm, double closedMm, double usual) {
    double found = lengthMm / closedMm;
    return new Missing(
        lacking(found, usual),
        lacking(found, usual - NINE_TENTHS * spread),
        lacking(found, usual + NINE_TENTHS * spread));
  }

  private static double lacking(double found, double full) {
    return Math.max(0, 1 - found / full);
  }
}
