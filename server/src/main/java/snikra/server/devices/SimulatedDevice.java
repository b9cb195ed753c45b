package snikra.server.devices;

import java.util.Locale;
import java.util.Random;
import snikra.core.measure.Measurement;
import snikra.core.measure.MeasuringDevice;

/**
 * A stand-in that reads a true value with noise and a slow drift, the same each time it is started.
 */
final class SimulatedDevice implements MeasuringDevice {
  /** After so many readings the drift has come and gone once. */
  private static final double DRIFT_PERIOD = 40;

  private final String id;
  private final String label;
  private final Measurement.Kind kind;
  private final String unit;
  private final double spread;
  private final double drift;
  private final int digits;
  private final Random noise;
  private int readings;

  /**
   * A stand-in.
   *
   * @param unit of what it shows, the base unit of its kind
   * @param spread standard deviation of one reading, in that unit
   * @param drift greatest error that comes and goes with time, in that unit
   * @param digits shown after the point
   */
  SimulatedDevice(
      String id,
      String label,
      Measurement.Kind kind,
      String unit,
      double spread,
      double drift,
      int digits) {
    this.id = id;
    this.label = label;
    this.kind = kind;
    this.unit = unit;
    this.spread = spread;
    this.drift = drift;
    this.digits = digits;
    this.noise = new Random(id.hashCode());
  }

  @Override
  public String id() {
    return id;
  }

  @Override
  public String label() {
    return label;
  }

  @Override
  public Measurement.Kind kind() {
    return kind;
  }

  @Override
  public synchronized Measurement read(double actual) {
    double drifted = drift * Math.sin(2 * Math.PI * readings++ / DRIFT_PERIOD);
    double shown = Math.max(0, actual + spread * noise.nextGaussian() + drifted);
    return Measurement.parse(String.format(Locale.ROOT, "%." + digits + "f %s", shown, unit));
  }
}
