package snikra.core.clue;

/**
 * One end of the time in which something is at home.
 *
 * @param year for a not-before the first possible year, for a not-after the last common year
 * @param ramp years from possible to common, or from common to gone; 0 or more
 */
public record Bound(int year, int ramp, Firmness firmness) {

  public Bound {
    if (ramp < 0) {
      throw new IllegalArgumentException("ramp must be 0 or more; found " + ramp);
    }
  }

  double asNotBefore(int y, Floors floors) {
    if (y < year) {
      return floors.of(firmness);
    }
    double first = floors.firstYear();
    return y >= year + ramp ? 1 : first + (1 - first) * (y - year) / ramp;
  }

  double asNotAfter(int y, Floors floors) {
    if (y <= year) {
      return 1;
    }
    double floor = floors.of(firmness);
    return y >= year + ramp ? floor : 1 - (1 - floor) * (y - year) / ramp;
  }
}
