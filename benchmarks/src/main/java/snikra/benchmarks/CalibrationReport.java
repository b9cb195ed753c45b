package snikra.benchmarks;

import java.time.Year;
import snikra.core.dating.Calibration;
import snikra.core.dating.Reliability;
import snikra.core.dating.Sampler;
import snikra.formats.ShippedShelf;

/** Prints how often the verdicts on made-up knives are right, and what each station is worth. */
public final class CalibrationReport {
  private static final int KNIVES = 2000;
  private static final int LOOKED_THROUGH = 500;
  private static final long SEED = 1917;
  private static final double[] LOOKS = {0.15, 0.3, 0.6};
  private static final double LOST = 0.3;

  private CalibrationReport() {}

  public static void main(String[] args) {
    Calibration calibration = new Calibration(ShippedShelf.load(), Year.now().getValue());
    System.out.printf(
        "%d knives drawn from the shelf as shipped, seed %d, %.0f%% of the letters lost%n",
        KNIVES, SEED, 100 * LOST);
    for (double looks : LOOKS) {
      for (double slips : new double[] {0, 0.1}) {
        Calibration.Report report =
            calibration.run(KNIVES, SEED, new Sampler.Care(looks, LOST, slips));
        System.out.printf(
            "%2.0f%% of the looks taken, %2.0f%% of them less sure than said: 50%% spans hold %.1f%%,"
                + " 90%% spans %.1f%%; error of the maker %.4f, of the state %.4f%n",
            100 * looks,
            100 * slips,
            100 * report.half().was(),
            100 * report.nineTenths().was(),
            report.maker().expectedError(),
            report.state().expectedError());
        if (slips == 0) {
          print("  maker", report.maker());
          print("  state", report.state());
        }
      }
    }
    System.out.printf("Middle length of the 90%% spans of %d knives:%n", LOOKED_THROUGH);
    calibration
        .sharpness(LOOKED_THROUGH, SEED, new Sampler.Care(0.6, LOST, 0))
        .forEach(
            s ->
                System.out.printf(
                    "  %-24s %3.0f years%s%n",
                    s.station() == null ? "all looked at" : "without " + s.station(),
                    s.years(),
                    s.surely() ? "" : ", no sure difference"));
  }

  private static void print(String what, Reliability reliability) {
    reliability
        .tenths()
        .forEach(
            t ->
                System.out.printf(
                    "%s said %3.0f%%, was %3.0f%% (%d knives)%n",
                    what, 100 * t.said(), 100 * t.was(), t.count()));
  }
}
