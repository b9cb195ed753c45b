package snikra.core.reference;

import java.util.List;

/**
 * A country or group of countries that knives come from.
 *
 * @param unlisted what a maker from there is called who is not on the shelf
 * @param share of unlisted makers that worked there; shares are relative
 * @param output relative output by year, straight lines between the points, zero before the first
 */
public record Region(
    String id, String label, String unlisted, double share, List<OutputPoint> output) {

  /** Relative output in one year. */
  public record OutputPoint(int year, double amount) {}

  public Region {
    output = List.copyOf(output);
  }

  /** Relative output in a year, 0 or more. */
  public double outputIn(int year) {
    OutputPoint previous = output.get(0);
    if (year < previous.year()) {
      return 0;
    }
    for (OutputPoint next : output) {
      if (year < next.year()) {
        double t = (double) (year - previous.year()) / (next.year() - previous.year());
        return previous.amount() + t * (next.amount() - previous.amount());
      }
      previous = next;
    }
    return previous.amount();
  }
}
