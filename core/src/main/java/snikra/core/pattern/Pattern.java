package snikra.core.pattern;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import snikra.core.specimen.End;
import snikra.core.specimen.Presses;
import snikra.core.specimen.Side;

/**
 * A named pattern.
 *
 * @param variantOf the pattern this is a variant of
 * @param sizeOf the name it shares with patterns that differ from it in size alone
 * @param surely how far its arrangement is agreed on
 * @param often how often it is met, against an ordinary pattern; 1 where not given
 * @param frames weight by frame, 1 expected to 0.1 tolerated
 * @param springs counts, the usual one first
 * @param bolsters layouts, the usual one first
 * @param tellApart by rival pattern, the sentence that tells the two apart
 * @param strictly what the historical definition asks
 * @param inTrade how sellers use the name today
 */
public record Pattern(
    String id,
    String name,
    String family,
    Role role,
    @Nullable String variantOf,
    @Nullable String sizeOf,
    Agreement surely,
    @Nullable Double often,
    List<Alias> alsoCalled,
    Map<String, Double> frames,
    Range closedLengthMm,
    List<Integer> springs,
    Dividers dividers,
    List<String> bolsters,
    List<String> pulls,
    List<Slot> slots,
    List<String> tells,
    Map<String, String> tellApart,
    List<String> strictly,
    List<String> inTrade) {

  /** What kind of name it is. */
  public enum Role {
    PATTERN,
    /** A settled departure from another pattern. */
    VARIANT,
    /** A name of sellers, unknown to the strict school. */
    TRADE_LABEL,
    /** Used when nothing closer fits. */
    FALLBACK;

    @Override
    public String toString() {
      return spelled(this);
    }
  }

  /** How far accounts agree. */
  public enum Agreement {
    HIGH,
    MEDIUM,
    LOW;

    @Override
    public String toString() {
      return spelled(this);
    }
  }

  /** Whether a liner stands between the springs. */
  public enum Dividers {
    ALWAYS,
    NEVER,
    EITHER;

    @Override
    public String toString() {
      return spelled(this);
    }
  }

  /** Which way of naming: the historical definition, or what sellers call it today. */
  public enum School {
    STRICT,
    TRADE;

    @Override
    public String toString() {
      return spelled(this);
    }
  }

  private static String spelled(Enum<?> constant) {
    return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Another name, by the strict school or by today's trade. */
  public record Alias(String name, School school) {}

  /** Usual closed length in millimetres, both ends closed. */
  public record Range(double min, double max, double typical) {}

  /**
   * A place a blade takes.
   *
   * @param endAlso an end accepted as well
   * @param fromBack whether it opens along the back
   * @param side where it lies among its neighbours; a hint only
   * @param types weight by blade form, 1 expected to 0.05 tolerated
   */
  public record Slot(
      String role,
      End end,
      @Nullable End endAlso,
      boolean fromBack,
      Presses presses,
      Side side,
      boolean optional,
      Map<String, Double> types) {

    /** The form one expects in it. */
    public String usualType() {
      return SlotAssignment.usualType(this);
    }

    boolean takes(End at) {
      return at == end || at == endAlso;
    }
  }

  public Pattern {
    alsoCalled = alsoCalled == null ? List.of() : List.copyOf(alsoCalled);
    tellApart = tellApart == null ? Map.of() : Map.copyOf(tellApart);
    strictly = strictly == null ? List.of() : List.copyOf(strictly);
    inTrade = inTrade == null ? List.of() : List.copyOf(inTrade);
  }

  int fewestBlades() {
    int fewest = 0;
    for (Slot slot : slots) {
      fewest += slot.optional() ? 0 : 1;
    }
    return fewest;
  }

  /** Whether the springs part the pattern from its rivals: one blade of three or more. */
  boolean isDecidedByPress() {
    return slots.size() >= 3;
  }

  /** How often it is met, against an ordinary pattern. */
  double weight() {
    return often == null ? 1 : often;
  }

  /** The frame one expects. */
  String usualFrame() {
    return frames.entrySet().stream()
        .max(
            Map.Entry.<String, Double>comparingByValue()
                .thenComparing(Map.Entry.comparingByKey(java.util.Comparator.reverseOrder())))
        .map(Map.Entry::getKey)
        .orElseThrow();
  }
}
