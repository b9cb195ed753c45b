package snikra.core.measure;

import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import snikra.core.wording.NotAccepted;

/**
 * One reading as it was written, with its value in the base unit of its kind: newton, gram,
 * millimetre or tenths of the pull scale.
 *
 * @param value at most {@value #MOST} either way; below 0 only a length, which is then on the other
 *     side
 */
public record Measurement(String written, Kind kind, double value) {

  /** No reading of a pocket knife comes near this. */
  public static final double MOST = 100_000;

  /** What {@link #parse} accepts, for messages. */
  public static final String ACCEPTED =
      "a reading with its unit, such as 34.5 N, 3.6 kgf, 7.9 lbf, 6/10, 62 g, 2.2 oz, 0.1 mm or"
          + " 1/64 in";

  private static final Pattern NOTATION =
      Pattern.compile("(\\d{1,6})(?:[.,](\\d{1,6}))?\\s*(/10|[a-zA-Z]{1,4})");

  /** A fraction of an inch; six tenths of the pull scale are none. */
  private static final Pattern FRACTION = Pattern.compile("(?:\\d/(?!10$)\\d|[½¼¾⅛⅜⅝⅞])");

  /** What is told, with its units and what each is of the base unit. */
  public enum Kind {
    FORCE(Map.of("n", 1.0, "kgf", 9.80665, "kg", 9.80665, "lbf", 4.4482216152605, "lb", 4.4482216)),
    SCALE(Map.of("/10", 1.0)),
    MASS(Map.of("g", 1.0, "oz", 28.349523125)),
    LENGTH(Map.of("mm", 1.0, "cm", 10.0, "in", 25.4));

    @SuppressWarnings("ImmutableEnumChecker") // Map.of cannot be changed.
    private final Map<String, Double> units;

    Kind(Map<String, Double> units) {
      this.units = units;
    }

    String baseUnit() {
      return this == FORCE ? "N" : this == SCALE ? "/10" : this == MASS ? "g" : "mm";
    }

    String accepted() {
      return "a "
          + this
          + " with its unit, one of "
          + String.join(", ", new TreeSet<>(units.keySet()));
    }

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  public Measurement {
    if (!(value >= (kind == Kind.LENGTH ? -MOST : 0) && value <= MOST)) {
      throw new NotAccepted("must be " + ACCEPTED, written);
    }
  }

  /**
   * Reads a measurement.
   *
   * @throws IllegalArgumentException when the text is not one or its unit is not known
   */
  public static Measurement parse(String text) {
    String written = text.strip();
    int sign = written.startsWith("-") || written.startsWith("\u2212") ? -1 : 1;
    String size = sign < 0 ? written.substring(1) : written;
    Matcher m = NOTATION.matcher(size);
    if (m.matches()) {
      String number = m.group(1) + (m.group(2) == null ? "" : "." + m.group(2));
      String unit = m.group(3).toLowerCase(Locale.ROOT);
      for (Kind kind : Kind.values()) {
        Double factor = kind.units.get(unit);
        if (factor != null) {
          double value = new BigDecimal(number).doubleValue() * factor;
          return new Measurement(written, kind, sign * value);
        }
      }
    } else if (FRACTION.matcher(size).find()) {
      try {
        return new Measurement(written, Kind.LENGTH, sign * Length.parse(size).mm());
      } catch (IllegalArgumentException e) {
        throw new NotAccepted("must be " + ACCEPTED, written, e);
      }
    }
    throw new NotAccepted("must be " + ACCEPTED, written);
  }

  /**
   * Reads a measurement of one kind.
   *
   * @throws IllegalArgumentException when the text is not one or is of another kind
   */
  public static Measurement parse(String text, Kind kind) {
    Measurement read = parse(text);
    if (read.kind != kind) {
      throw new NotAccepted("must be " + kind.accepted(), text);
    }
    return read;
  }

  /** Several readings and the unit their mean is in. */
  public record InUnit(Mean mean, String unit) {}

  /** The mean of readings of one kind: in the unit they share, else in the base unit. */
  public static Optional<InUnit> inOneUnit(List<Measurement> readings) {
    if (readings.isEmpty() || readings.stream().map(Measurement::kind).distinct().count() != 1) {
      return Optional.empty();
    }
    Kind kind = readings.get(0).kind;
    List<String> units = readings.stream().map(Measurement::unit).distinct().toList();
    String unit = units.size() == 1 ? units.get(0) : kind.baseUnit();
    double factor = kind.units.get(unit.toLowerCase(Locale.ROOT));
    return Optional.of(
        new InUnit(Mean.of(readings.stream().map(r -> r.value / factor).toList()), unit));
  }

  // As it is written; a fraction without one is in inches.
  private String unit() {
    Matcher m = NOTATION.matcher(written.replaceFirst("^[-\u2212]", ""));
    return m.matches() ? m.group(3) : "in";
  }

  /**
   * Several readings of one thing.
   *
   * @param mean of the readings, in the base unit
   * @param spread standard deviation of the readings; 0 for one
   */
  public record Mean(int readings, double mean, double spread) {

    /** The mean and spread of at least one reading. */
    public static Mean of(List<Double> values) {
      double mean = values.stream().mapToDouble(v -> v).average().orElseThrow();
      double squares = values.stream().mapToDouble(v -> (v - mean) * (v - mean)).sum();
      int n = values.size();
      return new Mean(n, mean, n < 2 ? 0 : Math.sqrt(squares / (n - 1)));
    }
  }
}
