package snikra.core.measure;

/** An instrument at the bench, whatever it is connected by. */
public interface MeasuringDevice {

  /** Its short name in the line format. */
  String id();

  /** What people call it. */
  String label();

  /** What it measures. */
  Measurement.Kind kind();

  /**
   * Takes one reading.
   *
   * @param actual the true value in the base unit, as far as a stand-in needs to be told; an
   *     instrument that measures does not look at it
   * @throws DeviceLost when the instrument does not answer
   */
  Measurement read(double actual);

  /** An instrument that does not answer. */
  class DeviceLost extends RuntimeException {
    private static final long serialVersionUID = 1L;

    /** Lost for this reason, told in a sentence. */
    public DeviceLost(String sentence) {
      super(sentence);
    }
  }
}
