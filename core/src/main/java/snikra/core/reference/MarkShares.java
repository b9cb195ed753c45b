package snikra.core.reference;

import java.util.Arrays;

/** How a maker's knives are shared among its marks: by years of use times output in those years. */
public final class MarkShares {
  private MarkShares() {}

  /**
   * By mark; all of it is 1.
   *
   * @param least output of a country in years before its trade is told to have begun
   */
  public static double[] of(Maker maker, Region region, double least) {
    double[] share =
        maker.marks().stream().mapToDouble(mark -> struck(mark, region, least)).toArray();
    double sum = Arrays.stream(share).sum();
    return Arrays.stream(share).map(s -> s / sum).toArray();
  }

  private static double struck(MarkVariant mark, Region region, double least) {
    double sum = 0;
    for (int year = mark.from() - mark.give(); year <= mark.to() + mark.give(); year++) {
      sum += mark.useIn(year) * output(region, year, least);
    }
    return sum;
  }

  /** Output of a country in a year, for a maker that is known to have worked in that year. */
  public static double output(Region region, int year, double least) {
    return Math.max(least, region.outputIn(year));
  }
}
