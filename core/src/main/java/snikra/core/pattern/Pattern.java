package snikra.core.pattern;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import snikra.core.specimen.End;
import snikra.core.specimen.Presses;

/**
 * A named pattern.
 *
 * @param fallback used when nothing closer fits
 * @param frames weight by frame, 1 expected to 0.1 tolerated
 * @param tellApart by rival pattern, the sentence that tells the two apart
 */
public record Pattern(
    String id,
    String name,
    String family,
    boolean fallback,
    List<Alias> alsoCalled,
    Map<String, Double> frames,
    Range closedLengthMm,
    List<Integer> springs,
    List<String> bolsters,
    List<Slot> slots,
    List<String> tells,
    Map<String, String> tellApart) {

  /** Another name, by the strict school or by today's trade. */
  public record Alias(String name, School school) {}

  /** Which way of naming: the historical definition, or what sellers call it today. */
  public enum School {
    STRICT,
    TRADE;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /** Usual closed length in millimetres, both ends closed. */
  public record Range(double min, double max, double typical) {}

  /** A place a blade takes. */
  public record Slot(
      String role, End end, Presses presses, boolean optional, Map<String, Double> types) {}

  public Pattern {
    alsoCalled = alsoCalled == null ? List.of() : List.copyOf(alsoCalled);
    tellApart = tellApart == null ? Map.of() : Map.copyOf(tellApart);
  }

  int fewestBlades() {
    return (int) slots.stream().filter(s -> !s.optional()).count();
  }

  /** Whether the springs part the pattern from its rivals: one blade of three or more. */
  boolean isDecidedByPress() {
    return slots.size() >= 3;
  }
}
