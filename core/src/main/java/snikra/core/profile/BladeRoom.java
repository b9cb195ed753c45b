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

  /** The usual length of the blade in this place, from 0, in closed lengths. */
  public double usual(int place) {
    return usual.get(Math.min(place, usual.size() - 1));
  }

  /** What a main blade of this length lacks in a handle of this length. */
  public Missing missing(double lengthMm, double closedMm) {
    double found = lengthMm / closedMm;
    return new Missing(
        lacking(found, usual(0)),
        lacking(found, usual(0) - NINE_TENTHS * spread),
        lacking(found, usual(0) + NINE_TENTHS * spread));
  }

  private static double lacking(double found, double full) {
    return Math.max(0, 1 - found / full);
  }
}
