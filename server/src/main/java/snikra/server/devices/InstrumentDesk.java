package snikra.server.devices;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import snikra.core.examination.Problem;
import snikra.core.examination.Sketch;
import snikra.core.measure.Measurement;
import snikra.core.measure.MeasuringDevice;
import snikra.core.specimen.Specimen;
import snikra.formats.InvalidInput;

/** The instruments at hand, and whoever listens to what is posted from elsewhere. */
public class InstrumentDesk {
  private static final int MOST_LINES = 1000;
  private static final int LONGEST_LINE = 80;
  private static final Pattern LINE = Pattern.compile("([a-z][a-z0-9-]{0,23})\\s+(\\S.{0,23})");

  /** What the stand-ins take for true where nothing was measured yet. */
  private static final double USUAL_PULL_N = 32;

  private static final double USUAL_GRAMS_PER_MM = 0.75;
  private static final double USUAL_GAP_MM = 0.08;
  private static final double USUAL_THICKNESS_MM = 13;
  private static final Pattern BLADE_LENGTH = Pattern.compile("blades\\[(\\d{1,2})]\\.length");

  private final List<MeasuringDevice> devices;
  private final List<Consumer<Posted>> listeners = new CopyOnWriteArrayList<>();

  public InstrumentDesk(List<MeasuringDevice> devices) {
    this.devices = List.copyOf(devices);
  }

  /** The stand-ins that ship: a caliper, a pull gauge and a scale. */
  public static List<MeasuringDevice> standIns() {
    return List.of(
        new SimulatedDevice("caliper", "Caliper", Measurement.Kind.LENGTH, "mm", 0.02, 0.03, 2),
        new SimulatedDevice("gauge", "Pull gauge", Measurement.Kind.FORCE, "N", 0.6, 0.4, 1),
        new SimulatedDevice("scale", "Scale", Measurement.Kind.MASS, "g", 0.05, 0.1, 1));
  }

  /** A reading an instrument sent by itself. */
  public record Posted(String device, String reading) {}

  /** What came of posted lines: all that could be read was taken. */
  public record Taken(int taken, List<Problem> problems) {}

  List<MeasuringDevice> devices() {
    return devices;
  }

  /** One reading of a field of a knife, by the instrument for it; the stand-ins read the knife. */
  Measurement read(Measurement.Kind kind, String field, Specimen knife, Sketch sketch) {
    return device(kind).read(actual(field, knife, sketch));
  }

  private MeasuringDevice device(Measurement.Kind kind) {
    Optional<MeasuringDevice> device = devices.stream().filter(d -> d.kind() == kind).findFirst();
    return device.orElseThrow(
        () ->
            new InvalidInput(
                List.of(
                    new Problem(
                        "kind",
                        kind.toString(),
                        "must be one of "
                            + String.join(
                                ", ", devices.stream().map(d -> d.kind().toString()).toList())))));
  }

  private static double actual(String field, Specimen knife, Sketch sketch) {
    Matcher blade = BLADE_LENGTH.matcher(field);
    if (blade.matches()) {
      int b = Integer.parseInt(blade.group(1));
      return b < sketch.blades().size() ? sketch.blades().get(b).lengthMm() : 0;
    }
    List<Measurement> known =
        knife.measured().getOrDefault(field.replaceFirst("^measured\\.", ""), List.of());
    if (!known.isEmpty()) {
      return Measurement.Mean.of(known.stream().map(Measurement::value).toList()).mean();
    }
    return switch (field) {
      case "measured.pull" -> USUAL_PULL_N;
      case "measured.weight" -> USUAL_GRAMS_PER_MM * sketch.closedLengthMm();
      case "measured.gap" -> USUAL_GAP_MM;
      case "measured.thickness" -> USUAL_THICKNESS_MM;
      default -> sketch.closedLengthMm();
    };
  }

  /**
   * Takes readings in the line format, one a line: the instrument's short name, then the reading
   * with its unit, {@code caliper 84.12 mm}. What cannot be read is told and the rest is taken.
   */
  public Taken post(String text) {
    List<Problem> problems = new ArrayList<>();
    int taken = 0;
    List<String> lines = text.lines().limit(MOST_LINES).toList();
    for (int i = 0; i < lines.size(); i++) {
      String line = lines.get(i).strip();
      Optional<Posted> posted = line.isEmpty() ? Optional.empty() : posted(line);
      if (posted.isPresent()) {
        taken++;
        listeners.forEach(l -> l.accept(posted.get()));
      } else if (!line.isEmpty()) {
        String shown =
            line.length() > LONGEST_LINE ? line.substring(0, LONGEST_LINE) + "\u2026" : line;
        problems.add(
            new Problem(
                "line " + (i + 1),
                shown,
                "must be an instrument and its reading: caliper 84.12 mm"));
      }
    }
    return new Taken(taken, problems);
  }

  private static Optional<Posted> posted(String line) {
    Matcher m = LINE.matcher(line);
    try {
      return m.matches()
          ? Optional.of(new Posted(m.group(1), Measurement.parse(m.group(2)).written()))
          : Optional.empty();
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  void listen(Consumer<Posted> listener) {
    listeners.add(listener);
  }

  void stopListening(Consumer<Posted> listener) {
    listeners.remove(listener);
  }
}
